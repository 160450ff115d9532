<script setup lang="ts">
import { computed, ref, useTemplateRef } from 'vue'
import { max, scaleLinear } from 'd3'
import { useElementSize } from '@vueuse/core'
import type { Lens, LensRange } from '@murrabel/core/lens'
import type { TideAnswer, TideBucket } from '@murrabel/contract'
import { useTexts } from '../composables/useTexts.ts'
import { useBrand } from '../stores/brand.ts'
import { bucketsOfRange, rangeOfBuckets, totalOf } from './tideScale.ts'

const {
  lens,
  tide,
  behind = null,
  loading,
} = defineProps<{ lens: Lens; tide: TideAnswer | null; behind?: TideAnswer | null; loading: boolean }>()
const emit = defineEmits<{ range: [range: LensRange | null] }>()
const { t, format, number } = useTexts()
const brand = useBrand()
const box = useTemplateRef<HTMLElement>('box')
const { width } = useElementSize(box)
const height = 58
const gap = 2
const order = ['negative', 'neutral', 'positive', 'unread'] as const

const buckets = computed(() => tide?.buckets ?? [])
const whole = computed(() => behind?.buckets ?? buckets.value)
const place = computed(() => ({ zone: brand.zone, unit: tide?.unit ?? ('day' as const) }))
const step = computed(() => (buckets.value.length ? width.value / buckets.value.length : 0))
// A range that ends below one entry would say nothing.
const usual = computed(() => {
  const range = (behind ?? tide)?.usual ?? null
  return range && range.high >= 1 ? range : null
})
const y = computed(() => {
  const most = Math.max(max(whole.value, totalOf) ?? 0, usual.value?.high ?? 0, 1)
  return scaleLinear()
    .domain([0, most])
    .range([0, height - 6])
})
const chosen = computed(() => bucketsOfRange(buckets.value, lens.range, place.value))
const drag = ref<[number, number] | null>(null)
const shown = computed(() =>
  drag.value ? ([Math.min(...drag.value), Math.max(...drag.value)] as [number, number]) : chosen.value,
)

function stack(bucket: TideBucket) {
  let top = height - 2
  return order.map((sentiment) => {
    const size = y.value(bucket[sentiment])
    top -= size
    return { sentiment, y: top, height: size }
  })
}
const bars = computed(() =>
  buckets.value.map((bucket, i) => ({
    x: i * step.value + gap / 2,
    own: stack(bucket),
    all: behind ? stack(whole.value[i] ?? bucket) : [],
    inside: shown.value !== null && i >= shown.value[0] && i <= shown.value[1],
    label: label(bucket, whole.value[i]),
  })),
)
function label(bucket: TideBucket, all: TideBucket | undefined): string {
  const date = dateOf(bucket.at)
  return behind && all
    ? t('tide.barOf', { date, n: totalOf(bucket), all: totalOf(all) })
    : t('tide.bar', { date, n: totalOf(bucket) })
}
const dateOf = (at: string) =>
  format(at, {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    ...(tide?.unit === 'hour' ? { hour: '2-digit' } : {}),
  })
const rangeLabel = computed(() => {
  const range = shown.value
  if (!range || !buckets.value.length) return ''
  const long = range[1] - range[0] > (tide?.unit === 'week' ? 40 : tide?.unit === 'month' ? 10 : 300)
  const short = (i: number) =>
    format(buckets.value[i]!.at, { day: 'numeric', month: 'short', ...(long ? { year: 'numeric' } : {}) })
  return range[0] === range[1] ? short(range[0]) : `${short(range[0])} – ${short(range[1])}`
})

/** Pixels that a range in words needs at most. */
const labelWidth = 190
/** Beside the frame where there is room, otherwise inside it at its end. */
const rangePlace = computed(() => {
  const [first, last] = shown.value ?? [0, 0]
  const left = first * step.value
  const right = (last + 1) * step.value
  if (left > labelWidth) return { right: `${width.value - left + 6}px` }
  return width.value - right > labelWidth ? { left: `${right + 6}px` } : { right: '6px' }
})

