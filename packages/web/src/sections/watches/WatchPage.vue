<script setup lang="ts">
import { computed, defineAsyncComponent, useTemplateRef } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import type { WatchAnswer } from '@murrabel/contract'
import type { Lens } from '@murrabel/core/lens'
import { useLens } from '../../composables/useLens.ts'
import { useShortcuts } from '../../composables/useShortcuts.ts'
import { provideSearch } from '../../composables/useSearch.ts'
import { useTexts } from '../../composables/useTexts.ts'
import EmptyPlace from '../../parts/EmptyPlace.vue'
import LensLine from '../../parts/LensLine.vue'
import LensProblem from '../../parts/LensProblem.vue'
import ProblemNote from '../../parts/ProblemNote.vue'
import TideLine from '../../parts/TideLine.vue'
import { useBrand } from '../../stores/brand.ts'
import FigureRow from './FigureRow.vue'
import { useFolding } from './folding.ts'
import MentionList from './MentionList.vue'
import OutageNote from './OutageNote.vue'
import PhraseMap from './PhraseMap.vue'
import { useWatchActions } from './useWatchActions.ts'
import { useWatchAnswers, watchViews, type LoadsAgain, type WatchView } from './useWatchAnswers.ts'
import WatchHead from './WatchHead.vue'
import WatchList from './WatchList.vue'
import WatchSheets from './WatchSheets.vue'
import WatchTabs from './WatchTabs.vue'
import RowShapes from '../../parts/RowShapes.vue'

const FiguresView = defineAsyncComponent(() => import('./FiguresView.vue'))
const SpikesView = defineAsyncComponent(() => import('./SpikesView.vue'))
const VoicesView = defineAsyncComponent(() => import('./VoicesView.vue'))

const brand = useBrand()
const route = useRoute()
const router = useRouter()
const { t, list: joined } = useTexts()
const { lens, problems, query, change, reset } = useLens('entries')
provideSearch(lens)
const fold = useFolding()
const view = computed<WatchView>(() => watchViews.find((each) => each === route.query.view) ?? 'said')
const { entries, strip, summaries, figures, against, phrases, chart, loadFigures, refresh } = useWatchAnswers(
  {
    lens,
    query,
    view,
    fold,
    views: {
      voices: useTemplateRef<LoadsAgain>('voicesView'),
      spikes: useTemplateRef<LoadsAgain>('spikesView'),
    },
  },
)
const lensLine = useTemplateRef<InstanceType<typeof LensLine>>('lensLine')
const sheets = useTemplateRef<InstanceType<typeof WatchSheets>>('sheets')
const edit = (item: WatchAnswer | null) => sheets.value?.edit(item)
const { remove, pause, copy, move } = useWatchActions({ change, edit })

const current = computed(() => brand.watches.find((w) => w.id === lens.value.watch) ?? null)
const currentGroup = computed(() => brand.groups.find((g) => g.id === lens.value.group) ?? null)

function show(next: WatchView): void {
  const { view: _view, ...rest } = route.query
  void router.push({ query: { ...rest, ...(next === 'said' ? {} : { view: next }) } })
}
/** Narrows the lens and reads what is left. */
async function open(part: Partial<Lens>): Promise<void> {
  await router.push({ query: { ...route.query, view: 'mentions' } })
  // One step in the history, so that one step leads back.
  change(part, { replace: true })
}
function onSaved(saved: WatchAnswer): void {
  if (lens.value.watch !== saved.id) change({ watch: saved.id, group: null })
  else refresh()
}
function onGroupChanged(): void {
  if (lens.value.group !== null && !currentGroup.value) change({ group: null })
  refresh()
}
const compare = () => router.push({ path: '/watch/compare', query: { ...route.query, view: undefined } })
useShortcuts({ lens: () => void lensLine.value?.focus() })
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
      :summaries="summaries.answer.value"
      :watch="lens.watch"
      :group="lens.group"
      @choose="(subject) => change(subject)"
      @create="edit(null)"
      @group="(item) => sheets?.editGroup(item)"
      @propose="sheets?.start()"
    />
    <section class="main">
      <EmptyPlace v-if="!brand.watches.length" :title="t('watch.emptyTitle')" :text="t('watch.empty')">
        <button
          v-if="brand.mayCall('createWatch')"
          type="button"
          class="button primary"
          @click="sheets?.start()"
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
          @feed="sheets?.feed()"
          @move="(group) => current && move(current, group)"
        />
        <WatchTabs :view="view" @show="show" />
        <LensProblem
          v-if="problems.length"
          :what="joined(problems.map((p) => `${p.field}=${p}`))"
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
        <RowShapes v-else-if="figures.loading.value && view !== 'mentions'" :rows="1" :height="78" />
        <OutageNote
          v-if="figures.answer.value && view !== 'mentions'"
          :outages="figures.answer.value.outages"
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
        <RowShapes v-else-if="view === 'figures' && figures.loading.value" :rows="3" :height="160" />
        <VoicesView v-else-if="view === 'voices'" ref="voicesView" :query="query" @open="open" />
        <SpikesView v-else-if="view === 'spikes'" ref="spikesView" :query="query" @open="open" />
      </template>
    </section>
  </main>
  <WatchSheets
    ref="sheets"
    :current="current"
    @saved="onSaved"
    @group-changed="onGroupChanged"
    @started="refresh"
  />
</template>

<style scoped>
.body {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: clamp(300px, 20vw, 420px) minmax(0, 1fr);
}
.main {
  background: var(--sheet);
  padding: 12px 20px 0 24px;
  min-height: 0;
  display: flex;
  flex-direction: column;
}
@media (max-width: 720px) {
  .body {
    grid-template-columns: minmax(0, 1fr);
    overflow-y: auto;
  }
}
</style>
