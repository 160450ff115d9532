<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { routes, type AspectDraft, type BrandWord, type TeachingAnswer } from '@murrabel/contract'
import { call, CallProblem } from '../../api/call.ts'
import { gathered, useLive } from '../../composables/useLive.ts'
import { useTexts } from '../../composables/useTexts.ts'
import ProblemNote from '../../parts/ProblemNote.vue'
import { useBrand } from '../../stores/brand.ts'
import { useUndo } from '../../stores/undo.ts'
import BrandAspects from './BrandAspects.vue'
import BrandWords from './BrandWords.vue'
import DoubtList from './DoubtList.vue'
import LearningPart from './LearningPart.vue'
import TryReading from './TryReading.vue'
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
const editable = computed(() => brand.mayCall('saveWords'))
const plain = <T,>(value: T): T => JSON.parse(JSON.stringify(value)) as T
const same = (one: unknown, other: unknown): boolean => JSON.stringify(one) === JSON.stringify(other)
const wordsChanged = computed(() => !same(words.value, teaching.value?.words))
const aspectsChanged = computed(() => !same(aspects.value, teaching.value?.aspects))
/** A word that nobody has written yet is none. */
const filled = computed(() => words.value.filter((word) => word.term.trim()))
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
const refresh = gathered(
  () =>
    call(routes.teaching)
      .then((answer) => take(answer))
      .catch(() => {}),
  300,
)
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
  const body = { words: filled.value, edition: seen.words }
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
</script>

<template>
  <WatchFrame :title="t('watch.teach.title')">
    <ProblemNote v-if="problem" :problem="problem" />
    <p v-if="rereading" class="progress" data-test="rereading">
      <el-progress
        v-bind="{ 'aria-label': t('watch.teach.title') }"
        :percentage="Math.round((100 * rereading.done) / rereading.total)"
        :show-text="false"
      />
      {{ t('watch.teach.rereading', { done: number(rereading.done), total: number(rereading.total) }) }}
    </p>
    <RowShapes v-if="!teaching && !problem" :rows="4" :height="120" />
    <div v-if="teaching" class="parts">
      <section>
        <LearningPart
          :learning="teaching.learning"
          :answers="teaching.answers"
          :editable="editable"
          :busy="busy"
          @want="want"
          @learn="run(() => call(routes.learnNow)).then((answer) => take(answer))"
        />
        <TryReading :words="filled" :run="run" />
      </section>
      <BrandWords
        v-model="words"
        :editable="editable"
        :busy="busy"
        :changed="wordsChanged"
        @save="saveWords"
      />
      <DoubtList class="wide" :run="run" />
      <BrandAspects
        v-model="aspects"
        class="wide"
        :alike="teaching.alikeAspects"
        :editable="editable"
        :busy="busy"
        :changed="aspectsChanged"
        @save="saveAspects"
      />
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
.progress {
  margin-bottom: 12px;
}
@media (max-width: 900px) {
  .parts {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
