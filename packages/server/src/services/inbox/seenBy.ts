import type { LiveEvent } from '@murrabel/contract'
import { isLimited, type Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { visibleThreads } from '../../store/queries/inbox/visibleThreads.ts'

/** The event with what the reader may know of it; null when that is nothing. */
export async function seenBy(
  { db }: Pick<Context, 'db'>,
  reader: Reader,
  event: LiveEvent,
): Promise<LiveEvent | null> {
  if (event.kind === 'notices') return event.colleague === reader.colleagueId ? event : null
  if (event.kind === 'presence' && isLimited(reader)) {
    const threads = await visibleThreads(db, reader, event.threads)
    return { ...event, threads, writing: event.writing && threads.length > 0 }
  }
  if (!('threads' in event) || !event.threads.length || !isLimited(reader)) return event
  const threads = await visibleThreads(db, reader, event.threads)
  if (!threads.length) return null
  return 'count' in event ? { ...event, threads, count: threads.length } : { ...event, threads }
}
