<script setup lang="ts">
import { computed } from 'vue'
import type { ThreadEntry } from '@murrabel/contract'
import { useTexts } from '../../composables/useTexts.ts'
import SentimentMark from '../../parts/SentimentMark.vue'

const { entry, may } = defineProps<{ entry: ThreadEntry; may: boolean }>()
const emit = defineEmits<{ judge: [sentiment: 'positive' | 'neutral' | 'negative' | null] }>()
const { t, languageName } = useTexts()
const judgements = [
  ['negative', '-'],
  ['neutral', '0'],
  ['positive', '+'],
] as const

const text = computed(() => {
  const label = t(`sentiment.${entry.sentiment}`)
  if (entry.correctedBy) return t('inbox.correctedBy', { name: entry.correctedBy, label })
  const words = entry.spans.length
  if (words === 0 && entry.rating !== null && entry.sentiment !== 'unread')
    return t('inbox.readByStars', { label })
  return words === 0 ? t('inbox.readNothing') : t('inbox.readAs', { label, n: words }, words)
})
</script>

<template>
  <div class="judge">
    <SentimentMark :sentiment="entry.sentiment" />
    <span data-test="reading">{{ text }}</span>
    <span v-if="entry.contradicts" class="differ">{{ t('inbox.starsDiffer') }}</span>
    <template v-if="may">
      <button
        v-for="[sentiment, key] in judgements"
        :key="sentiment"
        type="button"
        class="button small"
        :aria-pressed="entry.sentiment === sentiment"
        :title="t(`keys.${sentiment}`)"
        :aria-label="t(`keys.${sentiment}`)"
        @click="emit('judge', sentiment)"
      >
        {{ key }}
      </button>
      <button v-if="entry.correctedBy" type="button" class="plain" @click="emit('judge', null)">
        {{ t('inbox.giveBack') }}
      </button>
    </template>
    <span v-if="entry.language && entry.language !== 'und'" class="language">{{
      t('inbox.language', { l: languageName(entry.language) })
    }}</span>
  </div>
</template>

<style scoped>
.judge {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px;
  font-size: 13px;
  color: var(--ink-soft);
}
.small {
  padding: 0 7px;
  font-size: 13px;
  line-height: 18px;
}
.small[aria-pressed='true'] {
  border-color: var(--deep);
  background: var(--deep-wash);
}
.differ {
  color: var(--flare-text);
}
.language {
  margin-left: auto;
}
</style>
