import { routes, type EntryRow, type WatchAnswer } from '@murrabel/contract'
import { call, CallProblem } from '../../api/call.ts'
import { useTexts } from '../../composables/useTexts.ts'
import { useBrand } from '../../stores/brand.ts'
import { useUndo } from '../../stores/undo.ts'

type Label = 'positive' | 'neutral' | 'negative'

/** What can be done with mentions, one or many; each with its way back. */
export function useMentionActions({
  changed,
}: {
  changed: (ids: number[], part: Partial<EntryRow>) => void
}) {
  const { t } = useTexts()
  const brand = useBrand()
  const undo = useUndo()

  async function attempt(work: () => Promise<void>): Promise<void> {
    try {
      await work()
    } catch (error) {
      if (!(error instanceof CallProblem)) throw error
      undo.tell({ text: error.problem.detail, problem: true })
    }
  }

  const judge = (rows: readonly EntryRow[], label: Label) =>
    attempt(async () => {
      if (!rows.length || !brand.may('answer')) return
      const ids = rows.map((row) => row.id)
      const { changed: before } = await call(routes.correctMany, { body: { ids, label } })
      changed(ids, { sentiment: label, corrected: true })
      undo.tell({
        text:
          ids.length === 1
            ? t('undo.corrected', { label: t(`sentiment.${label}`) })
            : t('watch.list.judged', { n: ids.length, label: t(`sentiment.${label}`) }),
        undo: () => attempt(() => takeBack(rows, before)),
      })
    })

  /** Gives each the judgement it had: a person's, or the machine's. */
  async function takeBack(
    rows: readonly EntryRow[],
    before: readonly { id: number; before: string }[],
  ): Promise<void> {
    const corrected = new Set(rows.filter((row) => row.corrected).map((row) => row.id))
    const byLabel = new Map<string | null, number[]>()
    for (const each of before) {
      const label = corrected.has(each.id) ? each.before : null
      byLabel.set(label, [...(byLabel.get(label) ?? []), each.id])
    }
    for (const [label, ids] of byLabel) await call(routes.correctMany, { body: { ids, label } })
    for (const each of before)
      changed([each.id], {
        sentiment: each.before as EntryRow['sentiment'],
        corrected: corrected.has(each.id),
      })
  }

  const finish = (rows: readonly EntryRow[]) =>
    attempt(async () => {
      const threads = [...new Set(rows.filter((row) => row.state !== 'done').map((row) => row.threadId))]
      const done: { thread: number; event: number }[] = []
      for (const thread of threads) {
        const { eventId } = await call(routes.threadEvent, {
          params: { id: thread },
          body: { kind: 'finish' } as never,
        })
        if (eventId) done.push({ thread, event: eventId })
      }
      changed(
        rows.map((row) => row.id),
        { state: 'done' },
      )
      undo.tell({
        text: t('watch.list.finished', { n: done.length }),
        undo: () =>
          attempt(async () => {
            for (const { thread, event } of done) await call(routes.undo, { params: { id: thread, event } })
            changed(
              rows.map((row) => row.id),
              { state: 'open' },
            )
          }),
      })
    })

  const give = (rows: readonly EntryRow[], to: number) =>
    attempt(async () => {
      const threads = [...new Set(rows.map((row) => row.threadId))]
      const done: { thread: number; event: number }[] = []
      for (const thread of threads) {
        const { eventId } = await call(routes.give, { params: { id: thread }, body: { to } })
        if (eventId) done.push({ thread, event: eventId })
      }
      changed(
        rows.map((row) => row.id),
        { givenTo: to },
      )
      undo.tell({
        text: t('watch.list.given', { n: threads.length, name: brand.colleagueName(to) }),
        undo: () =>
          attempt(async () => {
            for (const { thread, event } of done) await call(routes.undo, { params: { id: thread, event } })
          }),
      })
    })

  /** Leaves a voice out of a watch: what it said before goes from its mentions as well. */
  const leaveOut = (watch: WatchAnswer, name: string) =>
    attempt(async () => {
      const voices = watch.query.voices ?? { only: [], without: [] }
      const put = (query: WatchAnswer['query']) =>
        call(routes.updateWatch, { params: { id: watch.id }, body: { name: watch.name, query } as never })
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
