import { computed, onMounted, ref, shallowRef, watch, type Ref } from 'vue'
import { routes, type TideAnswer } from '@murrabel/contract'
import { printRange, type Lens } from '@murrabel/core/lens'
import { call } from '../../api/call.ts'
import { useAsked } from '../../composables/useAsked.ts'
import { useEntryList } from '../../composables/useEntryList.ts'
import { lensQuery } from '../../composables/useLens.ts'
import { gathered, useLive } from '../../composables/useLive.ts'
import { useTide } from '../../composables/useTide.ts'
import { useTouchedThreads } from '../../composables/useTouchedThreads.ts'

export const watchViews = ['said', 'mentions', 'figures', 'voices', 'spikes'] as const
export type WatchView = (typeof watchViews)[number]

/** Asked for by a view that is shown: its own answers, again. */
export interface LoadsAgain {
  load(): Promise<void>
}

/** The chart of the figures: the lens's own range, in bars of its own. A late answer never overwrites a newer one. */
function useChart(lens: Ref<Lens>, shown: Ref<boolean>) {
  const chart = shallowRef<TideAnswer | null>(null)
  let run = 0
  async function load(): Promise<void> {
    if (!shown.value) return
    const mine = ++run
    const answer = await call(routes.tide, { query: [...lensQuery(lens.value), ['span', 'range']] }).catch(
      () => null,
    )
    if (mine === run) chart.value = answer
  }
  watch([() => JSON.stringify(lens.value), shown], () => void load(), { immediate: true })
  return { chart, load }
}

export interface WatchQuestion {
  lens: Ref<Lens>
  /** The whole lens as pairs. */
  query: Ref<[string, string][]>
  view: Ref<WatchView>
  fold: Ref<boolean>
  /** Views that ask by themselves: what reads few rows, and what reads many texts. */
  views: { voices: Ref<LoadsAgain | null>; spikes: Ref<LoadsAgain | null> }
}

/** Everything the page of a watch shows, kept up to date. */
export function useWatchAnswers({ lens, query, view, fold, views }: WatchQuestion) {
  const entries = useEntryList(query, { fold })
  const strip = useTide(lens)
  const summaries = useAsked(
    routes.summaries,
    computed<[string, string][]>(() => [['time', printRange(lens.value.range)]]),
  )
  const figures = useAsked(routes.figures, query)
  const against = ref<'before' | 'others'>('before')
  const phrases = useAsked(
    routes.phrases,
    computed(() =>
      view.value === 'said' ? [...query.value, ['against', against.value] as [string, string]] : null,
    ),
  )
  const { chart, load: loadChart } = useChart(
    lens,
    computed(() => view.value === 'figures'),
  )

  onMounted(() => Promise.all([entries.load(), strip.load()]))
  function loadFigures(): void {
    void strip.load()
    void figures.load()
    void summaries.load()
    void loadChart()
  }
  const touch = useTouchedThreads(entries, 500)
  const refreshFigures = gathered(() => {
    loadFigures()
    return Promise.all([entries.fetchCount(), views.voices.value?.load()])
  }, 500)
  /** What reads many texts is asked for less often. */
  const refreshTexts = gathered(() => {
    return Promise.all([phrases.load(), views.spikes.value?.load()])
  }, 1000)
  /** After a change to the watches themselves: every row may come or go. */
  function refresh(): void {
    touch([])
    refreshFigures()
  }
  useLive((live) => {
    if (live.kind !== 'entries' && live.kind !== 'thread' && live.kind !== 'watches') return
    touch('threads' in live ? live.threads : [])
    refreshFigures()
    refreshTexts()
  })
  return { entries, strip, summaries, figures, against, phrases, chart, loadFigures, refresh }
}
