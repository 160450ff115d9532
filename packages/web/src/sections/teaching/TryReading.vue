<script setup lang="ts">
import { ref } from 'vue'
import { routes, type BrandWord, type ReadingAnswer } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useTexts } from '../../composables/useTexts.ts'
import EntryText from '../../parts/EntryText.vue'
import SentimentMark from '../../parts/SentimentMark.vue'

/** A sentence of one's own, read with the words as they stand on the page. */
const { words, run } = defineProps<{
  words: BrandWord[]
  run: <T>(work: () => Promise<T>) => Promise<T | null>
}>()
const { t, percent } = useTexts()
const sentence = ref('')
const reading = ref<ReadingAnswer | null>(null)
async function tryIt(): Promise<void> {
  reading.value = await run(() => call(routes.tryReading, { body: { text: sentence.value, words } }))
}
</script>

<template>
  <div>
    <h3>{{ t('watch.teach.try') }}</h3>
    <form class="row" @submit.prevent="tryIt">
      <el-input
        v-model="sentence"
        :placeholder="t('watch.teach.trySentence')"
        :aria-label="t('watch.teach.try')"
        maxlength="2000"
      />
      <button type="submit" class="button" :disabled="!sentence.trim()">
        {{ t('watch.teach.tryGo') }}
      </button>
    </form>
    <p v-if="reading" class="reading" data-test="reading">
      <SentimentMark :sentiment="reading.sentiment" />
      {{
        t('watch.teach.readAs', {
          label: t(`sentiment.${reading.sentiment}`),
          sure: percent(reading.confidence),
        })
      }}:
      <EntryText :text="sentence" :spans="reading.spans" />
    </p>
    <p v-if="reading?.wish && reading.wantsAnswer !== null" data-test="wish">
      {{
        t('watch.teach.triedWish', {
          label: t(`wish.${reading.wish}`),
          sure: percent(reading.wantsAnswer),
        })
      }}
    </p>
  </div>
</template>

<style scoped>
h3 {
  font-size: 15px;
  font-weight: 600;
  margin: 10px 0 2px;
}
.row {
  display: flex;
  align-items: center;
  gap: 12px;
}
.reading {
  margin-top: 10px;
  font-size: 16px;
}
</style>
