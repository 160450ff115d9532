<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { X } from '@lucide/vue'
import {
  routes,
  type AspectDraft,
  type BrandWord,
  type ReadingAnswer,
  type TeachingAnswer,
} from '@murrabel/contract'
import { call, CallProblem } from '../../api/call.ts'
import { gathered, useLive } from '../../composables/useLive.ts'
import { useTexts } from '../../composables/useTexts.ts'
import EntryText from '../../parts/EntryText.vue'
import ProblemNote from '../../parts/ProblemNote.vue'
import SentimentMark from '../../parts/SentimentMark.vue'
import { useBrand } from '../../stores/brand.ts'
import { useUndo } from '../../stores/undo.ts'
import TermList from '../../parts/TermList.vue'
import WatchFrame from '../watches/WatchFrame.vue'
import RowShapes from '../../parts/RowShapes.vue'

const { t, number } = useTexts()
const brand = useBrand()
const undo = useUndo()
const teaching = ref<TeachingAnswer | null>(null)
const words = ref<BrandWord[]>([])
const aspects = ref<AspectDraft[]>([])
const problem = ref<CallProblem | null>(null)
const busy = ref(false)
const sentence = ref('')
const reading = ref<ReadingAnswer | null>(null)
const editable = computed(() => brand.mayCall('saveWords'))
const plain = <T,>(value: T): T => JSON.parse(JSON.stringify(value)) as T
const same = (one: unknown, other: unknown): boolean => JSON.stringify(one) === JSON.stringify(other)
const wordsChanged = computed(() => !same(words.value, teaching.value?.words))
const aspectsChanged = computed(() => !same(aspects.value, teaching.value?.aspects))
const learning = computed(() => teaching.value?.learning ?? null)
const rereading = computed(() => {
  const history = teaching.value?.history
  return history && history.done < history.total ? history : null
})

async function run<T>(work: () => Promise<T>): Promise<T | null> {
  busy.value = true
  problem.value = null
  try {
    return await work()
  } catch (error) {
    if (!(error instanceof CallProblem)) throw error
    problem.value = error
    return null
  } finally {
    busy.value = false
  }
}
/** The edition each list was taken at: a list that a colleague saved meanwhile is not overwritten. */
const seen = { words: 1, aspects: 1 }
type List = keyof typeof seen

/** Takes an answer; lists that are being changed keep what is typed, apart from the one that was just saved. */
function take(answer: TeachingAnswer | null, justSaved?: List): void {
  if (!answer) return
  const typed = { words: wordsChanged.value, aspects: aspectsChanged.value }
  for (const list of ['words', 'aspects'] as const) {
    const kept = teaching.value !== null && typed[list] && list !== justSaved
    if (!kept || same(answer[list], teaching.value?.[list])) seen[list] = answer.edition
    if (kept) continue
    if (list === 'words') words.value = plain(answer.words)
    else aspects.value = plain(answer.aspects)
  }
  teaching.value = answer
}
onMounted(async () => take(await run(() => call(routes.teaching))))
const refresh = gathered(() => {
  void call(routes.teaching)
    .then((answer) => take(answer))
    .catch(() => {})
}, 300)
useLive(({ kind }) => {
  if (kind === 'teaching') refresh()
})

async function saved(
  answer: TeachingAnswer | null,
  list: List,
  back: (edition: number) => Promise<TeachingAnswer>,
): Promise<void> {
  if (!answer) return
  take(answer, list)
  await brand.load()
  undo.tell({
    text: t('watch.teach.saved'),
    undo: async () => take(await run(() => back(answer.edition)), list),
  })
}
async function saveWords(): Promise<void> {
  const before = plain(teaching.value?.words ?? [])
  const body = { words: words.value.filter((w) => w.term.trim()), edition: seen.words }
  await saved(await run(() => call(routes.saveWords, { body })), 'words', (edition) =>
    call(routes.saveWords, { body: { words: before, edition } }),
  )
}
async function saveAspects(): Promise<void> {
  const before = plain(teaching.value?.aspects ?? []).map(({ name, terms }) => ({ name, terms }))
  const body = { aspects: aspects.value, edition: seen.aspects }
  await saved(await run(() => call(routes.saveAspects, { body })), 'aspects', (edition) =>
    call(routes.saveAspects, { body: { aspects: before, edition } }),
  )
}
async function want(wanted: boolean): Promise<void> {
  take(await run(() => call(routes.wantLearning, { body: { wanted } })))
}
async function tryIt(): Promise<void> {
  reading.value = await run(() =>
    call(routes.tryReading, {
      body: { text: sentence.value, words: words.value.filter((w) => w.term.trim()) },
    }),
  )
}
const marks = { '-4': '−4', '-2': '−2', 0: '0', 2: '2', 4: '4' }
</script>

