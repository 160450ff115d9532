<script setup lang="ts">
import { computed } from 'vue'
import { interpolateRgb, max, scaleSqrt } from 'd3'
import { useCssVar } from '@vueuse/core'
import { useTexts } from '../composables/useTexts.ts'
import ChartFrame from './ChartFrame.vue'
import DataTable from './DataTable.vue'

/** Volume by hour of the local week: seven rows of twenty-four cells, deeper for more; a cell opens its entries. */
const { hours } = defineProps<{ hours: readonly { key: number; n: number }[] }>()
const emit = defineEmits<{ open: [hour: number] }>()
const { t, tm, number, weekHour } = useTexts()
const sheet = useCssVar('--paper')
const deep = useCssVar('--deep')
const counts = computed(() => {
  const all = new Array<number>(168).fill(0)
  for (const { key, n } of hours) all[key] = n
  return all
})
const most = computed(() => Math.max(1, max(counts.value) ?? 1))
const depth = computed(() => scaleSqrt().domain([0, most.value]).range([0, 1]))
const colour = (n: number) =>
  interpolateRgb(sheet.value || '#f7f5f0', deep.value || '#14505c')(depth.value(n))
const days = computed(() => tm('watch.days'))
const rows = computed(() =>
  counts.value
    .map((n, key) => ({ key, cells: [weekHour(key), number(n)] }))
    .filter((_, i) => counts.value[i]! > 0),
)
</script>

<template>
  <ChartFrame :title="t('watch.figures.hours')" :note="t('watch.figures.hoursNote')">
    <template #table
      ><DataTable
        :head="[t('lens.field.weekHour'), t('watch.figures.count')]"
        :rows="rows"
        @open="(key) => emit('open', Number(key))"
    /></template>
    <div class="grid" role="grid" :aria-label="t('watch.figures.hours')">
      <div v-for="(name, day) in days" :key="name" class="row" role="row">
        <span class="day" role="rowheader">{{ name }}</span>
        <span v-for="hour in 24" :key="hour" role="gridcell">
          <button
            type="button"
            :style="{ background: colour(counts[day * 24 + hour - 1]!) }"
            :title="`${weekHour(day * 24 + hour - 1)}: ${number(counts[day * 24 + hour - 1]!)}`"
            :aria-label="`${weekHour(day * 24 + hour - 1)}: ${number(counts[day * 24 + hour - 1]!)}`"
            @click="emit('open', day * 24 + hour - 1)"
          />
        </span>
      </div>
      <div class="row hours" aria-hidden="true">
        <span class="day" />
        <span v-for="hour in 24" :key="hour">{{ (hour - 1) % 6 === 0 ? hour - 1 : '' }}</span>
      </div>
    </div>
  </ChartFrame>
</template>

<style scoped>
.grid {
  overflow-x: auto;
}
.row {
  display: grid;
  grid-template-columns: 34px repeat(24, minmax(24px, 1fr));
  gap: 1px;
  margin-bottom: 1px;
  font-size: 11px;
  color: var(--ink-soft);
}
.day {
  line-height: 24px;
}
button {
  display: block;
  width: 100%;
  height: 24px;
  border: 0;
  padding: 0;
  cursor: pointer;
}
button:hover {
  outline: 1px solid var(--deep);
}
.hours {
  line-height: 14px;
}
</style>
