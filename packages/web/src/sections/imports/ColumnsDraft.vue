<script setup lang="ts" generic="Field extends string">
import { computed } from 'vue'
import { dateOrders, type DateOrder, type ImportPreview } from '@murrabel/contract'
import { useTexts } from '../../composables/useTexts.ts'
import FileRows from './FileRows.vue'

/** Which column of a table holds what, and how its dates are meant. */
const mapping = defineModel<Record<Field, string | null>>('mapping', { required: true })
const dateOrder = defineModel<DateOrder | undefined>('dateOrder', { required: true })
const { table, names, asksOrder } = defineProps<{
  table: ImportPreview
  names: readonly Field[]
  label: (name: Field) => string
  /** The column itself does not say which of day and month comes first. */
  asksOrder: boolean
}>()
const { t, called, number } = useTexts()
const rows = computed(() => [0, 1, 2].map((i) => table.columns.map(({ sample }) => sample[i])))
</script>

<template>
  <p>
    {{
      t('import.rows', { n: number(table.rows), s: called('import.separator', table.separator) }, table.rows)
    }}
  </p>
  <p v-for="gap in table.swallowed.slice(0, 5)" :key="gap.line" class="wrong">
    {{ t('import.swallowed', { line: number(gap.line), to: number(gap.to) }) }}
  </p>
  <h4>{{ t('import.mapping') }}</h4>
  <div class="fields">
    <label v-for="name in names" :key="name" :data-field="name">
      <span>{{ label(name) }}</span>
      <el-select v-model="mapping[name]" clearable :placeholder="t('import.skip')" :value-on-clear="null">
        <el-option
          v-for="column in table.columns"
          :key="column.name"
          :value="column.name"
          :label="column.name"
        />
      </el-select>
    </label>
  </div>
  <slot />
  <fieldset v-if="asksOrder" class="order" data-test="date-order">
    <legend>{{ t('import.dateOrder', { date: table.dates.sample[0] ?? '' }) }}</legend>
    <el-radio-group v-model="dateOrder">
      <el-radio v-for="each in dateOrders" :key="each" :value="each">{{
        t(`import.order.${each}`)
      }}</el-radio>
    </el-radio-group>
  </fieldset>
  <div class="sample">
    <FileRows :head="table.columns.map(({ name }) => name)" :rows="rows" />
  </div>
</template>

<style scoped>
h4 {
  margin: 14px 0 6px;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(200px, 1fr));
  gap: 10px 16px;
  max-width: 900px;
}
.fields span {
  display: block;
  font-size: 13px;
}
.order {
  border: 0;
  border-left: 3px solid var(--flare);
  margin: 16px 0;
  padding: 4px 14px;
}
.sample {
  overflow-x: auto;
  margin: 16px 0;
}
.wrong {
  color: var(--flare-text);
}
</style>
