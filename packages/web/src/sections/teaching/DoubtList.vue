<script setup lang="ts">
import { onMounted, ref } from 'vue'
import { routes, type DoubtRow, type DoubtsAnswer } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useTexts } from '../../composables/useTexts.ts'
import EntryText from '../../parts/EntryText.vue'
import JudgeButtons from '../../parts/JudgeButtons.vue'
import SentimentMark from '../../parts/SentimentMark.vue'
import { useBrand } from '../../stores/brand.ts'
import { useUndo } from '../../stores/undo.ts'
import ReliabilityPicture from './ReliabilityPicture.vue'

type Judgement = 'positive' | 'neutral' | 'negative'

/** Readings in doubt, the most useful to settle first, and how reliable readings have proved. */
const { run } = defineProps<{ run: <T>(work: () => Promise<T>) => Promise<T | null> }>()
const { t, number, percent, called } = useTexts()
const brand = useBrand()
const undo = useUndo()
const answer = ref<DoubtsAnswer | null>(null)
const of = ref<'useful' | 'sample'>('useful')
/** What was judged here; the rows stay where they are until others are asked for. */
const judged = ref(new Map<number, Judgement>())

async function load(what: 'useful' | 'sample' = of.value): Promise<void> {
  of.value = what
  const found = await run(() => call(routes.doubts, { query: [['of', what]] }))
  if (!found) return
  answer.value = found
  judged.value = new Map()
}
onMounted(() => load())

async function judge(row: DoubtRow, sentiment: Judgement | null): Promise<void> {
  const done = await run(() =>
    call(routes.correct, {
      params: { id: row.id },
      body: { sentiment, shown: true, drawn: of.value === 'sample' },
    }),
  )
  if (!done) return
  if (sentiment === null) judged.value.delete(row.id)
  else {
    judged.value.set(row.id, sentiment)
    undo.tell({
      text: t('undo.corrected', { label: t(`sentiment.${sentiment}`) }),
      undo: () => judge(row, null),
    })
  }
  await look()
}
/** How reliable readings are now; the rows stay. */
async function look(): Promise<void> {
  const found = await run(() => call(routes.doubts, { query: [['of', of.value]] }))
  if (found && answer.value)
    answer.value = { ...answer.value, inDoubt: found.inDoubt, reliability: found.reliability }
}
const shares = [0, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9]
async function setBelow(below: number): Promise<void> {
  const found = await run(() => call(routes.saveDoubt, { body: { below } }))
  if (!found) return
  const before = answer.value?.below
  answer.value = found
  of.value = 'useful'
  judged.value = new Map()
  undo.tell({
    text: `${t('watch.teach.below')} ${percent(below)}`,
    ...(before === undefined || before === below ? {} : { undo: () => setBelow(before) }),
  })
}
const wholeOf = ({ title, text }: DoubtRow) => [title, text].filter(Boolean).join('. ')
</script>

<template>
  <section v-if="answer" class="doubts" data-test="doubts">
    <div>
      <h3>{{ t('watch.teach.doubts') }}</h3>
      <p class="soft">{{ t('watch.teach.doubtsIntro') }}</p>
      <p class="row">
        <label for="doubt-below">{{ t('watch.teach.below') }}</label>
        <el-select
          id="doubt-below"
          :model-value="answer.below"
          :disabled="!brand.mayCall('saveDoubt')"
          class="below"
          @change="setBelow"
        >
          <el-option v-for="share in shares" :key="share" :value="share" :label="percent(share)" />
        </el-select>
        <RouterLink
          v-if="answer.inDoubt"
          :to="{ path: '/watch', query: { view: 'mentions', doubt: 'only', time: 'all' } }"
          >{{ t('watch.teach.inDoubt', { n: number(answer.inDoubt) }, answer.inDoubt) }}</RouterLink
        >
        <span v-else>{{ t('watch.teach.inDoubt', { n: '0' }, 0) }}</span>
        <span class="which" role="group">
          <button
            v-for="what in ['useful', 'sample'] as const"
            :key="what"
            type="button"
            class="button"
            :aria-pressed="of === what"
            @click="load(what)"
          >
            {{ t(`watch.teach.${what}`) }}
          </button>
        </span>
      </p>
      <p v-if="!answer.rows.length" class="soft">
        {{ t(of === 'useful' ? 'watch.teach.useless' : 'watch.teach.allJudged') }}
      </p>
      <ol class="rows">
        <li v-for="row in answer.rows" :key="row.id" class="doubt" :class="{ settled: judged.has(row.id) }">
          <p class="text">
            <EntryText :text="wholeOf(row)" :spans="row.spans" />
          </p>
          <p class="under">
            <SentimentMark
              :sentiment="judged.get(row.id) ?? row.sentiment"
              :doubt="!judged.has(row.id) && row.confidence < answer.below"
            />
            <span>{{
              judged.has(row.id)
                ? t('watch.teach.judged', { label: t(`sentiment.${judged.get(row.id)!}`) })
                : t('watch.teach.readAs', {
                    label: t(`sentiment.${row.sentiment}`),
                    sure: percent(row.confidence),
                  })
            }}</span>
            <span class="soft">{{ called('lens.channel', row.channel) }}</span>
            <span v-if="row.alike" class="soft">{{
              t('watch.teach.alikeTexts', { n: row.alike }, row.alike)
            }}</span>
            <span v-if="brand.may('answer')" class="judge">
              <JudgeButtons :chosen="judged.get(row.id)" @judge="judge(row, $event)" />
            </span>
          </p>
        </li>
      </ol>
      <button v-if="judged.size" type="button" class="button" @click="load()">
        {{ t('watch.teach.more') }}
      </button>
    </div>
    <ReliabilityPicture :reliability="answer.reliability" />
  </section>
</template>

<style scoped>
h3 {
  font-size: 15px;
  font-weight: 600;
  margin: 10px 0 2px;
}
.doubts {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 360px;
  gap: 24px 40px;
}
.row {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px;
  margin: 8px 0;
}
.below {
  width: 90px;
}
.which {
  margin-left: auto;
  display: inline-flex;
  gap: 6px;
}
.which [aria-pressed='true'] {
  border-color: var(--deep);
  background: var(--deep-wash);
}
.rows {
  list-style: none;
  margin: 0 0 10px;
  padding: 0;
  border-top: 1px solid var(--line);
}
.doubt {
  padding: 8px 0;
  border-bottom: 1px solid var(--line);
}
.settled .text {
  color: var(--ink-soft);
}
.text {
  display: -webkit-box;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 4;
  margin: 0 0 4px;
  overflow: hidden;
  white-space: normal;
}
.under {
  display: flex;
  align-items: center;
  gap: 8px;
  margin: 0;
  font-size: 13px;
}
.judge {
  margin-left: auto;
  display: inline-flex;
  gap: 4px;
}
@media (max-width: 900px) {
  .doubts {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
