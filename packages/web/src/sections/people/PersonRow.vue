<script setup lang="ts">
import { computed } from 'vue'
import type { PersonRow } from '@murrabel/contract'
import { useTexts } from '../../composables/useTexts.ts'
import SentimentDots from './SentimentDots.vue'
import { useNetworks } from './useNetworks.ts'
import { useVisitTexts } from './useVisitTexts.ts'

const { row, selected = false } = defineProps<{ row: PersonRow; selected?: boolean }>()
const emit = defineEmits<{ open: [] }>()
const { t, number, day, exact } = useTexts()
const networksOf = useNetworks()
const { summary } = useVisitTexts()
const known = computed(() =>
  [row.standing ? t(`watch.voices.standings.${row.standing}`) : '', row.note].filter(Boolean).join(', '),
)
</script>

<template>
  <button
    type="button"
    class="row"
    :class="{ selected }"
    :data-person="row.id"
    :aria-current="selected ? 'true' : undefined"
    @click="emit('open')"
  >
    <span class="who">
      <b>{{ row.name }}</b>
      <small class="soft">{{ networksOf(row.networks) }}</small>
    </span>
    <span class="said">{{ number(row.said) }}</span>
    <span class="felt">
      <SentimentDots v-if="row.sentiments.length" :sentiments="row.sentiments" />
      <small v-if="row.last" class="soft">
        <time :datetime="row.last" :title="exact(row.last)">{{ day(row.last) }}</time>
        <span v-if="row.openThreads" class="open">
          · {{ t('people.openThreads', { n: row.openThreads }, row.openThreads) }}</span
        >
      </small>
    </span>
    <span class="visits" :class="{ soft: !row.visits.latest && !row.visits.next }">{{
      summary(row.visits)
    }}</span>
    <span class="known soft" :title="known">{{ known }}</span>
  </button>
</template>

<style scoped>
.row {
  font: inherit;
  color: inherit;
  text-align: left;
  width: 100%;
  border: 0;
  border-bottom: 1px solid var(--line);
  background: none;
  cursor: pointer;
  padding: 8px 20px 9px;
  align-items: baseline;
}
.row:hover {
  background: var(--paper);
}
.row.selected {
  background: var(--deep-wash);
}
.who b,
.who small {
  display: block;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.who b {
  font-weight: 600;
}
small {
  font-size: 12px;
  line-height: 17px;
}
.said {
  text-align: right;
  font-variant-numeric: tabular-nums;
}
.felt small {
  display: block;
  margin-top: 3px;
}
.open {
  color: var(--flare-text);
}
.known {
  overflow: hidden;
  display: -webkit-box;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
}
</style>
