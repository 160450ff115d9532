<script setup lang="ts">
import { computed } from 'vue'
import type { EntryRow } from '@murrabel/contract'
import { useTexts } from '../../composables/useTexts.ts'
import { useSearchPlaces } from '../../composables/useSearch.ts'
import { networkName } from '../../composables/networkName.ts'
import EntryText from '../../parts/EntryText.vue'
import { excerpt } from '../../parts/excerpt.ts'
import RatingSteps from '../../parts/RatingSteps.vue'
import SentimentMark from '../../parts/SentimentMark.vue'
import { useDensity } from '../../stores/density.ts'
import { useBrand } from '../../stores/brand.ts'

const { row, selected } = defineProps<{ row: EntryRow; selected: boolean; chosen?: boolean }>()
const emit = defineEmits<{ open: [] }>()
const { t, due, exact, when } = useTexts()
const brand = useBrand()
const density = useDensity()
const owner = computed(() => brand.ownerName(row))

const owed = computed(() =>
  row.notSent
    ? { text: t('inbox.notSent'), past: true }
    : row.spam
      ? { text: t('inbox.spam.state'), past: false }
      : row.state === 'open'
        ? due(row.dueAt)
        : { text: t(`state.${row.state}`), past: false },
)
/** What somebody asks for stands in the row; that nothing is asked for need not be said. */
const wish = computed(() => (row.wish && row.wish !== 'none' ? t(`wish.${row.wish}`) : ''))
const places = useSearchPlaces()
const words = computed(() => {
  const whole = [row.title, row.text].filter(Boolean).join('. ')
  return excerpt(whole, places(whole))
})
const where = computed(() =>
  [
    brand.placeName(row.placeId),
    row.network === 'file' ? row.profile : networkName(row, t('profiles.email.channel')),
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
    :class="[density.rows, { selected, chosen }]"
    :aria-current="selected"
    :data-thread="row.threadId"
    @click="emit('open')"
  >
    <span class="top">
      <SentimentMark :sentiment="row.sentiment" :doubt="row.doubt" />
      <b>{{ row.author }}</b>
      <RatingSteps v-if="row.rating !== null" class="rating" :rating="row.rating" />
      <span v-if="row.priority" class="wish">{{ t(`inbox.high.${row.priority}`) }}</span>
      <span v-if="wish" class="wish" data-test="wish">{{ wish }}</span>
      <span class="due" :class="{ past: owed.past }" :title="row.dueAt ? exact(row.dueAt) : ''">{{
        owed.text
      }}</span>
    </span>
    <EntryText v-if="row.text || row.title" class="text" :text="words.text" :hits="words.marks" />
    <span v-else class="text none">{{ t(row.deleted ? 'inbox.deleted' : 'inbox.noWords') }}</span>
    <span class="from">
      <span class="where">{{ where }}</span>
      <span v-if="owner" class="given">{{ owner }}</span>
      <time :datetime="row.at" :title="exact(row.at)">{{ when(row.at) }}</time>
    </span>
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
  padding: 3px 16px 2px 17px;
  cursor: pointer;
}
.row:focus-visible {
  outline-offset: -2px;
}
.chosen {
  background: var(--deep-wash);
}
.selected {
  background: var(--deep-wash);
  border-left-color: var(--deep);
}
.top,
.from {
  display: flex;
  align-items: center;
  gap: 8px;
  white-space: nowrap;
}
.top {
  height: 18px;
}
.top b {
  font-weight: 600;
  overflow: hidden;
  text-overflow: ellipsis;
}
.from {
  height: 15px;
  font-size: 12px;
  color: var(--ink-soft);
}
.due,
.from time {
  margin-left: auto;
  font-size: 12px;
  color: var(--ink-soft);
}
.due.past {
  color: var(--flare-text);
  font-weight: 600;
}
.wish {
  flex: none;
  font-size: 12px;
  color: var(--ink-soft);
}
.wish::before {
  content: '· ';
  margin-left: -4px;
}
.where {
  overflow: hidden;
  text-overflow: ellipsis;
}
.given {
  color: var(--deep);
}
.rating {
  font-size: 12px;
}
.text {
  display: -webkit-box;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
  height: 36px;
  line-height: 18px;
  font-size: 14px;
  overflow: hidden;
  white-space: normal;
}
/* One line of their words, or four. */
.compact {
  height: 57px;
}
.compact .text {
  -webkit-line-clamp: 1;
  height: 18px;
}
.roomy {
  height: 111px;
}
.roomy .text {
  -webkit-line-clamp: 4;
  height: 72px;
}
.none {
  color: var(--ink-soft);
}
</style>