const indexAt = (event: PointerEvent) => {
  const left = box.value?.getBoundingClientRect().left ?? 0
  return Math.max(
    0,
    Math.min(buckets.value.length - 1, Math.floor((event.clientX - left) / (step.value || 1))),
  )
}
function down(event: PointerEvent): void {
  if (!buckets.value.length || event.button !== 0) return
  box.value?.setPointerCapture(event.pointerId)
  drag.value = [indexAt(event), indexAt(event)]
}
function move(event: PointerEvent): void {
  if (drag.value) drag.value = [drag.value[0], indexAt(event)]
}
function up(): void {
  if (!drag.value) return
  choose(drag.value[0], drag.value[1])
  drag.value = null
}
function choose(first: number, last: number): void {
  emit('range', rangeOfBuckets(buckets.value, first, last, place.value))
}
function onKey(event: KeyboardEvent): void {
  const way = event.key === 'ArrowLeft' ? -1 : event.key === 'ArrowRight' ? 1 : 0
  if (event.key === 'Escape') emit('range', null)
  else if (way && chosen.value) {
    const [first, last] = chosen.value
    const end = buckets.value.length - 1
    if (event.shiftKey) choose(first, Math.max(first, Math.min(end, last + way)))
    else if (first + way >= 0 && last + way <= end) choose(first + way, last + way)
  } else return
  event.preventDefault()
}
</script>

<template>
  <div class="tide">
    <div
      ref="box"
      class="strip"
      role="slider"
      tabindex="0"
      :aria-label="t('tide.label')"
      :aria-valuetext="rangeLabel"
      :aria-valuenow="chosen?.[0] ?? 0"
      aria-valuemin="0"
      :aria-valuemax="buckets.length"
      @pointerdown="down"
      @pointermove="move"
      @pointerup="up"
      @pointercancel="drag = null"
      @dblclick="emit('range', null)"
      @keydown="onKey"
    >
      <svg :width="width" :height="height" aria-hidden="true">
        <rect
          v-if="usual"
          x="0"
          :width="width"
          :y="height - 2 - y(usual.high)"
          :height="Math.max(1, y(usual.high) - y(usual.low))"
          class="usual"
        />
        <g v-for="(bar, i) in bars" :key="i" :class="{ inside: bar.inside }" data-test="bar">
          <title>{{ bar.label }}</title>
          <rect :x="bar.x - gap / 2" y="0" :width="step" :height="height" class="hand" />
          <rect
            v-for="part in bar.all"
            :key="`a${part.sentiment}`"
            :x="bar.x"
            :y="part.y"
            :width="Math.max(1, step - gap)"
            :height="part.height"
            :class="[part.sentiment, 'pale']"
          />
          <rect
            v-for="part in bar.own"
            :key="part.sentiment"
            :x="bar.x"
            :y="part.y"
            :width="Math.max(1, step - gap)"
            :height="part.height"
            :class="[part.sentiment, { pale: !bar.inside }]"
          />
        </g>
        <rect
          v-if="shown && step"
          :x="shown[0] * step"
          y="1"
          :width="(shown[1] - shown[0] + 1) * step"
          :height="height - 2"
          class="frame"
        />
      </svg>
      <span v-if="usual" class="note left">{{
        t('tide.usual', {
          low: number(Math.round(usual.low)),
          high: number(Math.round(usual.high)),
          unit: t(`tide.unit.${place.unit}`),
        })
      }}</span>
      <span v-if="shown && rangeLabel" class="note range" :style="rangePlace">{{ rangeLabel }}</span>
      <span v-if="loading && !tide" class="note left">{{ t('tide.loading') }}</span>
    </div>
  </div>
</template>

<style scoped>
.tide {
  height: 60px;
  padding: 0 20px;
  background: var(--sheet);
  border-bottom: 1px solid var(--line);
}
.strip {
  position: relative;
  height: 58px;
  cursor: crosshair;
  touch-action: none;
}
svg {
  display: block;
}
.hand {
  fill: transparent;
}
.usual {
  fill: var(--deep-wash);
}
.negative {
  fill: var(--neg);
}
.neutral {
  fill: var(--neu);
}
.positive {
  fill: var(--pos);
}
.unread {
  fill: var(--unread);
}
.pale {
  opacity: 0.32;
}
.frame {
  fill: none;
  stroke: var(--deep);
  stroke-width: 1.5;
  rx: 3px;
}
.note {
  position: absolute;
  top: 3px;
  font-size: 12px;
  line-height: 16px;
  color: var(--ink-soft);
  pointer-events: none;
  white-space: nowrap;
  background: color-mix(in srgb, var(--sheet) 70%, transparent);
  padding: 0 3px;
}
.left {
  left: 0;
}
</style>
