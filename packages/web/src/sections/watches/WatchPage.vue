<script setup lang="ts">
import { computed, onMounted, ref, shallowRef, useTemplateRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useLocalStorage } from '@vueuse/core'
import { routes, type TideAnswer, type WatchAnswer, type WatchGroupAnswer } from '@murrabel/contract'
import { printRange, type Lens } from '@murrabel/core/lens'
import { call, CallProblem } from '../../api/call.ts'
import { useAsked } from '../../composables/useAsked.ts'
import { useEntryList } from '../../composables/useEntryList.ts'
import { useKeys } from '../../composables/useKeys.ts'
import { lensQuery, useLens } from '../../composables/useLens.ts'
import { gathered, useLive } from '../../composables/useLive.ts'
import { useProblemTexts } from '../../composables/useProblemTexts.ts'
import { provideSearch } from '../../composables/useSearch.ts'
import { useTexts } from '../../composables/useTexts.ts'
import { useTide } from '../../composables/useTide.ts'
import EmptyPlace from '../../parts/EmptyPlace.vue'
import LensLine from '../../parts/LensLine.vue'
import LensProblem from '../../parts/LensProblem.vue'
import ProblemNote from '../../parts/ProblemNote.vue'
import TideLine from '../../parts/TideLine.vue'
import { useBrand } from '../../stores/brand.ts'
import { useUndo } from '../../stores/undo.ts'
import FeedSheet from '../alerts/FeedSheet.vue'
import FigureRow from './FigureRow.vue'
import FiguresView from './FiguresView.vue'
import GroupSheet from './GroupSheet.vue'
import MentionList from './MentionList.vue'
import PhraseMap from './PhraseMap.vue'
import SpikesView from './SpikesView.vue'
import StartSheet from './StartSheet.vue'
import VoicesView from './VoicesView.vue'
import WatchHead from './WatchHead.vue'
import WatchList from './WatchList.vue'
import WatchSheet from './WatchSheet.vue'

const views = ['said', 'mentions', 'figures', 'voices', 'spikes'] as const
type View = (typeof views)[number]

const brand = useBrand()
const undo = useUndo()
const route = useRoute()
const router = useRouter()
const { t, list: joined } = useTexts()
const { line } = useProblemTexts()
const { lens, problems, query, change, reset } = useLens('entries')
const fold = useLocalStorage('murrabel.foldCopies', true)
/** Nothing is asked before it is known of which watch. */
const ready = ref(false)
const question = computed(() => (ready.value ? query.value : null))
const entries = useEntryList(query, { fold })
const strip = useTide(lens)
const lensLine = useTemplateRef<InstanceType<typeof LensLine>>('lensLine')
const voicesView = useTemplateRef<InstanceType<typeof VoicesView>>('voicesView')
const spikesView = useTemplateRef<InstanceType<typeof SpikesView>>('spikesView')
const sheet = ref(false)
const editing = ref<WatchAnswer | null>(null)
const groupSheet = ref(false)
const editedGroup = ref<WatchGroupAnswer | null>(null)
const startSheet = ref(false)
const feedSheet = ref(false)

const view = computed<View>(() => views.find((each) => each === route.query.view) ?? 'said')
const current = computed(() => brand.watches.find((w) => w.id === lens.value.watch) ?? null)
const currentGroup = computed(() => brand.groups.find((g) => g.id === lens.value.group) ?? null)

provideSearch(lens)
const standings = useAsked(
  routes.standings,
  computed<[string, string][]>(() => [['time', printRange(lens.value.range)]]),
)
const figures = useAsked(routes.figures, question)
const against = ref<'before' | 'others'>('before')
const phrases = useAsked(
  routes.phrases,
  computed(() =>
    view.value === 'said' && ready.value
      ? [...query.value, ['against', against.value] as [string, string]]
      : null,
  ),
)

/** The chart of the figures: the lens's own range, in bars of its own. */
const chart = shallowRef<TideAnswer | null>(null)
let chartRun = 0
async function loadChart(): Promise<void> {
  const mine = ++chartRun
  const answer = await call(routes.tide, { query: [...lensQuery(lens.value), ['span', 'range']] }).catch(
    () => null,
  )
  if (mine === chartRun) chart.value = answer
}
watch([query, view], () => {
  if (view.value === 'figures') void loadChart()
})

onMounted(async () => {
  const none = lens.value.watch === null && lens.value.group === null && route.query.watch === undefined
  const first =
    brand.watches.find((w) => w.groupId === null || brand.groups[0]?.id === w.groupId) ?? brand.watches[0]
  // The list follows the address by itself.
  if (none && first) change({ watch: first.id }, { replace: true })
  else await Promise.all([entries.load(), strip.load()])
  ready.value = true
  if (view.value === 'figures') void loadChart()
})
function loadFigures(): void {
  void strip.load()
  void figures.load()
  void standings.load()
  if (view.value === 'figures') void loadChart()
}
const refresh = gathered(() => {
  void entries.refresh()
  loadFigures()
  void voicesView.value?.load()
}, 300)
/** What reads many texts is asked for less often. */
const refreshTexts = gathered(() => {
  void phrases.load()
  void spikesView.value?.load()
}, 1000)
useLive(({ kind }) => {
  if (kind !== 'entries' && kind !== 'thread' && kind !== 'watches') return
  refresh()
  refreshTexts()
})