<template>
  <WatchFrame :title="t('watch.teach.title')">
    <ProblemNote v-if="problem" :problem="problem" />
    <p v-if="rereading" class="progress" data-test="rereading">
      <el-progress :percentage="Math.round((100 * rereading.done) / rereading.total)" :show-text="false" />
      {{ t('watch.teach.rereading', { done: number(rereading.done), total: number(rereading.total) }) }}
    </p>
    <RowShapes v-if="!teaching && !problem" :rows="4" :height="120" />
    <div v-if="teaching" class="parts">
      <section>
        <h3>{{ t('watch.teach.learning') }}</h3>
        <p class="soft">{{ t('watch.teach.learningIntro') }}</p>
        <template v-if="learning">
          <p v-if="learning.n < learning.needed" data-test="learning">
            {{
              learning.corrections < learning.needed
                ? t(
                    'watch.teach.few',
                    { n: learning.corrections, needed: learning.needed },
                    learning.corrections,
                  )
                : t('watch.teach.alike', { n: learning.corrections, needed: learning.needed })
            }}
          </p>
          <div v-else data-test="learning">
            <p>
              <b>{{
                t('watch.teach.right', { learnt: learning.learnt, n: learning.n, base: learning.base })
              }}</b>: {{ t('watch.teach.gained', { gained: learning.gained, lost: learning.lost }) }}
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
          <p class="row">
            <el-switch
              :aria-label="t('watch.teach.wanted')"
              :model-value="learning.wanted"
              :active-text="t('watch.teach.wanted')"
              :disabled="!editable || busy"
              @change="(value) => want(Boolean(value))"
            />
            <button
              v-if="editable"
              type="button"
              class="button"
              :disabled="busy || !learning.corrections"
              @click="run(() => call(routes.learnNow)).then((answer) => take(answer))"
            >
              {{ t('watch.teach.learnNow') }}
            </button>
          </p>
        </template>
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
          <SentimentMark :sentiment="reading.sentiment" /> {{ t(`sentiment.${reading.sentiment}`) }}:
          <EntryText :text="sentence" :spans="reading.spans" />
        </p>
      </section>
      <section>
        <h3>{{ t('watch.teach.words') }}</h3>
        <p class="soft">{{ t('watch.teach.wordsIntro') }}</p>
        <div v-for="(word, i) in words" :key="i" class="word">
          <el-input
            v-model="word.term"
            :placeholder="t('watch.teach.term')"
            :aria-label="t('watch.teach.term')"
            :disabled="!editable"
            maxlength="80"
          />
          <el-slider
            v-model="word.valence"
            :min="-4"
            :max="4"
            :step="0.5"
            :marks="marks"
            :disabled="!editable"
            :aria-label="t('watch.teach.valence')"
          />
          <button
            v-if="editable"
            type="button"
            class="plain"
            :aria-label="t('watch.teach.removeWord', { name: word.term })"
            @click="words.splice(i, 1)"
          >
            <X :size="14" />
          </button>
        </div>
        <p v-if="editable" class="row">
          <button type="button" class="button" @click="words.push({ term: '', valence: 0 })">
            {{ t('watch.teach.addWord') }}
          </button>
          <button type="button" class="button primary" :disabled="busy || !wordsChanged" @click="saveWords">
            {{ t('watch.teach.saveWords') }}
          </button>
          <span v-if="wordsChanged" class="soft">{{ t('watch.teach.unsaved') }}</span>
        </p>
      </section>
      <section class="wide">
        <h3>{{ t('watch.teach.aspects') }}</h3>
        <p class="soft">{{ t('watch.teach.aspectsIntro') }}</p>
        <div class="aspects">
          <div v-for="(aspect, i) in aspects" :key="aspect.id ?? `new${i}`" class="aspect">
            <span class="row">
              <el-input
                v-model="aspect.name"
                :aria-label="t('watch.form.name')"
                :disabled="!editable"
                maxlength="80"
              />
              <button
                v-if="editable"
                type="button"
                class="plain"
                :aria-label="t('watch.teach.removeAspect', { name: aspect.name })"
                @click="aspects.splice(i, 1)"
              >
                <X :size="14" />
              </button>
            </span>
            <TermList v-model="aspect.terms" :label="t('watch.teach.aspectTerms', { name: aspect.name })" />
          </div>
        </div>
        <p v-if="editable" class="row">
          <button type="button" class="button" @click="aspects.push({ name: '', terms: [] })">
            {{ t('watch.teach.addAspect') }}
          </button>
          <button
            type="button"
            class="button primary"
            :disabled="busy || !aspectsChanged"
            @click="saveAspects"
          >
            {{ t('watch.teach.saveAspects') }}
          </button>
          <span v-if="aspectsChanged" class="soft">{{ t('watch.teach.unsaved') }}</span>
        </p>
      </section>
    </div>
  </WatchFrame>
</template>

<style scoped>
.parts {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 24px 40px;
}
.wide {
  grid-column: 1 / -1;
}
h3 {
  font-size: 15px;
  font-weight: 600;
  margin: 10px 0 2px;
}
section > p,
section > div > p {
  margin-bottom: 8px;
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
.reading {
  margin-top: 10px;
  font-size: 16px;
}
.word {
  display: grid;
  grid-template-columns: 180px minmax(0, 1fr) 16px;
  gap: 24px;
  align-items: start;
  margin-bottom: 22px;
}
.aspects {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(340px, 1fr));
  gap: 12px 32px;
  margin: 8px 0;
  align-items: start;
}
.aspect :deep(label) {
  font-weight: 400;
  font-size: 12px;
  color: var(--ink-soft);
  margin-top: 4px;
}
.progress {
  margin-bottom: 12px;
}
@media (max-width: 900px) {
  .parts {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
