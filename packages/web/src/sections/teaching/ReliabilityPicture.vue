<script setup lang="ts">
import { computed } from 'vue'
import { scaleLinear } from 'd3'
import type { DoubtsAnswer } from '@murrabel/contract'
import { useTexts } from '../../composables/useTexts.ts'

/** Of readings by how sure they were: how many were right. On the slanting line both are the same. */
const { reliability } = defineProps<{ reliability: DoubtsAnswer['reliability'] }>()
const { t, number, percent } = useTexts()
/** With fewer judgements a picture would be of chance. */
const needed = 12
const width = 340
const height = 210
const x = scaleLinear()
  .domain([0.3, 1])
  .range([40, width - 12])
const y = scaleLinear()
  .domain([0, 1])
  .range([height - 34, 10])
const steps = [0, 0.25, 0.5, 0.75, 1]
const sure = [0.4, 0.6, 0.8, 1]
const points = computed(() =>
  reliability.bins.map((bin) => ({
    x: x(Math.max(0.3, bin.said)),
    y: y(bin.right / bin.n),
    low: y(bin.low),
    high: y(bin.high),
    radius: Math.min(7, 2.5 + Math.sqrt(bin.n) / 2),
    text: t('watch.teach.bin', {
      from: percent(bin.from),
      to: percent(bin.to),
      right: number(bin.right),
      n: number(bin.n),
      low: percent(bin.low),
      high: percent(bin.high),
    }),
  })),
)
</script>

<template>
  <div data-test="reliability">
    <h3>{{ t('watch.teach.reliability') }}</h3>
    <p class="soft">{{ t('watch.teach.reliabilityIntro') }}</p>
    <p v-if="reliability.n < needed">
      {{ t('watch.teach.reliabilityFew', { n: number(reliability.n), needed }, reliability.n) }}
    </p>
    <template v-else>
      <svg :viewBox="`0 0 ${width} ${height}`" role="img" :aria-label="t('watch.teach.reliability')">
        <g v-for="step in steps" :key="step" class="axis">
          <line :x1="x(0.3)" :x2="x(1)" :y1="y(step)" :y2="y(step)" />
          <text :x="x(0.3) - 6" :y="y(step) + 4" text-anchor="end">{{ percent(step) }}</text>
        </g>
        <text
          v-for="each in sure"
          :key="each"
          class="tick"
          :x="x(each)"
          :y="height - 18"
          :text-anchor="each === 1 ? 'end' : 'middle'"
        >
          {{ percent(each) }}
        </text>
        <text class="tick" :x="(x(0.3) + x(1)) / 2" :y="height - 3" text-anchor="middle">
          {{ t('watch.teach.said') }}
        </text>
        <line class="same" :x1="x(0.3)" :y1="y(0.3)" :x2="x(1)" :y2="y(1)" />
        <g v-for="point in points" :key="point.text" class="point">
          <title>{{ point.text }}</title>
          <line :x1="point.x" :x2="point.x" :y1="point.low" :y2="point.high" />
          <circle :cx="point.x" :cy="point.y" :r="point.radius" />
        </g>
      </svg>
      <p>
        {{
          t(
            'watch.teach.reliabilityError',
            { n: number(reliability.n), points: number(Math.round(100 * (reliability.error ?? 0))) },
            reliability.n,
          )
        }}
      </p>
    </template>
    <p v-if="reliability.elsewhere" class="soft">
      {{ t('watch.teach.elsewhere', { n: number(reliability.elsewhere) }, reliability.elsewhere) }}
    </p>
  </div>
</template>

<style scoped>
h3 {
  font-size: 15px;
  font-weight: 600;
  margin: 10px 0 2px;
}
svg {
  display: block;
  width: 100%;
  max-width: 360px;
  margin: 6px 0;
}
.axis line {
  stroke: var(--line);
}
text {
  font-size: 11px;
  fill: var(--ink-soft);
}
.same {
  stroke: var(--control-line);
  stroke-dasharray: 3 3;
}
.point line {
  stroke: var(--deep);
  stroke-width: 1.5;
}
.point circle {
  fill: var(--deep);
}
p {
  margin-bottom: 8px;
}
</style>
