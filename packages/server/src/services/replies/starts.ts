import { formsOf, nearestTexts, patternKey, type Nearness } from '@murrabel/core/replies'
import type { NearThread, ReplyStarts } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import { colleagueName } from '../../store/queries/colleagues/isMember.ts'
import { visibleThreads } from '../../store/queries/inbox/visibleThreads.ts'
import {
  answeredWith,
  answersTo,
  askedIn,
  commonFrom,
  wordCommonness,
} from '../../store/queries/replies/nearest.ts'

/** Entries together that are fetched by their rarest words. */
const fetchedByWords = 6000
/** Near ones whose answers are looked at, and that are shown. */
const looked = 40
const shown = 6

/** What an answer in a thread can begin with: what its slots are filled with, and how like threads were answered. @throws Refusal notFound */
export async function replyStarts(
  { db }: Pick<Context, 'db'>,
  reader: Reader,
  thread: number,
): Promise<ReplyStarts> {
  if (!(await visibleThreads(db, reader, [thread])).length) throw new Refusal('notFound')
  const [asked, colleague] = await Promise.all([askedIn(db, thread), colleagueName(db, reader.colleagueId)])
  if (!asked) throw new Refusal('notFound')
  const known = {
    name: asked.name,
    place: asked.placeName,
    visit: asked.visitAt && { route: asked.visitRoute ?? '', at: asked.visitAt.toISOString() },
    colleague,
  }
  const language = asked.language === 'und' ? null : asked.language
  const forms = formsOf(asked.text ?? '')
  if (!forms.length) return { known, language, nearest: [], lookedAt: 0 }
  const commonness = await wordCommonness(db, { brandId: reader.brandId, forms })
  const rare = rarest(forms, commonness.having)
  if (!rare.length) return { known, language, nearest: [], lookedAt: 0 }
  const earlier = await answeredWith(db, reader, { forms: rare, thread })
  const near = nearestTexts(
    { forms, language, wish: asked.wish, aspects: asked.aspects },
    earlier,
    commonness,
  )
  const best = near.slice(0, looked)
  const rows = new Map(
    (
      await answersTo(
        db,
        best.map(({ index }) => earlier[index]!.id),
      )
    ).map((row) => [row.id, row]),
  )
  const threads = best.flatMap((each) => {
    const row = rows.get(earlier[each.index]!.id)
    return row ? [{ row, each }] : []
  })
  return { known, language, nearest: oncePerAnswer(threads).slice(0, shown), lookedAt: earlier.length }
}

/** The rarest forms first, as many as together find no more than is looked at; the rarest in any case, if it is not everywhere. */
function rarest(forms: readonly string[], having: ReadonlyMap<string, number>): string[] {
  const found = forms
    .map((form) => ({ form, n: having.get(form) ?? 0 }))
    .filter(({ n }) => n > 0 && n < commonFrom)
    .sort((a, b) => a.n - b.n)
  let sum = 0
  return found.filter(({ n }, nth) => (sum += n) <= fetchedByWords || nth === 0).map(({ form }) => form)
}

/** The same words answered many: the nearest of them stands for all. */
function oncePerAnswer(
  found: readonly {
    row: Omit<NearThread, 'shared' | 'nearness' | 'times'> & { id: number }
    each: Nearness
  }[],
): NearThread[] {
  const threads = new Set<number>()
  const answers = new Map<string, NearThread>()
  for (const { row, each } of found) {
    if (threads.has(row.threadId)) continue
    threads.add(row.threadId)
    const { id: _, ...rest } = row
    const key = patternKey(row.answer.replace(/\d+|\p{Lu}\p{Ll}+/gu, ''))
    const same = answers.get(key)
    if (same) same.times++
    else answers.set(key, { ...rest, shared: each.shared, nearness: Math.min(1, each.score), times: 1 })
  }
  return [...answers.values()]
}
