<script setup lang="ts">
import type { RowProblem } from '@murrabel/contract'
import { useTexts } from '../../composables/useTexts.ts'

/** Rows that were refused or changed, with why. */
const { problems, of } = defineProps<{ problems: RowProblem[]; of: number }>()
const { t, number } = useTexts()
</script>

<template>
  <h4>{{ t('import.problems') }}</h4>
  <table>
    <thead>
      <tr>
        <th>{{ t('import.line') }}</th>
        <th>{{ t('import.what') }}</th>
        <th>{{ t('import.reason') }}</th>
        <th>{{ t('import.value') }}</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="row in problems" :key="row.line + row.field">
        <td>{{ number(row.line) }}</td>
        <td>{{ row.field ? t(`import.field.${row.field}`) : '' }}</td>
        <td>{{ row.reason }}</td>
        <td class="words">{{ row.value }}</td>
      </tr>
    </tbody>
  </table>
  <p v-if="of > problems.length" class="soft">
    {{ t('import.more', { n: number(of - problems.length) }) }}
  </p>
</template>

<style scoped>
h4 {
  margin: 14px 0 6px;
}
table {
  border-collapse: collapse;
  font-size: 14px;
}
th {
  text-align: left;
  font-size: 12px;
  color: var(--ink-soft);
  padding: 2px 16px 2px 0;
}
td {
  border-top: 1px solid var(--line);
  padding: 5px 16px 5px 0;
  vertical-align: top;
  max-width: 340px;
}
</style>
