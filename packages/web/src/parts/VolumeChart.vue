<script setup lang="ts">
import { computed, ref, useTemplateRef } from 'vue'
import { max, scaleLinear } from 'd3'
import { useElementSize } from '@vueuse/core'
import type { OutageAnswer, TideAnswer, TideBucket } from '@murrabel/contract'
import { useTexts } from '../composables/useTexts.ts'
import SentimentMark from './SentimentMark.vue'
import { totalOf } from './tideScale.ts'

const {
  tide,
  caption,
  outages = [],
} = defineProps<{
  tide: TideAnswer
  caption: string
  /** Times whose counts are too low: hatched. */
  outages?: readonly OutageAnswer[]
}>()
const emit = defineEmits<{ open: [index: number] }>()
const { t, format, number } = useTexts()
const box = useTemplateRef<HTMLElement>('box')
const { width } = useElementSize(box)
const table = ref(false)
const height = 150
const left = 34
const bottom = 20
const order = ['negative', 'neutral', 'positive', 'unread'] as const

const most = computed(() => Math.max(max(tide.buckets, totalOf) ?? 0, 1))
const y = computed(() =>
  scaleLinear()
    .domain([0, most.value])
    .nice(3)
    .range([height - bottom, 6]),
)
const ticks = computed(() => y.value.ticks(3).filter((n) => Number.isInteger(n)))
const step = computed(() => Math.max(0, (width.value - left) / Math.max(1, tide.buckets.length)))
const labelEvery = computed(() => Math.max(1, Math.ceil(64 / (step.value || 1))))

const dateOf = (at: string) =>
  format(
    at,
    tide.unit === 'hour'
      ? { day: 'numeric', month: 'short', hour: '2-digit' }
      : tide.unit === 'month'
        ? { month: 'short', year: '2-digit' }
        : { day: 'numeric', month: 'short' },
  )
function stack(bucket: TideBucket) {
  let sum = 0
  return order.map((sentiment) => {
    const base = y.value(sum)
    sum += bucket[sentiment]
    return { sentiment, y: y.value(sum), height: base - y.value(sum) }
  })
}
/** Where an instant stands, from the left; buckets may be of different length. */
const xOf = (at: number) => {
  const starts = tide.buckets.map((bucket) => Date.parse(bucket.at))
  const i = Math.max(
    0,
    starts.findLastIndex((start) => start <= at),
  )
  const from = starts[i] ?? at
  const length = (starts[i + 1] ?? from + (from - (starts[i - 1] ?? from - 1))) - from
  return left + (i + Math.min(1, Math.max(0, (at - from) / Math.max(1, length)))) * step.value
}
const bands = computed(() =>
  outages.map(({ account, from, to }) => {
    const x = xOf(Date.parse(from))
    const end = to === null ? left + tide.buckets.length * step.value : xOf(Date.parse(to))
    return { x, width: Math.max(2, end - x), title: t('watch.outage.hatched', { account }) }
  }),
)
const titleOf = (bucket: TideBucket) =>
  `${dateOf(bucket.at)}: ${totalOf(bucket)} (${order
    .filter((s) => bucket[s] > 0)
    .map((s) => `${bucket[s]} ${t(`sentiment.${s}`)}`)
    .join(', ')})`
</script>

<template>
  <figure class="chart">
    <figcaption>
      <h4>{{ caption }}</h4>
      <span class="legend"
        ><span v-for="sentiment in order" :key="sentiment"
          ><SentimentMark :sentiment="sentiment" /> {{ t(`sentiment.${sentiment}`) }}</span
        ></span
      >
      <button type="button" class="plain" @click="table = !table">
        {{ table ? t('watch.chart') : t('watch.table') }}
      </button>
    </figcaption>
    <div v-if="table" class="table">
      <table class="figures">
        <thead>
          <tr>
            <th />
            <th v-for="sentiment in order" :key="sentiment">{{ t(`sentiment.${sentiment}`) }}</th>
            <th>{{ t('watch.mentions') }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(bucket, i) in tide.buckets" :key="bucket.at">
            <th>
              <button type="button" class="plain" @click="emit('open', i)">{{ dateOf(bucket.at) }}</button>
            </th>
            <td v-for="sentiment in order" :key="sentiment">{{ number(bucket[sentiment]) }}</td>
            <td>{{ number(totalOf(bucket)) }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <div v-else ref="box" class="box">
      <svg :width="width" :height="height" class="by-sentiment">
        <g v-for="tick in ticks" :key="tick">
          <line :x1="left" :x2="width" :y1="y(tick)" :y2="y(tick)" class="grid" />
          <text :x="left - 6" :y="y(tick) + 4" class="axis end">{{ tick }}</text>
        </g>
        <defs>
          <pattern
            id="not-collected"
            width="6"
            height="6"
            patternUnits="userSpaceOnUse"
            patternTransform="rotate(45)"
          >
            <line x1="0" y1="0" x2="0" y2="6" class="hatch" />
          </pattern>
        </defs>
        <rect
          v-for="(band, i) in bands"
          :key="`outage${i}`"
          :x="band.x"
          y="0"
          :width="band.width"
          :height="height - bottom"
          fill="url(#not-collected)"
          data-test="outage-band"
        >
          <title>{{ band.title }}</title>
        </rect>
        <g
          v-for="(bucket, i) in tide.buckets"
          :key="bucket.at"
          class="bar"
          role="button"
          :tabindex="totalOf(bucket) ? 0 : -1"
          :aria-label="titleOf(bucket)"
          data-test="volume-bar"
          :data-total="totalOf(bucket)"
          @click="emit('open', i)"
          @keydown.enter="emit('open', i)"
        >
          <title>{{ titleOf(bucket) }}</title>
          <rect :x="left + i * step" y="0" :width="step" :height="height - bottom" class="hand" />
          <rect
            v-for="part in stack(bucket)"
            :key="part.sentiment"
            :x="left + i * step + 1"
            :y="part.y"
            :width="Math.max(1, step - 2)"
            :height="part.height"
            :class="part.sentiment"
          />
        </g>
        <template v-for="(bucket, i) in tide.buckets" :key="`t${bucket.at}`">
          <text
            v-if="i % labelEvery === 0 && left + i * step + 40 < width"
            :x="left + i * step"
            :y="height - 5"
            class="axis"
          >
            {{ dateOf(bucket.at) }}
          </text>
        </template>
      </svg>
    </div>
  </figure>
</template>

<style scoped>
.chart {
  margin: 0;
}
figcaption {
  display: flex;
  justify-content: space-between;
  font-size: 13px;
}
.legend {
  display: flex;
  gap: 14px;
  margin-left: auto;
  margin-right: 24px;
  color: var(--ink-soft);
}
.box {
  height: 150px;
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
.hatch {
  stroke: var(--ink-soft);
  stroke-width: 1.5;
  opacity: 0.5;
}
.hand {
  fill: transparent;
}
.bar {
  cursor: pointer;
}
.bar:hover .hand {
  fill: var(--deep-wash);
}
.table {
  max-height: 150px;
  overflow-y: auto;
}
</style>
