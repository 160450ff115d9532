<script setup lang="ts">
import { computed } from 'vue'
import { max, scaleLinear } from 'd3'
import type { TideAnswer, TideBucket } from '@murrabel/contract'
import { useTexts } from '../composables/useTexts.ts'
import { totalOf } from './tideScale.ts'

/** The bars of the tide line: what is in the lens, behind it the same whatever its state, and what is usual. */
const { tide, behind, usual, shown, width, height } = defineProps<{
  tide: TideAnswer | null
  behind: TideAnswer | null
  usual: { low: number; high: number } | null
  /** The bars that are chosen, first and last. */
  shown: readonly [number, number] | null
  /** Pixels. */
  width: number
  height: number
}>()
const { t, format } = useTexts()
const gap = 2
const order = ['negative', 'neutral', 'positive', 'unread'] as const

const buckets = computed(() => tide?.buckets ?? [])
const whole = computed(() => behind?.buckets ?? buckets.value)
const step = computed(() => (buckets.value.length ? width / buckets.value.length : 0))
const y = computed(() => {
  const most = Math.max(max(whole.value, totalOf) ?? 0, usual?.high ?? 0, 1)
  return scaleLinear()
    .domain([0, most])
    .range([0, height - 6])
})
function stack(bucket: TideBucket) {
  let top = height - 2
  return order.map((sentiment) => {
    const size = y.value(bucket[sentiment])
    top -= size
    return { sentiment, y: top, height: size }
  })
}
const isInside = (i: number) => shown !== null && i >= shown[0] && i <= shown[1]
const bars = computed(() =>
  buckets.value.map((bucket, i) => ({
    x: i * step.value + gap / 2,
    own: stack(bucket),
    all: behind ? stack(whole.value[i] ?? bucket) : [],
    label: label(bucket, whole.value[i]),
  })),
)
function label(bucket: TideBucket, all: TideBucket | undefined): string {
  const date = format(bucket.at, {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    ...(tide?.unit === 'hour' ? { hour: '2-digit' } : {}),
  })
  return behind && all
    ? t('tide.barOf', { date, n: totalOf(bucket), all: totalOf(all) })
    : t('tide.bar', { date, n: totalOf(bucket) })
}
</script>

<template>
  <svg
    :viewBox="`0 0 ${width} ${height}`"
    width="100%"
    :height="height"
    preserveAspectRatio="none"
    class="by-sentiment"
    aria-hidden="true"
  >
    <rect
      v-if="usual"
      x="0"
      :width="width"
      :y="height - 2 - y(usual.high)"
      :height="Math.max(1, y(usual.high) - y(usual.low))"
      class="usual"
    />
    <g v-for="(bar, i) in bars" :key="i" :class="{ inside: isInside(i) }" data-test="bar">
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
        :class="[part.sentiment, { pale: !isInside(i) }]"
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
</template>

<style scoped>
svg {
  display: block;
}
.hand {
  fill: transparent;
}
.usual {
  fill: var(--deep-wash);
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
</style>
