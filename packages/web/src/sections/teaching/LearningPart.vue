<script setup lang="ts">
import type { TeachingAnswer } from '@murrabel/contract'
import { useTexts } from '../../composables/useTexts.ts'
import SentimentMark from '../../parts/SentimentMark.vue'

/** What was learnt from corrections and from what is answered, whether it reads better, and whether it is used. */
defineProps<{
  learning: TeachingAnswer['learning']
  answers: TeachingAnswer['answers']
  editable: boolean
  busy: boolean
}>()
const emit = defineEmits<{ want: [wanted: boolean]; learn: [] }>()
const { t, number } = useTexts()
type Told = TeachingAnswer['answers']['byThread']
const told = ({ n, learnt, base }: Told) => ({ n: number(n), learnt: number(learnt), base: number(base) })
</script>

<template>
  <div>
    <h3>{{ t('watch.teach.learning') }}</h3>
    <p class="soft">{{ t('watch.teach.learningIntro') }}</p>
    <p v-if="learning.n < learning.needed" data-test="learning">
      {{
        learning.corrections < learning.needed
          ? t('watch.teach.few', { n: learning.corrections, needed: learning.needed }, learning.corrections)
          : t('watch.teach.alike', { n: learning.corrections, needed: learning.needed })
      }}
    </p>
    <p v-else-if="learning.confirmed < learning.confirmedNeeded" data-test="learning">
      {{
        t('watch.teach.confirmFew', {
          n: number(learning.confirmed),
          needed: number(learning.confirmedNeeded),
        })
      }}
    </p>
    <div v-else data-test="learning">
      <p>
        <b>{{
          t('watch.teach.right', {
            learnt: number(learning.learnt),
            n: number(learning.tested),
            base: number(learning.base),
          })
        }}</b>:
        {{ t('watch.teach.gained', { gained: learning.gained, lost: learning.lost }) }}
      </p>
      <p>
        {{ t(`watch.teach.${learning.used ? 'better' : learning.better ? 'betterOff' : 'notBetter'}`) }}
      </p>
      <p v-if="learning.strongest.length" class="pulls">
        {{ t('watch.teach.strongest') }}:
        <span v-for="pull in learning.strongest" :key="pull.word" class="words"
          ><SentimentMark :sentiment="pull.toward" /> {{ pull.word }}</span
        >
      </p>
    </div>
    <p v-if="learning.contradicting" class="soft">
      {{ t('watch.teach.contradicting', { n: learning.contradicting }, learning.contradicting) }}
    </p>
    <h3>{{ t('watch.teach.answers') }}</h3>
    <p class="soft">{{ t('watch.teach.answersIntro') }}</p>
    <p v-if="Math.min(answers.answered, answers.n - answers.answered) < answers.needed" data-test="answers">
      {{
        t('watch.teach.answersFew', {
          answered: number(answers.answered),
          finished: number(answers.n - answers.answered),
          needed: answers.needed,
        })
      }}
    </p>
    <div v-else data-test="answers">
      <p>{{ t('watch.teach.answersFrom', { n: number(answers.n), answered: number(answers.answered) }) }}</p>
      <p>
        {{ t('watch.teach.byThread', told(answers.byThread)) }}
        {{ t('watch.teach.byTime', told(answers.byTime)) }}
      </p>
      <p>{{ t(`watch.teach.${answers.used ? 'better' : answers.better ? 'betterOff' : 'notBetter'}`) }}</p>
    </div>
    <p class="row">
      <el-switch
        :aria-label="t('watch.teach.wanted')"
        :model-value="learning.wanted"
        :active-text="t('watch.teach.wanted')"
        :disabled="!editable || busy"
        @change="(value) => emit('want', Boolean(value))"
      />
      <button
        v-if="editable"
        type="button"
        class="button"
        :disabled="busy || !learning.corrections"
        @click="emit('learn')"
      >
        {{ t('watch.teach.learnNow') }}
      </button>
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
.pulls {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
}
p {
  margin-bottom: 8px;
}
</style>
