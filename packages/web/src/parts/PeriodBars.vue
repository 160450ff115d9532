<script setup lang="ts">
import { computed, useTemplateRef } from 'vue'
import { line, max, scaleLinear } from 'd3'
import { useElementSize } from '@vueuse/core'
import { useTexts } from '../composables/useTexts.ts'
import ChartFrame from './ChartFrame.vue'
import DataTable from './DataTable.vue'

/** Values by period as bars with the usual range behind them, or as a line around 0. A mark opens its period. */
const {
  values,
  starts,
  title,
  note = '',
  usual = null,
  around = false,
  show = String,
} = defineProps<{
  values: readonly (number | null)[]
  starts: readonly string[]
  title: string
  note?: string
  usual?: { low: number; high: number } | null
  /** A line between -1 and 1 instead of bars from 0. */
  around?: boolean
  show?: (value: number) => string
}>()
const emit = defineEmits<{ open: [index: number] }>()
const { t, day } = useTexts()
const box = useTemplateRef<HTMLElement>('box')
const { width } = useElementSize(box)
const height = 130
const left = 36
const bottom = 18
const y = computed(() =>
  scaleLinear()
    .domain(around ? [-1, 1] : [0, Math.max(1, max(values, (v) => v ?? 0) ?? 1, usual?.high ?? 0)])
    .nice(3)
    .range([height - bottom, 6]),
)
const step = computed(() => Math.max(0, (width.value - left) / Math.max(1, values.length)))
const path = computed(
  () =>
    line<number | null>()
      .defined((v) => v !== null)
      .x((_, i) => left + (i + 0.5) * step.value)
      .y((v) => y.value(v ?? 0))(values as (number | null)[]) ?? '',
)
const ticks = computed(() => y.value.ticks(3))
const nameOf = (i: number) => day(starts[i]!)
const text = (value: number | null) => (value === null ? '–' : show(value))
const labelEvery = computed(() => Math.max(1, Math.ceil(52 / (step.value || 1))))
</script>

<template>
  <ChartFrame :title="title" :note="note">
    <template #table
      ><DataTable
        :head="[t('lens.field.range'), title]"
        :rows="values.map((value, i) => ({ key: i, cells: [nameOf(i), text(value)] }))"
        @open="(key) => emit('open', Number(key))"
    /></template>
    <div ref="box" class="box">
      <svg :width="width" :height="height">
        <rect
          v-if="usual"
          :x="left"
          :width="Math.max(0, width - left)"
          :y="y(usual.high)"
          :height="Math.max(1, y(usual.low) - y(usual.high))"
          class="usual"
        />
        <g v-for="tick in ticks" :key="tick">
          <line :x1="left" :x2="width" :y1="y(tick)" :y2="y(tick)" class="grid" />
          <text :x="left - 6" :y="y(tick) + 4" class="axis end">{{ show(tick) }}</text>
        </g>
        <path v-if="around" :d="path" class="line" />
        <g
          v-for="(value, i) in values"
          :key="i"
          class="bar"
          role="button"
          :tabindex="value === null ? -1 : 0"
          :aria-label="`${nameOf(i)}: ${text(value)}`"
          @click="emit('open', i)"
          @keydown.enter="emit('open', i)"
        >
          <title>{{ nameOf(i) }}: {{ text(value) }}</title>
          <rect :x="left + i * step" y="0" :width="step" :height="height - bottom" class="hand" />
          <circle v-if="around && value !== null" :cx="left + (i + 0.5) * step" :cy="y(value)" r="3" />
          <rect
            v-else-if="value !== null"
            :x="left + i * step + step * 0.15"
            :width="step * 0.7"
            :y="y(value)"
            :height="Math.max(0, height - bottom - y(value))"
            :class="{ last: i === values.length - 1 }"
          />
        </g>
        <template v-for="(_, i) in values" :key="`t${i}`">
          <text v-if="i % labelEvery === 0" :x="left + i * step + step * 0.15" :y="height - 4" class="axis">
            {{ nameOf(i) }}
          </text>
        </template>
      </svg>
    </div>
  </ChartFrame>
</template>

<style scoped>
.box {
  height: 130px;
}
.usual {
  fill: var(--deep-wash);
}
.grid {
  stroke: var(--line);
}
.axis {
  font-size: 11px;
  fill: var(--ink-soft);
}
.end {
  text-anchor: end;
}
.line {
  fill: none;
  stroke: var(--deep);
  stroke-width: 1.5;
}
.bar {
  cursor: pointer;
  fill: var(--neu);
}
.bar circle,
.bar .last {
  fill: var(--deep);
}
.bar .hand {
  fill: transparent;
}
.bar:hover .hand {
  fill: var(--deep);
  fill-opacity: 0.08;
}
</style>
