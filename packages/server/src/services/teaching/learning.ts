import type { Context } from '../../context.ts'
import type { WorkOutcome } from '../../jobs/due/next.ts'
import type { Database, Tx } from '../../store/database.ts'
import { brandOwner } from '../../jobs/due/dueWork.ts'
import {
  answeredOrNot,
  brandsThatTeach,
  keepAnswersLearning,
  stampOfAnswers,
  latestConfidences,
  latestCorrections,
  leftAsRead,
  latestSaid,
  learningState,
  keepLearning,
  stampOfCorrections,
  correctionAges,
} from '../../store/queries/teaching/learning.ts'
import { loadTeaching, newTeachingVersion } from '../analysis/index.ts'

/** Corrections looked at: the newest; older ones have had their say. */
const lessonLimit = 5000
/** Of what was left as it was read. */
const leftLimit = 3000

/**
 * Learns from the corrections of a brand and from what it answers when there is something new, and measures what was learnt on
 * what was held back.
 * Only a change of what is in use makes the history be read again.
 *
 * @returns whether there was anything new to learn from
 */
export async function learnFromCorrections(
  { db, live, now, textWorker, due }: Pick<Context, 'db' | 'live' | 'now' | 'textWorker' | 'due'>,
  brandId: number,
  { anyway = false }: { anyway?: boolean } = {},
): Promise<boolean> {
  const seen = await correctionStamp(db, brandId)
  const row = await learningState(db, brandId)
  if (!row || (row.seen === seen && !anyway)) return false
  const teaching = await loadTeaching(db, brandId, 0)
  const answers = await textWorker.ask({
    kind: 'answers',
    threads: answeredOrNot(brandId, lessonLimit),
    ownWords: teaching.ownWords,
    stamp: seen,
  })
  const aspects = await textWorker.ask({
    kind: 'aspects',
    texts: latestSaid(brandId, lessonLimit),
    aspects: teaching.aspectTerms,
    stamp: `${seen}/${row.version}`,
  })
  const { model, contradicting, ...figures } = await textWorker.ask({
    kind: 'lessons',
    corrections: latestCorrections(brandId, lessonLimit),
    left: leftAsRead(brandId, leftLimit),
    confidences: latestConfidences(brandId, leftLimit),
    ownWords: teaching.ownWords,
    stamp: seen,
  })
  await db.inTransaction(async (tx) => {
    await keepLearning(
      db,
      { brandId, model, figures: { ...figures, contradicting }, seen, at: new Date(now()) },
      tx,
    )
    const { model: answersModel, ...answersFigures } = answers
    await keepAnswersLearning(db, { brandId, model: answersModel, figures: answersFigures, aspects }, tx)
    const inUse = (better: boolean | null) => row.wanted && better === true
    const changes =
      [figures.better, row.better, answers.better, row.answersBetter].some(inUse) ||
      JSON.stringify(aspects) !== JSON.stringify(row.aspectsLearnt ?? [])
    if (changes) await newTeachingVersion({ db, due }, brandId, tx)
    await live.tell(brandId, { kind: 'teaching' }, tx)
  })
  return true
}

/** A number that changes with every correction, with what is answered and finished, with aspects, and as the history grows. */
async function correctionStamp(db: Database, brandId: number): Promise<number> {
  const [row, answers] = await Promise.all([stampOfCorrections(db, brandId), stampOfAnswers(db, brandId)])
  return ((row?.stamp ?? 0) ^ (answers?.stamp ?? 0)) | 0
}

/** Corrections often come many in a row: learning waits for a pause, but not for ever. */
export const learnAfterMs = 4_000
const longestMs = 60_000

/** Asks to learn after a while; what was asked for earlier comes earlier. */
export const askToLearn = (
  { due, now }: Pick<Context, 'due' | 'now'>,
  brandId: number,
  afterMs: number,
  tx?: Tx,
): Promise<void> =>
  due.ask({ kind: 'learn', subject: brandId, owner: brandOwner(brandId), at: now() + afterMs }, tx)

const learnAtStartAfterMs = 30_000

/** Asks for every brand, at the start of the jobs: where nothing is new, nothing is learnt. */
export async function askAllToLearn(parts: Pick<Context, 'db' | 'due' | 'now'>): Promise<void> {
  for (const { id } of await brandsThatTeach(parts.db)) await askToLearn(parts, id, learnAtStartAfterMs)
}

/** Learns when the corrections of a brand have rested for a while. */
export async function learnWhenRested(
  context: Pick<Context, 'db' | 'live' | 'now' | 'textWorker' | 'due'>,
  brandId: number,
): Promise<WorkOutcome> {
  const row = await correctionAges(context.db, brandId)
  const rested = Number(row?.last ?? learnAfterMs)
  if (rested < learnAfterMs && Number(row?.first ?? 0) < longestMs)
    return { againInMs: learnAfterMs - rested }
  await learnFromCorrections(context, brandId)
  return 'done'
}
