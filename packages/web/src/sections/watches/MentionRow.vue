<script setup lang="ts">
import { computed } from 'vue'
import { Bookmark } from '@lucide/vue'
import { spansOfText, spansOfTitle } from '@murrabel/core/text'
import type { EntryRow } from '@murrabel/contract'
import { networkName } from '../../composables/networkName.ts'
import { useTexts } from '../../composables/useTexts.ts'
import { webAddress } from '../../parts/webAddress.ts'
import { useSearchPlaces } from '../../composables/useSearch.ts'
import EntryText from '../../parts/EntryText.vue'
import RatingSteps from '../../parts/RatingSteps.vue'
import SentimentMark from '../../parts/SentimentMark.vue'
import { useBrand } from '../../stores/brand.ts'

const {
  row,
  selected = false,
  bare = false,
} = defineProps<{
  row: EntryRow
  selected?: boolean
  /** Only what was said, by whom: no ways on. */ bare?: boolean
}>()
const emit = defineEmits<{
  voice: [row: EntryRow]
  story: [id: number]
  leave: [row: EntryRow]
  tag: [row: EntryRow]
  keep: [row: EntryRow]
}>()
defineSlots<{ before?: () => unknown }>()
const { t, when, exact, number, languageName } = useTexts()
const brand = useBrand()
const places = useSearchPlaces()
const hits = computed(() => row.hits ?? [])
const answerable = computed(
  () => brand.may('answer') && (brand.answer?.answers[row.channel] ?? []).includes(row.kind),
)
const where = computed(() => [row.profile, brand.placeName(row.placeId)].filter(Boolean).join(' · '))
</script>

<template>
  <article class="mention" :class="{ selected }" data-test="mention">
    <slot name="before" />
    <SentimentMark class="mark" :sentiment="row.sentiment" />
    <div class="said">
      <p v-if="row.title" class="title">
        <EntryText :text="row.title" :hits="[...places(row.title), ...spansOfTitle(row.title, hits)]" />
      </p>
      <p class="text">
        <EntryText
          :text="row.text"
          :hits="[...places(row.text), ...spansOfText(row.title, hits)]"
          :spans="spansOfText(row.title, row.spans)"
        />
      </p>
      <p class="meta">
        <RatingSteps v-if="row.rating !== null" :rating="row.rating" />
        <button
          v-if="row.voiceId !== null && !bare"
          type="button"
          class="plain"
          :title="t('watch.list.voice', { name: row.author })"
          @click.stop="emit('voice', row)"
        >
          {{ row.author }}
        </button>
        <span v-else>{{ row.author }}</span>
        <span>{{ where }}</span>
        <time :datetime="row.at" :title="exact(row.at)">{{ when(row.at) }}</time>
        <span v-if="row.reach">{{ t('watch.list.reach_', { n: number(row.reach) }) }}</span>
        <span v-if="row.language && row.language !== 'en'">{{ languageName(row.language) }}</span>
        <button
          v-if="row.copies && row.storyId !== null"
          type="button"
          class="plain"
          data-test="copies"
          @click.stop="emit('story', row.storyId)"
        >
          {{ t('watch.list.copies', { n: number(row.copies) }, row.copies) }}
        </button>
        <span v-if="row.kept" class="tag kept"><Bookmark :size="12" /> {{ t('tags.isKept') }}</span>
        <span v-for="id in row.tags" :key="id" class="tag">{{ brand.nameOfTag(id) }}</span>
        <template v-if="!bare">
          <RouterLink
            :to="{
              path: `/inbox/${row.threadId}`,
              query: { state: 'any', given: 'anybody', kind: 'all', time: 'all', order: 'newest' },
              hash: answerable ? '#answer' : '',
            }"
            >{{ t(answerable ? 'watch.answer' : 'watch.openThread') }}</RouterLink
          >
          <a v-if="row.url" :href="webAddress(row.url)" target="_blank" rel="noopener noreferrer">{{
            t('inbox.original', { network: networkName(row) })
          }}</a>
          <template v-if="selected && brand.may('answer')">
            <button type="button" class="plain" @click.stop="emit('tag', row)">{{ t('tags.tag') }}</button>
            <button type="button" class="plain" @click.stop="emit('keep', row)">
              {{ t(row.kept ? 'tags.letGo_' : 'tags.keep') }}
            </button>
          </template>
          <button v-if="selected" type="button" class="plain" @click.stop="emit('leave', row)">
            {{ t('watch.list.leaveVoice') }}
          </button>
        </template>
      </p>
    </div>
  </article>
</template>

<style scoped>
.mention {
  display: flex;
  gap: 12px;
  padding: 10px 12px 10px 9px;
  border-bottom: 1px solid var(--line);
  border-left: 3px solid transparent;
}
.said {
  min-width: 0;
}
.selected {
  background: var(--deep-wash);
  border-left-color: var(--deep);
}
.mark {
  margin-top: 6px;
}
.title {
  font-weight: 600;
  font-size: 16px;
  line-height: 22px;
}
.text {
  font-size: 16px;
  line-height: 24px;
}
.meta {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0 14px;
  font-size: 13px;
  line-height: 24px;
  color: var(--ink-soft);
}
.meta a,
.meta button {
  min-height: 24px;
}
.tag {
  line-height: 18px;
  background: var(--paper);
  border: 1px solid var(--line);
  border-radius: var(--corner);
  padding: 0 6px;
  color: var(--ink);
}
.kept {
  display: inline-flex;
  align-items: center;
  gap: 4px;
}
</style>