function show(next: View): void {
  const { view: _view, ...rest } = route.query
  void router.push({ query: { ...rest, ...(next === 'said' ? {} : { view: next }) } })
}
/** Narrows the lens and reads what is left. */
async function open(part: Partial<Lens>): Promise<void> {
  await router.push({ query: { ...route.query, view: 'mentions' } })
  // One step in the history, so that one step leads back.
  change(part, { replace: true })
}
function edit(item: WatchAnswer | null): void {
  editing.value = item
  sheet.value = true
}
function editGroup(item: WatchGroupAnswer | null): void {
  editedGroup.value = item
  groupSheet.value = true
}
function onSaved(saved: WatchAnswer): void {
  if (lens.value.watch !== saved.id) change({ watch: saved.id, group: null })
  else refresh()
}
function onGroupChanged(): void {
  if (lens.value.group !== null && !currentGroup.value) change({ group: null })
  refresh()
}
async function attempt(work: () => Promise<void>): Promise<void> {
  try {
    await work()
  } catch (error) {
    if (!(error instanceof CallProblem)) throw error
    undo.tell({ text: line(error), problem: true })
  }
}
const remove = (item: WatchAnswer) =>
  attempt(async () => {
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
  })
const pause = (item: WatchAnswer, paused: boolean) =>
  attempt(async () => {
    await call(routes.pauseWatch, { params: { id: item.id }, body: { paused } })
    await brand.reloadWatches()
  })
const copy = (item: WatchAnswer) =>
  attempt(async () => {
    const made = await call(routes.copyWatch, { params: { id: item.id } })
    await brand.reloadWatches()
    change({ watch: made.id })
    edit(made)
  })
const move = (item: WatchAnswer, groupId: number | null) =>
  attempt(async () => {
    await call(routes.updateWatch, {
      params: { id: item.id },
      body: { name: item.name, query: item.query, groupId, edition: item.edition },
    })
    await brand.reloadWatches()
  })
const compare = () => router.push({ path: '/watch/compare', query: { ...route.query, view: undefined } })
useKeys({ l: () => void lensLine.value?.focus() })
</script>

<template>
  <LensLine ref="lensLine" :lens="lens" :count="entries.count.value" @change="change" @reset="reset" />
  <TideLine
    :lens="lens"
    :tide="strip.tide.value"
    :loading="strip.loading.value"
    @range="(range) => change({ range })"
  />
  <main class="body">
    <WatchList
      :standings="standings.answer.value"
      :watch="lens.watch"
      :group="lens.group"
      @choose="(subject) => change(subject)"
      @create="edit(null)"
      @group="editGroup"
      @propose="startSheet = true"
    />
    <section class="main">
      <EmptyPlace v-if="!brand.watches.length" :title="t('watch.emptyTitle')" :text="t('watch.empty')">
        <button
          v-if="brand.mayCall('createWatch')"
          type="button"
          class="button primary"
          @click="startSheet = true"
        >
          {{ t('watch.startHelp') }}
        </button>
      </EmptyPlace>
      <template v-else>
        <WatchHead
          :watch="current"
          :group="currentGroup"
          @tune="edit(current)"
          @compare="compare"
          @remove="current && remove(current)"
          @pause="(paused) => current && pause(current, paused)"
          @copy="current && copy(current)"
          @feed="feedSheet = true"
          @move="(group) => current && move(current, group)"
        />
        <nav class="views" :aria-label="t('sections.watch')">
          <button
            v-for="each in views"
            :key="each"
            type="button"
            class="plain"
            :class="{ here: view === each }"
            :aria-current="view === each ? 'page' : undefined"
            @click="show(each)"
          >
            {{ t(`watch.view.${each}`) }}
          </button>
        </nav>
        <LensProblem
          v-if="problems.length"
          :what="joined(problems.map((p) => `${p.field}=${p.value}`))"
          @reset="reset"
        />
        <ProblemNote v-if="figures.problem.value" :problem="figures.problem.value" @again="figures.load" />
        <FigureRow
          v-if="figures.answer.value && view !== 'mentions'"
          :figures="figures.answer.value"
          :watch="current !== null"
          @sentiment="(sentiment) => open({ sentiments: [sentiment] })"
          @tune="edit(current)"
          @figures="show('figures')"
        />
        <PhraseMap
          v-if="view === 'said'"
          :answer="phrases.answer.value"
          :loading="phrases.loading.value"
          :against="against"
          @open="(phrase) => open({ phrase })"
          @against="(value) => (against = value)"
        />
        <MentionList
          v-if="view === 'said' || view === 'mentions'"
          v-model:fold="fold"
          :entries="entries"
          :lens="lens"
          :copies="figures.answer.value?.copies ?? 0"
          @change="change"
          @judged="loadFigures"
          @reset="reset"
        />
        <FiguresView
          v-else-if="view === 'figures' && figures.answer.value"
          :figures="figures.answer.value"
          :chart="chart"
          @open="open"
        />
        <VoicesView v-else-if="view === 'voices'" ref="voicesView" :query="query" @open="open" />
        <SpikesView v-else-if="view === 'spikes'" ref="spikesView" :query="query" @open="open" />
      </template>
    </section>
  </main>
  <WatchSheet v-model="sheet" :editing="editing" @saved="onSaved" />
  <GroupSheet v-model="groupSheet" :editing="editedGroup" @changed="onGroupChanged" />
  <FeedSheet v-model="feedSheet" :item="current" />
  <StartSheet v-model="startSheet" @saved="refresh" />
</template>

<style scoped>
.body {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: 300px minmax(0, 1fr);
}
.main {
  background: var(--sheet);
  padding: 12px 20px 0 24px;
  min-height: 0;
  display: flex;
  flex-direction: column;
}
.views {
  display: flex;
  gap: 20px;
  margin-top: 4px;
}
.views .plain {
  color: var(--ink-soft);
  padding: 2px 0 4px;
}
.views .here {
  color: var(--ink);
  font-weight: 600;
  box-shadow: 0 2px 0 var(--deep);
}
@media (max-width: 720px) {
  .body {
    grid-template-columns: minmax(0, 1fr);
    overflow-y: auto;
  }
}
</style>
