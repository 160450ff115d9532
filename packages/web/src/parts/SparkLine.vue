<script setup lang="ts">
import { computed } from 'vue'
import { line, max, scaleLinear } from 'd3'

const { values, label } = defineProps<{ values: readonly number[]; label: string }>()
const width = 88
const height = 22
const path = computed(() => {
  const x = scaleLinear()
    .domain([0, Math.max(1, values.length - 1)])
    .range([1, width - 1])
  const y = scaleLinear()
    .domain([0, Math.max(1, max(values) ?? 1)])
    .range([height - 2, 2])
  return line<number>((_, i) => x(i), y)(values) ?? ''
})
</script>

<template>
  <svg class="spark" :width="width" :height="height" role="img" :aria-label="label">
    <title>{{ label }}</title>
    <path :d="path" />
  </svg>
</template>

<style scoped>
.spark {
  flex: none;
}
path {
  fill: none;
  stroke: var(--deep);
  stroke-width: 1.5;
  stroke-linejoin: round;
}
</style>
