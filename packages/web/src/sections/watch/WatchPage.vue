<script setup lang="ts">
import { computed, onMounted, ref, shallowRef, useTemplateRef, watch } from 'vue'
import { routes, type TideAnswer, type WatchAnswer } from '@murrabel/contract'
import { call, CallProblem } from '../../api/call.ts'
import { useEntryList } from '../../composables/useEntryList.ts'
import { useKeys } from '../../composables/useKeys.ts'
import { lensQuery, useLens } from '../../composables/useLens.ts'
import { gathered, useLive } from '../../composables/useLive.ts'
import { useTexts } from '../../composables/useTexts.ts'
import { useTide } from '../../composables/useTide.ts'
import EmptyPlace from '../../parts/EmptyPlace.vue'
import LensLine from '../../parts/LensLine.vue'
import LensProblem from '../../parts/LensProblem.vue'
import ProblemNote from '../../parts/ProblemNote.vue'
import { rangeOfBuckets } from '../../parts/tideScale.ts'
import TideLine from '../../parts/TideLine.vue'
import VirtualList from '../../parts/VirtualList.vue'
import VolumeChart from '../../parts/VolumeChart.vue'
import { useBrand } from '../../stores/brand.ts'
import { useUndo } from '../../stores/undo.ts'
import MentionRow from './MentionRow.vue'
import { points, watchFigures } from './watchFigures.ts'
import WatchSheet from './WatchSheet.vue'

const brand = useBrand()
const undo = useUndo()
const { t, list: joined, number } = useTexts()
const { lens, problems, query, change, reset } = useLens('entries')
const entries = useEntryList(query)
const { rows, count } = entries
const strip = useTide(lens)
const sheet = ref(false)
const editing = ref<WatchAnswer | null>(null)
const selected = ref<number | null>(null)
const lensLine = useTemplateRef<InstanceType<typeof LensLine>>('lensLine')

const current = computed(() => brand.watches.find((w) => w.id === lens.value.watch) ?? null)
const terms = computed(() =>
  current.value
    ? current.value.query.anyOf.length + current.value.query.allOf.length + current.value.query.links.length
    : 0,
)

/** The chart under the header: the lens's own range, in bars of its own. */
const chart = shallowRef<TideAnswer | null>(null)
let chartRun = 0
async function loadChart(): Promise<void> {
  const mine = ++chartRun
  const answer = await call(routes.tide, { query: [...lensQuery(lens.value), ['span', 'range']] }).catch(
    () => null,
  )
  if (mine === chartRun) chart.value = answer
}
const figures = computed(() => (chart.value ? watchFigures(chart.value) : null))

async function loadAll(): Promise<void> {
  await Promise.all([entries.load(), strip.load(), loadChart()])
}
watch(query, () => {
  selected.value = null
  void loadChart()
})
onMounted(async () => {
  if (lens.value.watch === null && brand.watches.length)
    change({ watch: Math.min(...brand.watches.map((w) => w.id)) }, { replace: true })
  await loadAll()
})
const refresh = gathered(() => {
  void entries.refresh()
  void strip.load()
  void loadChart()
}, 300)
useLive(({ kind }) => {
  if (kind === 'entries' || kind === 'thread' || kind === 'watches') refresh()
})

function openBar(index: number): void {
  if (chart.value)
    change({
      range: rangeOfBuckets(chart.value.buckets, index, index, { zone: brand.zone, unit: chart.value.unit }),
    })
}
function edit(item: WatchAnswer | null): void {
  editing.value = item
  sheet.value = true
}
function onSaved(saved: WatchAnswer): void {
  if (lens.value.watch !== saved.id) change({ watch: saved.id })
  else refresh()
}
async function remove(item: WatchAnswer): Promise<void> {
  try {
    await call(routes.deleteWatch, { params: { id: item.id } })
    await brand.reloadWatches()
    change({ watch: brand.watches[0]?.id ?? null })
    undo.tell({
      text: t('undo.deleted'),
      undo: async () => {
        await call(routes.restoreWatch, { params: { id: item.id } })
        await brand.reloadWatches()
        change({ watch: item.id })
      },
    })
  } catch (error) {
    if (!(error instanceof CallProblem)) throw error
    undo.tell({ text: error.problem.detail, problem: true })
  }
}

