import { blankLens, type Lens } from '@murrabel/core/lens'
import { looksAt, paceOf } from '@murrabel/core/today'
import type { TodayAnswer, TodaySince } from '@murrabel/contract'
import { may, type Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { actionsNotSent } from '../../store/queries/alerts/bell.ts'
import { approvalsFor } from '../../store/queries/approvals/approvals.ts'
import { entryPage } from '../../store/queries/entries/entryPage.ts'
import { openFollowUpsOf } from '../../store/queries/followUps/followUps.ts'
import { morningMailAt } from '../../store/queries/today/morningMails.ts'
import { ownLinesOf } from '../../store/queries/today/ownLines.ts'
import {
  answerTimes,
  arrivedSince,
  colleaguesNow,
  endedKeys,
  lockLooks,
  setLooks,
  setUpGaps,
} from '../../store/queries/today/today.ts'
import { countLens, lensContext, questionKey } from '../lens/index.ts'
import { listNotices } from '../together/index.ts'

type Parts = Pick<Context, 'db' | 'now'>
type Counting = Parts & Pick<Context, 'live' | 'sharedRuns' | 'keptCounts'>

/** What is due within this is told, milliseconds. */
const soonMs = 86_400_000
const daysTold = { day: 1, week: 7 } as const
/** Threads that are named. */
const named = 6

/** What waits for somebody: theirs or nobody's, to be answered. */
const ownWork: Lens = {
  ...blankLens,
  unit: 'threads',
  state: 'open',
  origins: ['sent', 'watched'],
  givenTo: 'meOrNobody',
  order: 'pressing',
}

/** What somebody should know, since they looked last. Looking is told by itself: see `seeToday`. */
export async function today(
  parts: Counting,
  reader: Reader,
  told: TodaySince = 'look',
): Promise<TodayAnswer> {
  const { db, now } = parts
  const at = now()
  const context = await lensContext(parts, reader)
  const looks = await db.inTransaction((tx) => lockLooks(db, reader, tx))
  const since = told === 'look' ? looksAt(looks, at).since : at - daysTold[told] * soonMs
  const question = { lens: ownWork, context, reader }
  const key = questionKey('today', reader, { lens: ownWork, query: {} })
  const setsUp = may(reader, 'setUp', 'brand')
  const setsUpHere = may(reader, 'setUp')
  const [
    arrived,
    open,
    rows,
    times,
    notSent,
    keys,
    followUps,
    notices,
    list,
    gaps,
    colleagues,
    mailAt,
    approvals,
  ] = await Promise.all([
    arrivedSince(db, reader, new Date(since)),
    parts.sharedRuns.ask(key, () => countLens(parts, question, key)),
    entryPage(db, { ...question, after: null, limit: 50 }),
    answerTimes(db, reader),
    actionsNotSent(db, reader),
    endedKeys(db, reader),
    openFollowUpsOf(db, reader, at),
    listNotices({ db }, reader),
    ownLinesOf(db, reader, new Date(at - soonMs)),
    setsUp ? setUpGaps(db, reader.brandId) : [],
    colleaguesNow(db, reader, new Date(at)),
    morningMailAt(db, reader),
    setsUpHere ? approvalsFor(db, reader) : [],
  ])
  const isSoon = (dueAt: string | null) => dueAt !== null && Date.parse(dueAt) < at + soonMs
  return {
    since: new Date(since).toISOString(),
    arrived,
    open,
    pace: paceOf(times),
    due: rows.rows.filter(({ dueAt }) => isSoon(dueAt)).slice(0, named),
    notSent,
    keys,
    followUps: followUps.filter(({ dueAt }) => isSoon(dueAt)),
    notices: notices.filter(({ seen }) => !seen),
    list,
    gaps,
    colleagues,
    mailAt,
    approvals,
  }
}

/** They are looking: the next look, after a while, is told from now on. */
export async function seeToday({ db, now }: Parts, reader: Reader): Promise<undefined> {
  await db.inTransaction(async (tx) =>
    setLooks(db, reader, looksAt(await lockLooks(db, reader, tx), now()), tx),
  )
  return undefined
}
