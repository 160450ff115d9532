<script setup lang="ts">
import { computed } from 'vue'
import type { ThreadEntry } from '@murrabel/contract'
import { isDrawn } from '@murrabel/core/learning'
import { useTexts } from '../../composables/useTexts.ts'
import JudgeButtons from '../../parts/JudgeButtons.vue'
import SentimentMark from '../../parts/SentimentMark.vue'

const { entry, may } = defineProps<{ entry: ThreadEntry; may: boolean }>()
const emit = defineEmits<{ judge: [sentiment: 'positive' | 'neutral' | 'negative' | null] }>()
const { t, languageName, percent } = useTexts()

/** Whether anything that is underlined speaks for the reading; stars may have decided against all of it. */
const speaksForIt = computed(() => {
  const way = { positive: 1, negative: -1, neutral: 0, unread: 0 }[entry.sentiment]
  return entry.spans.some(({ contribution }) => contribution * way > 0)
})
const text = computed(() => {
  const label = t(`sentiment.${entry.sentiment}`)
  if (entry.correctedBy) return t('inbox.correctedBy', { name: entry.correctedBy, label })
  const sure = percent(entry.confidence)
  if (speaksForIt.value) return t('inbox.readAs', { label, sure })
  if (entry.sentiment === 'unread') return t('inbox.readNothing')
  if (entry.rating !== null) return t('inbox.readByStars', { label })
  if (entry.sentiment !== 'neutral') return t('inbox.readWhole', { label, sure })
  return entry.spans.length > 0 ? t('inbox.readInSpite', { label, sure }) : t('inbox.readNothing')
})
/** Now and then it is asked whether a reading is right, so that those that are judged stand for all. */
const asks = computed(() => !entry.correctedBy && entry.sentiment !== 'unread' && isDrawn(entry.id))
const confirm = () => {
  if (entry.sentiment !== 'unread') emit('judge', entry.sentiment)
}
/** The words a wish rests on most, as they stand in the text. */
const wishWords = computed(() => {
  const whole = [entry.title, entry.text].filter(Boolean).join('. ')
  return (entry.wish?.spans ?? [])
    .filter(({ contribution }) => contribution > 0)
    .sort((a, b) => b.contribution - a.contribution)
    .slice(0, 3)
    .sort((a, b) => a.start - b.start)
    .map(({ start, end }) => `“${whole.slice(start, end)}”`)
    .join(', ')
})
const wish = computed(() => {
  if (!entry.wish) return ''
  const said = t('inbox.wishRead', {
    label: t(`wish.${entry.wish.label}`),
    sure: percent(entry.wish.confidence),
  })
  const answer =
    entry.wantsAnswer === null ? '' : t('inbox.answerWanted', { sure: percent(entry.wantsAnswer) })
  return [wishWords.value ? `${said}: ${wishWords.value}` : said, answer].filter(Boolean).join('. ')
})
</script>

<template>
  <div class="judge">
    <SentimentMark :sentiment="entry.sentiment" :doubt="entry.doubt" />
    <span data-test="reading">{{ text }}</span>
    <span v-if="entry.contradicts" class="differ">{{ t('inbox.starsDiffer') }}</span>
    <template v-if="may">
      <span v-if="asks" data-test="asked" :title="t('inbox.askedWhy')">
        {{ t('inbox.askedRight') }}
        <button type="button" class="button small" @click="confirm">{{ t('inbox.yesRight') }}</button>
      </span>
      <JudgeButtons :chosen="entry.sentiment" @judge="emit('judge', $event)" />
      <button v-if="entry.correctedBy" type="button" class="plain" @click="emit('judge', null)">
        {{ t('inbox.giveBack') }}
      </button>
    </template>
    <span v-if="entry.language && entry.language !== 'und'" class="language">{{
      t('inbox.language', { l: languageName(entry.language) })
    }}</span>
    <span v-if="wish" class="wish" data-test="wish">{{ wish }}</span>
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
.differ {
  color: var(--flare-text);
}
.small {
  padding: 0 8px;
  font-size: 13px;
  line-height: 22px;
}
.wish {
  flex-basis: 100%;
}
.language {
  margin-left: auto;
}
</style>
