<script setup lang="ts">
import { computed } from 'vue'
import { interpolateRgb, max, scaleSqrt } from 'd3'
import { useCssVar } from '@vueuse/core'
import type { WeekInputs } from '@murrabel/core/staffing'
import { useTexts } from '../../composables/useTexts.ts'
import ChartFrame from '../../parts/ChartFrame.vue'
import DataTable from '../../parts/DataTable.vue'

/** The coming week by day and hour: what would be past due, and below it who is there. */
const { start, late, people } = defineProps<{
  /** Epoch milliseconds of the first hour. */
  start: number
  late: readonly number[]
  people: WeekInputs['people']
}>()
const { t, format, number } = useTexts()
const sheet = useCssVar('--paper')
const flare = useCssVar('--flare')
const hourMs = 3_600_000
const there = computed(() =>
  late.map((_, hour) => people.reduce((sum, { presence }) => sum + (presence[hour] ?? 0), 0)),
)
const most = computed(() => Math.max(0.5, max(late) ?? 0))
const depth = computed(() => scaleSqrt().domain([0, most.value]).range([0, 1]))
const colour = (n: number) =>
  interpolateRgb(sheet.value || '#f7f5f0', flare.value || '#c8551b')(depth.value(n))
const mostThere = computed(() => Math.max(1, max(there.value) ?? 1))
const tall = (n: number) => `${Math.round((7 * n) / mostThere.value)}px`
const round = (n: number) => number(Math.round(n * 10) / 10)

interface Cell {
  late: number
  there: number
  text: string
}
/** Days where the brand is, each with the hours that lie in the week. */
const days = computed(() => {
  const rows = new Map<string, { name: string; cells: (Cell | null)[] }>()
  late.forEach((n, hour) => {
    const at = start + hour * hourMs
    const key = format(at, { year: 'numeric', month: '2-digit', day: '2-digit' })
    const row = rows.get(key) ?? {
      name: format(at, { weekday: 'short', day: 'numeric' }),
      cells: new Array<Cell | null>(24).fill(null),
    }
    const clock = Number(format(at, { hour: '2-digit', hourCycle: 'h23' }).replace(/\D/g, ''))
    const text = t('weekAhead.heatCell', {
      t: format(at, { weekday: 'long', hour: '2-digit', minute: '2-digit' }),
      late: round(n),
      people: round(there.value[hour]!),
    })
    row.cells[clock] = { late: n, there: there.value[hour]!, text }
    rows.set(key, row)
  })
  return [...rows.values()]
})
const rows = computed(() =>
  late.map((n, hour) => ({
    key: hour,
    cells: [
      format(start + hour * hourMs, { weekday: 'short', day: 'numeric', hour: '2-digit', minute: '2-digit' }),
      round(n),
      round(there.value[hour]!),
    ],
  })),
)
</script>

<template>
  <ChartFrame :title="t('weekAhead.heat')">
    <template #table
      ><DataTable
        :head="[
          t('weekAhead.heatTable.hour'),
          t('weekAhead.heatTable.late'),
          t('weekAhead.heatTable.people'),
        ]"
        :rows="rows"
    /></template>
    <div class="heat" role="img" :aria-label="t('weekAhead.heat')" data-test="heat">
      <div class="row hours" aria-hidden="true">
        <span class="day" />
        <span v-for="hour in 24" :key="hour">{{ (hour - 1) % 3 === 0 ? `${hour - 1}:00` : '' }}</span>
      </div>
      <div v-for="row in days" :key="row.name" class="row">
        <span class="day">{{ row.name }}</span>
        <span v-for="(cell, i) in row.cells" :key="i" :title="cell?.text">
          <template v-if="cell">
            <i class="late" :style="{ background: colour(cell.late) }" />
            <i class="there" :style="{ height: tall(cell.there) }" />
          </template>
        </span>
      </div>
    </div>
  </ChartFrame>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: 66px repeat(24, minmax(0, 1fr));
  gap: 2px;
  margin-bottom: 4px;
}
.row > span {
  min-height: 33px;
}
.day {
  font-size: 13px;
  line-height: 24px;
}
.hours span {
  min-height: 16px;
  font-size: 12px;
  color: var(--ink-soft);
  white-space: nowrap;
}
.late {
  display: block;
  height: 24px;
}
.there {
  display: block;
  margin-top: 2px;
  background: var(--deep);
}
@media (max-width: 720px) {
  .heat {
    overflow-x: auto;
  }
  .row {
    grid-template-columns: 52px repeat(24, 20px);
  }
}
</style>
