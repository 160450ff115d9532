import { blankLens, instantsOf, type Lens } from '@murrabel/core/lens'
import type { LensCounts } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { keptLensesOf } from '../../store/queries/lenses/keptLenses.ts'
import {
  openWork,
  openWorkByThread,
  sumOfWork,
  type OpenWork,
  type ThreadOfWork,
  type WorkAsked,
} from '../../store/queries/lenses/lensCounts.ts'
import { countLens, keptLensOf, lensContext, questionKey } from '../lens/index.ts'

type Parts = Pick<Context, 'db' | 'now' | 'live' | 'sharedRuns' | 'keptCounts'>

/** All that waits for us: the open threads that an answer is to be given to. */
const openThreads: Lens = { ...blankLens, unit: 'threads', state: 'open', origins: ['sent', 'watched'] }

/** Whether a lens shows nothing beyond the open threads: then it was counted with them. */
const isOpen = ({ state, origins }: Lens): boolean =>
  state === 'open' && origins.length > 0 && origins.every((each) => openThreads.origins.includes(each))

/** What each of one's lenses shows, and how they share the open threads. */
export async function lensCounts(parts: Parts, reader: Reader): Promise<LensCounts> {
  const { db } = parts
  const kept = await keptLensesOf(db, reader)
  const lenses = kept.map(({ lens }) => keptLensOf(lens))
  const asked = { ...openThreads, uncaught: true }
  const key = questionKey('lenses', reader, { lens: asked, query: { lenses: kept.map(({ lens }) => lens) } })
  return parts.sharedRuns.ask(key, async () => {
    const context = await lensContext(parts, reader)
    const [{ lenses: open, ...work }, shown] = await Promise.all([
      countWork(parts, { whole: openThreads, lenses, context, reader }, key),
      Promise.all(
        lenses.map((lens, i) =>
          isOpen(lens) ? null : shownBy(parts, reader, { lens, text: kept[i]!.lens }),
        ),
      ),
    ])
    return {
      ...work,
      lenses: kept.map(({ id }, i) => ({ id, shown: shown[i] ?? open[i]!.count, open: open[i]! })),
    }
  })
}

/** After notices only the threads that they named are looked at. */
function countWork({ db, live, keptCounts }: Parts, asked: WorkAsked, key: string): Promise<OpenWork> {
  const whole = () => openWork(db, asked)
  if (!live.connected) return whole()
  const { context, reader, lenses } = asked
  return keptCounts.ask<ThreadOfWork, OpenWork>({
    // What is asked of days is another question on the next.
    key: `${key} ${instantsOf({ last: 1 }, context)!.from}`,
    brandId: reader.brandId,
    now: context.now,
    whole,
    size: (work) => work.whole.count,
    byThread: (threads) => openWorkByThread(db, asked, threads),
    sum: (rows) => sumOfWork(rows, { lenses, context }),
  })
}

/** How many a lens shows that asks for more than what is open. */
async function shownBy(
  parts: Parts,
  reader: Reader,
  { lens, text }: { lens: Lens; text: string },
): Promise<number> {
  const key = questionKey('shown', reader, { lens, query: { text } })
  const { count } = await parts.sharedRuns.ask(key, async () =>
    countLens(parts, { lens, context: await lensContext(parts, reader), reader }, key),
  )
  return count
}