const index = computed(() => rows.value.findIndex((row) => row.id === selected.value))
function step(way: 1 | -1): void {
  const next = rows.value[index.value < 0 ? 0 : index.value + way]
  if (next) selected.value = next.id
}
async function judge(label: 'positive' | 'neutral' | 'negative'): Promise<void> {
  const row = rows.value[index.value]
  if (!row || !brand.may('answer')) return
  const before = row.sentiment
  const put = async (value: 'positive' | 'neutral' | 'negative' | null) => {
    await call(routes.correct, { params: { id: row.id }, body: { label: value } })
    entries.change(row.id, { sentiment: value ?? before })
    void loadChart()
    void strip.load()
  }
  try {
    await put(label)
    undo.tell({
      text: t('undo.corrected', { label: t(`sentiment.${label}`) }),
      undo: () => put(before === 'unread' ? null : before),
    })
  } catch (error) {
    if (!(error instanceof CallProblem)) throw error
    undo.tell({ text: error.problem.detail, problem: true })
  }
}
useKeys({
  j: () => step(1),
  ArrowDown: () => step(1),
  k: () => step(-1),
  ArrowUp: () => step(-1),
  '-': () => void judge('negative'),
  '0': () => void judge('neutral'),
  '+': () => void judge('positive'),
  l: () => void lensLine.value?.focus(),
})
</script>

<template>
  <LensLine ref="lensLine" :lens="lens" :count="count" @change="change" @reset="reset" />
  <TideLine
    :lens="lens"
    :tide="strip.tide.value"
    :loading="strip.loading.value"
    @range="(range) => change({ range })"
  />
  <main class="body">
    <nav class="watches" :aria-label="t('watch.watches')">
      <button
        v-for="item in brand.watches"
        :key="item.id"
        type="button"
        class="watch"
        :class="{ chosen: item.id === lens.watch }"
        :aria-current="item.id === lens.watch"
        @click="change({ watch: item.id })"
      >
        <b>{{ item.name }}</b>
        <span class="soft">{{
          item.historyDone < item.historyTotal
            ? t('watch.reading', { done: number(item.historyDone), total: number(item.historyTotal) })
            : t('watch.inAll', { n: number(item.mentions) })
        }}</span>
      </button>
      <div v-if="brand.may('watch')" class="new">
        <button type="button" class="button" @click="edit(null)">{{ t('watch.new') }}</button>
      </div>
    </nav>
    <section class="main">
      <EmptyPlace v-if="!brand.watches.length" :title="t('watch.emptyTitle')" :text="t('watch.empty')"
        ><button v-if="brand.may('watch')" type="button" class="button primary" @click="edit(null)">
          {{ t('watch.new') }}
        </button></EmptyPlace
      >
      <template v-else>
        <header v-if="current" class="head">
          <h2>{{ current.name }}</h2>
          <span class="soft"
            >{{ t('watch.listensFor', { n: terms }, terms)
            }}<template v-if="current.query.noneOf.length"
              >, {{ t('watch.leavesOut', { n: current.query.noneOf.length }) }}</template
            ></span
          >
          <span class="buttons">
            <button type="button" class="button" @click="edit(current)">{{ t('watch.edit') }}</button>
            <button v-if="brand.may('watch')" type="button" class="button" @click="remove(current)">
              {{ t('watch.delete') }}
            </button>
          </span>
        </header>
        <dl v-if="figures" class="figures">
          <div>
            <dt>{{ t('watch.mentions') }}</dt>
            <dd>
              <b data-test="mentions">{{ number(figures.total) }}</b>
              <span class="soft">{{ t('watch.inRange') }}</span>
            </dd>
          </div>
          <div>
            <dt>{{ t('watch.net') }}</dt>
            <dd v-if="figures.net">
              <b>{{ points(figures.net.net) }}</b>
              <span class="soft"
                >{{ points(figures.net.low) }} – {{ points(figures.net.high) }}, n =
                {{ number(figures.net.n) }}</span
              >
            </dd>
            <dd v-else class="soft">{{ t('watch.netNone') }}</dd>
          </div>
          <div>
            <dt>{{ t('watch.shares') }}</dt>
            <dd>
              <button
                v-for="sentiment in ['positive', 'neutral', 'negative'] as const"
                :key="sentiment"
                type="button"
                class="plain share"
                @click="change({ sentiments: [sentiment] })"
              >
                {{ number(figures[sentiment]) }}
              </button>
              <span v-if="figures.unread" class="soft">{{ t('watch.unread', { n: figures.unread }) }}</span>
            </dd>
          </div>
        </dl>
        <VolumeChart
          v-if="chart"
          :tide="chart"
          :caption="t('watch.perDay', { unit: t(`watch.unit.${chart.unit}`) })"
          @open="openBar"
        />
        <LensProblem
          v-if="problems.length"
          :what="joined(problems.map((p) => `${p.field}=${p.value}`))"
          @reset="reset"
        />
        <ProblemNote v-if="entries.problem.value" :problem="entries.problem.value" @again="loadAll" />
        <h4 class="title">{{ t('watch.mentions') }}</h4>
        <div class="mentions">
          <VirtualList
            v-if="rows.length"
            :rows="rows"
            :estimate="86"
            :label="t('watch.mentions')"
            :selected="selected"
            @end="entries.more"
          >
            <template #default="{ row }"
              ><MentionRow :row="row" :selected="row.id === selected" @click="selected = row.id"
            /></template>
          </VirtualList>
          <EmptyPlace
            v-else-if="!entries.loading.value && !entries.problem.value"
            :text="t('watch.noMentions')"
            ><button type="button" class="button" @click="reset">{{ t('lens.reset') }}</button></EmptyPlace
          >
        </div>
      </template>
    </section>
  </main>
  <WatchSheet v-model="sheet" :editing="editing" @saved="onSaved" />
