import { routes, type EntryRow, type WatchAnswer } from '@murrabel/contract'
import { call, CallProblem } from '../../api/call.ts'
import { useAttempt } from '../../composables/useAttempt.ts'
import { useProblemTexts } from '../../composables/useProblemTexts.ts'
import { useTexts } from '../../composables/useTexts.ts'
import { useBrand } from '../../stores/brand.ts'
import { useUndo } from '../../stores/undo.ts'

type Judgement = 'positive' | 'neutral' | 'negative'

/** What can be done with mentions, one or many; each with its way back. */
export function useMentionActions({
  changed,
}: {
  changed: (ids: number[], part: Partial<EntryRow>) => void
}) {
  const { t } = useTexts()
  const brand = useBrand()
  const undo = useUndo()
  const { line } = useProblemTexts()
  const attempt = useAttempt()

  const judge = (rows: readonly EntryRow[], sentiment: Judgement) =>
    attempt(async () => {
      if (!rows.length || !brand.may('answer')) return
      const ids = rows.map((row) => row.id)
      const { changed: before } = await call(routes.correctMany, { body: { ids, sentiment } })
      changed(ids, { sentiment: sentiment, corrected: true })
      undo.tell({
        text:
          ids.length === 1
            ? t('undo.corrected', { label: t(`sentiment.${sentiment}`) })
            : t('watch.list.judged', { n: ids.length, label: t(`sentiment.${sentiment}`) }),
        undo: () => attempt(() => takeBack(rows, before)),
      })
    })

  /** Gives each the judgement it had: a person's, or the machine's. */
  async function takeBack(
    rows: readonly EntryRow[],
    before: readonly { id: number; before: string }[],
  ): Promise<void> {
    const corrected = new Set(rows.filter((row) => row.corrected).map((row) => row.id))
    const bySentiment = new Map<string | null, number[]>()
    for (const each of before) {
      const sentiment = corrected.has(each.id) ? each.before : null
      bySentiment.set(sentiment, [...(bySentiment.get(sentiment) ?? []), each.id])
    }
    for (const [sentiment, ids] of bySentiment) await call(routes.correctMany, { body: { ids, sentiment } })
    for (const each of before)
      changed([each.id], {
        sentiment: each.before as EntryRow['sentiment'],
        corrected: corrected.has(each.id),
      })
  }

  /**
   * Does the same on every thread of some rows, one after the other, and tells what was done with its way back, also when
   * a refusal ends it half way.
   */
  async function onThreads(
    rows: readonly EntryRow[],
    act: (thread: number) => Promise<{ eventId: number | null }>,
    {
      part,
      before,
      text,
    }: {
      /** What a row shows then, and what it showed before. */
      part: Partial<EntryRow>
      before: (row: EntryRow) => Partial<EntryRow>
      text: (threads: number) => string
    },
  ): Promise<void> {
    const done: { thread: number; event: number | null }[] = []
    let problem = ''
    for (const thread of new Set(rows.map((row) => row.threadId)))
      try {
        done.push({ thread, event: (await act(thread)).eventId })
      } catch (error) {
        if (!(error instanceof CallProblem)) throw error
        problem = line(error)
        break
      }
    if (!done.length) {
      if (problem) undo.tell({ text: problem, problem: true })
      return
    }
    const touched = rows.filter((row) => done.some(({ thread }) => thread === row.threadId))
    changed(
      touched.map((row) => row.id),
      part,
    )
    undo.tell({
      text: [text(done.length), problem].filter(Boolean).join(' '),
      undo: () =>
        attempt(async () => {
          for (const { thread, event } of done)
            if (event) await call(routes.undo, { params: { id: thread, event } })
          for (const row of touched) changed([row.id], before(row))
        }),
    })
  }

  const finish = (rows: readonly EntryRow[]) =>
    onThreads(
      rows.filter((row) => row.state !== 'done'),
      (id) => call(routes.threadEvent, { params: { id }, body: { kind: 'finish' } }),
      {
        part: { state: 'done' },
        before: ({ state }) => ({ state }),
        text: (n) => t('watch.list.finished', { n }),
      },
    )

  const give = (rows: readonly EntryRow[], to: number) =>
    onThreads(rows, (id) => call(routes.give, { params: { id }, body: { to } }), {
      part: { givenTo: to },
      before: ({ givenTo }) => ({ givenTo }),
      text: (n) => t('watch.list.given', { n, name: brand.colleagueName(to) }),
    })

  /** Leaves a voice out of a watch: what it said before goes from its mentions as well. */
  const leaveOut = (watch: WatchAnswer, name: string) =>
    attempt(async () => {
      const voices = watch.query.voices ?? { only: [], without: [] }
      let { edition } = watch
      const put = async (query: WatchAnswer['query']) => {
        const body = { name: watch.name, query, edition }
        ;({ edition } = await call(routes.updateWatch, { params: { id: watch.id }, body }))
      }
      await put({ ...watch.query, voices: { ...voices, without: [...voices.without, name] } })
      await brand.reloadWatches()
      undo.tell({
        text: t('watch.list.voiceLeft', { name, watch: watch.name }),
        undo: () =>
          attempt(async () => {
            await put({ ...watch.query, voices })
            await brand.reloadWatches()
          }),
      })
    })

  const keep = (rows: readonly EntryRow[], kept: boolean) =>
    attempt(async () => {
      if (!rows.length || !brand.may('answer')) return
      const { changed: ids } = await call(routes.keepEntries, {
        body: { ids: rows.map((row) => row.id), kept },
      })
      changed(ids, { kept })
      undo.tell({
        text: t(kept ? 'tags.kept' : 'tags.letGo', { n: ids.length }, ids.length),
        undo: () =>
          attempt(async () => {
            if (ids.length) await call(routes.keepEntries, { body: { ids, kept: !kept } })
            changed(ids, { kept: !kept })
          }),
      })
    })

  return { judge, finish, give, keep, leaveOut }
}
