import { askingParts, instantsOf, type Lens, type LensContext } from '@murrabel/core/lens'
import type { Reader } from '../../../access/reader.ts'
import { addAccess, Where } from '../shared/where.ts'

/** What follows FROM, and the conditions. */
export interface LensSource {
  from: string
  where: Where
}

/**
 * The lens as SQL over entries e and their threads t: chooses the same entries as `lensPredicate` in the core.
 * What needs the thread or a watch is joined only when the lens asks for it.
 */
export function lensWhere(lens: Lens, context: LensContext, reader: Reader): LensSource {
  const where = new Where()
  addAccess(where, reader, 'e')
  where.add(`e.direction = 'in'`)
  if (lens.unit === 'threads') where.add('e.lead')
  // Said of the thread as well, so that its index on state and pressing time can be walked.
  if (isOfThreads(lens)) where.add(`t.brand_id = ${where.bind(reader.brandId)}`)
  const query = {
    bind: (value: unknown) => where.bind(value),
    context,
    at: timeColumn(lens),
    window: instantsOf(lens.range, context),
  }
  for (const { part, value } of askingParts(lens)) {
    if (part.of) continue
    const condition = part.sql(value, query)
    if (condition) where.add(condition)
  }
  const mentions = lens.watch === null ? '' : 'JOIN mentions m ON m.entry_id = e.id'
  // A lead is found by the thread that names it; one condition, so that the planner estimates it well.
  const join = isOfThreads(lens) ? 't.lead_entry_id = e.id' : 't.id = e.thread_id'
  const threads = needsThread(lens) ? `JOIN threads t ON ${join}` : ''
  return { from: `entries e ${mentions} ${threads}`, where }
}

/** Mentions keep the time of their entry, in the index of their watch. */
export const timeColumn = (lens: Lens) => (lens.watch === null ? 'e.at' : 'm.at')

const isOfThreads = (lens: Lens) => lens.unit === 'threads' && needsThread(lens)

const needsThread = (lens: Lens) =>
  lens.order === 'pressing' || askingParts(lens).some(({ part }) => part.needsThread)
