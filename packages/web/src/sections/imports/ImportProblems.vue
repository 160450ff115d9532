<script setup lang="ts">
import type { RowProblem } from '@murrabel/contract'
import { useProblemTexts } from '../../composables/useProblemTexts.ts'
import { useTexts } from '../../composables/useTexts.ts'
import FileRows from './FileRows.vue'

/** Rows that were refused or changed, with why. */
const { problems, of } = defineProps<{ problems: RowProblem[]; of: number }>()
const { t, called, number } = useTexts()
const { row } = useProblemTexts()
</script>

<template>
  <h4>{{ t('import.problems') }}</h4>
  <FileRows
    :ours="3"
    :head="(['line', 'what', 'reason', 'value'] as const).map((name) => t(`import.${name}`))"
    :rows="
      problems.map((problem) => [
        number(problem.line),
        problem.field ? called('import.field', problem.field) : '',
        row(problem),
        problem.value,
      ])
    "
  />
  <p v-if="of > problems.length" class="soft">
    {{ t('import.more', { n: number(of - problems.length) }) }}
  </p>
</template>

<style scoped>
h4 {
  margin: 14px 0 6px;
}
</style>
