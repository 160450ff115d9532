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
import { watchFigures } from './watchFigures.ts'
import WatchHead from './WatchHead.vue'
import WatchList from './WatchList.vue'
import WatchSheet from './WatchSheet.vue'

const brand = useBrand()
const undo = useUndo()
const { t, list: joined } = useTexts()
const { lens, problems, query, change, reset } = useLens('entries')
const entries = useEntryList(query)
const { rows, count } = entries
const strip = useTide(lens)
const sheet = ref(false)
const editing = ref<WatchAnswer | null>(null)
const selected = ref<number | null>(null)
const lensLine = useTemplateRef<InstanceType<typeof LensLine>>('lensLine')

const current = computed(() => brand.watches.find((w) => w.id === lens.value.watch) ?? null)

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
    <WatchList :chosen="lens.watch" @choose="(watch) => change({ watch })" @create="edit(null)" />
    <section class="main">
      <EmptyPlace v-if="!brand.watches.length" :title="t('watch.emptyTitle')" :text="t('watch.empty')"
        ><button v-if="brand.may('watch')" type="button" class="button primary" @click="edit(null)">
          {{ t('watch.new') }}
        </button></EmptyPlace
      >
      <template v-else>
        <WatchHead
          :watch="current"
          :figures="figures"
          @edit="edit(current)"
          @remove="current && remove(current)"
          @felt="(sentiment) => change({ sentiments: [sentiment] })"
        />
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
.main {
  background: var(--sheet);
  padding: 12px 20px 0 24px;
  min-height: 0;
  display: flex;
  flex-direction: column;
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
