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
const isInside = (i: number) => shown !== null && i >= shown[0] && i <= shown[1]
/** One outline for all parts of a kind: a strip of a hundred bars would be a thousand shapes. */
function outline(of: readonly TideBucket[], sentiment: (typeof order)[number]): string {
  const wide = round(Math.max(1, step.value - gap))
  return of
    .flatMap((bucket, i) => {
      if (!bucket[sentiment]) return []
      const under = order.slice(0, order.indexOf(sentiment)).reduce((sum, each) => sum + bucket[each], 0)
      const high = round(y.value(bucket[sentiment]))
      const foot = round(height - 2 - y.value(under))
      return `M${round(i * step.value + gap / 2)} ${foot}v-${high}h${wide}v${high}z`
    })
    .join('')
}
/** A tenth of a pixel. */
const round = (pixels: number) => Math.round(pixels * 10) / 10
const none = { positive: 0, neutral: 0, negative: 0, unread: 0 }
const only = (wanted: (i: number) => boolean) =>
  buckets.value.map((bucket, i) => (wanted(i) ? bucket : { ...bucket, ...none }))
/** What stands behind, what is in the lens, and of that what is chosen. */
const outlines = computed(() =>
  [
    { of: behind ? buckets.value.map((bucket, i) => whole.value[i] ?? bucket) : [], pale: true },
    { of: only((i) => !isInside(i)), pale: true },
    { of: only(isInside), pale: false },
  ].flatMap(({ of, pale }, layer) =>
    order.flatMap((sentiment) => {
      const path = outline(of, sentiment)
      return path ? [{ key: `${layer}${sentiment}`, sentiment, pale, path }] : []
    }),
  ),
)
const labels = computed(() => buckets.value.map((bucket, i) => label(bucket, whole.value[i])))
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
    <path
      v-for="{ key, sentiment, pale, path } in outlines"
      :key="key"
      :d="path"
      :class="[sentiment, { pale }]"
    />
    <rect
      v-for="(text, i) in labels"
      :key="i"
      :x="round(i * step)"
      y="0"
      :width="round(step)"
      :height="height"
      class="hand"
      data-test="bar"
    >
      <title>{{ text }}</title>
    </rect>
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
