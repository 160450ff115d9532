<script setup lang="ts">
import { computed } from 'vue'
import { line, scaleLinear } from 'd3'
import type { PersonCard } from '@murrabel/contract'
import { useTexts } from '../../composables/useTexts.ts'

/** How somebody felt, one thing after the other: above the line gladly, below it unhappily. */
const { course } = defineProps<{ course: PersonCard['course'] }>()
const { t, day } = useTexts()
const width = 436
const height = 64
const edge = 5
const shown = computed(() => course.slice(-40))
/** One beside the other: time would push together what was said in one evening. */
const x = computed(() =>
  scaleLinear()
    .domain([0, Math.max(1, shown.value.length - 1)])
    .range([edge, width - edge]),
)
const y = scaleLinear()
  .domain([-1, 1])
  .range([height - edge, edge])
const points = computed(() =>
  shown.value.map(({ at, score, sentiment }, i) => ({ x: x.value(i), y: y(score), at, sentiment })),
)
const path = computed(
  () =>
    line<(typeof points.value)[number]>(
      (p) => p.x,
      (p) => p.y,
    )(points.value) ?? '',
)
const label = computed(() =>
  t('people.course', {
    n: shown.value.length,
    from: day(shown.value[0]!.at),
    to: day(shown.value.at(-1)!.at),
  }),
)
</script>

<template>
  <svg class="course" :viewBox="`0 0 ${width} ${height}`" role="img" :aria-label="label">
    <title>{{ label }}</title>
    <line class="zero" x1="0" :x2="width" :y1="height / 2" :y2="height / 2" />
    <path :d="path" />
    <circle v-for="(point, i) in points" :key="i" :class="point.sentiment" :cx="point.x" :cy="point.y" r="4">
      <title>{{ day(point.at) }}: {{ t(`sentiment.${point.sentiment}`) }}</title>
    </circle>
  </svg>
</template>

<style scoped>
.course {
  display: block;
  width: 100%;
  margin: 10px 0 14px;
}
.zero {
  stroke: var(--line);
}
path {
  fill: none;
  stroke: var(--control-line);
  stroke-width: 1.5;
}
.positive {
  fill: var(--pos);
}
.negative {
  fill: var(--neg);
}
.neutral {
  fill: var(--neu);
}
</style>