</template>

<style scoped>
.body {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: 260px minmax(0, 1fr);
}
.watches {
  border-right: 1px solid var(--line);
  background: var(--sheet);
  overflow-y: auto;
}
.watch {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  gap: 10px;
  width: 100%;
  text-align: left;
  font: inherit;
  color: inherit;
  background: none;
  border: 0;
  border-bottom: 1px solid var(--line);
  border-left: 3px solid transparent;
  padding: 12px 16px 12px 17px;
  cursor: pointer;
}
.watch b {
  font-weight: 600;
}
.chosen {
  background: var(--deep-wash);
  border-left-color: var(--deep);
}
.new {
  padding: 12px 20px;
}
.main {
  background: var(--sheet);
  padding: 12px 20px 0 24px;
  min-height: 0;
  display: flex;
  flex-direction: column;
}
.head {
  display: flex;
  align-items: baseline;
  gap: 14px;
}
h2 {
  font-size: 20px;
  line-height: 28px;
  font-weight: 600;
}
.buttons {
  margin-left: auto;
  display: flex;
  gap: 8px;
}
.figures {
  display: grid;
  grid-template-columns: repeat(3, auto) 1fr;
  margin: 8px 0 12px;
  border-block: 1px solid var(--line);
}
.figures div {
  padding: 8px 28px 8px 0;
  margin-right: 24px;
  border-right: 1px solid var(--line);
}
.figures div:last-child {
  border: 0;
}
dt {
  font-size: 12px;
  color: var(--ink-soft);
}
dd {
  margin: 0;
}
dd b {
  font-size: 22px;
  line-height: 30px;
  font-weight: 600;
}
.share {
  font-size: 22px;
  line-height: 30px;
  font-weight: 600;
  margin-right: 14px;
}
.title {
  margin: 8px 0 0;
}
.mentions {
  flex: 1;
  min-height: 160px;
}
@media (max-width: 720px) {
  .body {
    grid-template-columns: minmax(0, 1fr);
    overflow-y: auto;
  }
  .mentions {
    min-height: 400px;
  }
}
</style>
