<script setup lang="ts">
import { computed } from 'vue'
import { max } from 'd3'
import type { Slice } from '@murrabel/contract'
import { useTexts } from '../composables/useTexts.ts'
import ChartFrame from './ChartFrame.vue'
import DataTable from './DataTable.vue'

/** Parts of a volume by name, each a bar stacked by sentiment; a bar opens its entries. */
const {
  slices,
  title,
  nameOf,
  limit = 8,
} = defineProps<{
  slices: readonly Slice[]
  title: string
  nameOf: (key: Slice['key']) => string
  limit?: number
}>()
const emit = defineEmits<{ open: [key: Slice['key']] }>()
const { t, number } = useTexts()
const sentiments = ['negative', 'neutral', 'positive', 'unread'] as const
const totalOf = (slice: Slice) => slice.positive + slice.neutral + slice.negative + slice.unread
const most = computed(() => Math.max(1, max(slices, totalOf) ?? 1))
const head = computed(() => [
  t('watch.figures.name'),
  ...sentiments.map((m) => t(`sentiment.${m}`)),
  t('watch.figures.count'),
])
const rows = computed(() =>
  slices.map((s) => ({
    key: s.key,
    cells: [nameOf(s.key), ...sentiments.map((m) => number(s[m])), number(totalOf(s))],
  })),
)
const label = (slice: Slice) =>
  `${nameOf(slice.key)}: ${number(totalOf(slice))} (${sentiments.map((m) => `${number(slice[m])} ${t(`sentiment.${m}`)}`).join(', ')})`
</script>

<template>
  <ChartFrame :title="title">
    <template #table><DataTable :head="head" :rows="rows" @open="(key) => emit('open', key)" /></template>
    <ul class="bars">
      <li v-for="slice in slices.slice(0, limit)" :key="String(slice.key)">
        <button
          type="button"
          :title="label(slice)"
          :aria-label="label(slice)"
          @click="emit('open', slice.key)"
        >
          <span class="name">{{ nameOf(slice.key) }}</span>
          <span class="track">
            <span
              v-for="sentiment in sentiments"
              :key="sentiment"
              :class="sentiment"
              :style="{ width: `${(100 * slice[sentiment]) / most}%` }"
            />
          </span>
          <span class="n">{{ number(totalOf(slice)) }}</span>
        </button>
      </li>
    </ul>
  </ChartFrame>
</template>

<style scoped>
.bars {
  list-style: none;
  margin: 0;
  padding: 0;
}
button {
  display: grid;
  grid-template-columns: 96px minmax(0, 1fr) 48px;
  align-items: center;
  gap: 8px;
  width: 100%;
  font: inherit;
  font-size: 13px;
  color: inherit;
  text-align: left;
  background: none;
  border: 0;
  padding: 2px 0;
  cursor: pointer;
}
button:hover {
  background: var(--deep-wash);
}
.name {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.track {
  display: flex;
  height: 12px;
}
.n {
  text-align: right;
}
.negative {
  background: var(--neg);
}
.neutral {
  background: var(--neu);
}
.positive {
  background: var(--pos);
}
.unread {
  background: var(--unread);
}
</style>
