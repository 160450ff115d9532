import { blankLens, type Lens } from '@murrabel/core/lens'
import type { LensCounts } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { entryCount } from '../../store/queries/entries/entryCount.ts'
import { keptLensesOf } from '../../store/queries/lenses/keptLenses.ts'
import { openWork } from '../../store/queries/lenses/lensCounts.ts'
import { keptLensOf, lensContext, questionKey } from '../lens/index.ts'

type Parts = Pick<Context, 'db' | 'now' | 'sharedRuns'>

/** All that waits for us: the open threads that an answer is to be given to. */
const openThreads: Lens = { ...blankLens, unit: 'threads', state: 'open', origins: ['sent', 'watched'] }

/** Whether a lens shows nothing beyond the open threads: then it was counted with them. */
const isOpen = ({ state, origins }: Lens): boolean =>
  state === 'open' && origins.length > 0 && origins.every((each) => openThreads.origins.includes(each))

/** What each of one's lenses shows, and how they share the open threads. */
export async function lensCounts(parts: Parts, reader: Reader): Promise<LensCounts> {
  const { db } = parts
  return parts.sharedRuns.ask(
    questionKey('lenses', reader, { lens: { ...openThreads, uncaught: true }, query: {} }),
    async () => {
      const [context, kept] = await Promise.all([lensContext(parts, reader), keptLensesOf(db, reader)])
      const lenses = kept.map(({ lens }) => keptLensOf(lens))
      const [{ lenses: open, ...work }, shown] = await Promise.all([
        openWork(db, { whole: openThreads, lenses, context, reader }),
        Promise.all(lenses.map((lens) => (isOpen(lens) ? null : entryCount(db, { lens, context, reader })))),
      ])
      return {
        ...work,
        lenses: kept.map(({ id }, i) => ({ id, shown: shown[i]?.count ?? open[i]!.count, open: open[i]! })),
      }
    },
  )
}
