<script setup lang="ts">
import { computed } from 'vue'
import type { EntryRow } from '@murrabel/contract'
import { useTexts } from '../../composables/useTexts.ts'
import RatingSteps from '../../parts/RatingSteps.vue'
import SentimentMark from '../../parts/SentimentMark.vue'
import { useBrand } from '../../stores/brand.ts'

const { row, selected } = defineProps<{ row: EntryRow; selected: boolean }>()
const emit = defineEmits<{ open: [] }>()
const { t, due, exact, when } = useTexts()
const brand = useBrand()

const owed = computed(() =>
  row.notSent
    ? { text: t('inbox.notSent'), past: true }
    : row.state === 'open'
      ? due(row.dueAt)
      : { text: t(`state.${row.state}`), past: false },
)
const where = computed(() =>
  [
    brand.placeName(row.placeId),
    row.network === 'feed' || row.network === 'file'
      ? row.profile
      : row.network.charAt(0).toUpperCase() + row.network.slice(1),
    row.private ? t('inbox.private') : '',
    row.paid ? t('inbox.onPaid') : '',
  ]
    .filter(Boolean)
    .join(' · '),
)
</script>

<template>
  <button
    type="button"
    class="row"
    :class="{ selected }"
    :aria-current="selected"
    :data-thread="row.threadId"
    @click="emit('open')"
  >
    <span class="top">
      <span :class="{ past: owed.past }" :title="row.dueAt ? exact(row.dueAt) : ''">{{ owed.text }}</span>
      <span class="where">{{ where }}</span>
    </span>
    <span class="who">
      <SentimentMark :sentiment="row.sentiment" />
      <b>{{ row.author }}</b>
      <span v-if="row.givenTo" class="given">{{ brand.colleagueName(row.givenTo) }}</span>
      <RatingSteps v-if="row.rating !== null" class="rating" :rating="row.rating" />
      <time v-else class="rating soft" :datetime="row.at" :title="exact(row.at)">{{ when(row.at) }}</time>
    </span>
    <span v-if="row.text" class="words text">{{ row.title ? `${row.title}. ` : '' }}{{ row.text }}</span>
    <span v-else class="text soft none">{{ t('inbox.noWords') }}</span>
  </button>
</template>

<style scoped>
.row {
  display: block;
  width: 100%;
  height: 75px;
  text-align: left;
  font: inherit;
  color: inherit;
  background: var(--sheet);
  border: 0;
  border-bottom: 1px solid var(--line);
  border-left: 3px solid transparent;
  padding: 5px 16px 6px 17px;
  cursor: pointer;
}
.row:focus-visible {
  outline-offset: -2px;
}
.selected {
  background: var(--deep-wash);
  border-left-color: var(--deep);
}
.top,
.who {
  display: flex;
  align-items: center;
  gap: 8px;
  height: 20px;
}
.top {
  font-size: 12px;
  color: var(--ink-soft);
  justify-content: space-between;
  white-space: nowrap;
}
.past {
  color: var(--flare-text);
  font-weight: 600;
}
.where {
  overflow: hidden;
  text-overflow: ellipsis;
}
.who b {
  font-weight: 600;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.given {
  font-size: 12px;
  color: var(--deep);
  white-space: nowrap;
}
.rating {
  margin-left: auto;
  font-size: 12px;
  white-space: nowrap;
}
.text {
  display: block;
  height: 24px;
  line-height: 24px;
  font-size: 15px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.none {
  font-size: 13px;
}
</style>
