import type { Context } from '../../context.ts'
import { entriesToRead, type Pending } from '../../store/queries/analysis/unread.ts'
import type { ReadableEntry, StoredReading } from './readEntry.ts'
import type { TeachingSource } from './teaching.ts'

type Parts = Pick<Context, 'db' | 'readingWorker'>

/** Entries that are being read before it is their turn. */
export interface ReadingsAhead {
  version: number
  entries: readonly (ReadableEntry & { id: number })[]
  readings: Promise<StoredReading[]>
}

interface BrandTeaching {
  brandId: number
  teaching: TeachingSource
}

/** What is read of an entry; the rest need not cross to another thread. */
const readableOf = ({
  direction,
  kind,
  title,
  text,
  rating,
  private: isPrivate,
}: ReadableEntry): ReadableEntry => ({
  direction,
  kind,
  title,
  text,
  rating,
  private: isPrivate,
})
const isSame = (a: ReadableEntry, b: ReadableEntry): boolean =>
  a.text === b.text &&
  a.title === b.title &&
  a.rating === b.rating &&
  a.private === b.private &&
  a.direction === b.direction &&
  a.kind === b.kind

/** Begins to read entries while those before them are stored. */
export async function beginAhead(
  { db, readingWorker }: Parts,
  ids: readonly number[],
  { brandId, teaching }: BrandTeaching,
): Promise<ReadingsAhead | null> {
  if (!ids.length) return null
  const entries = await entriesToRead(db, ids)
  const readings = readingWorker.read({ brandId, teaching, entries: entries.map(readableOf) })
  // Met where it is waited for, if it is.
  readings.catch(() => {})
  return { version: teaching.version, entries, readings }
}

/**
 * One reading for each entry, in the same order. What was read ahead counts when the entry still says the same and nothing
 * else was taught meanwhile; the rest is read now.
 *
 * @throws what the worker threw of an entry that cannot be read
 */
export async function readingsOf(
  { readingWorker }: Pick<Parts, 'readingWorker'>,
  pending: readonly Pending[],
  { brandId, teaching, ahead }: BrandTeaching & { ahead: ReadingsAhead | null },
): Promise<StoredReading[]> {
  const known = await knownAhead(ahead, teaching.version)
  const still = (entry: Pending): StoredReading | null => {
    const found = known.get(entry.id)
    return found && isSame(found.entry, entry) ? found.reading : null
  }
  const missing = pending.filter((entry) => !still(entry))
  const fresh = missing.length
    ? await readingWorker.read({ brandId, teaching, entries: missing.map(readableOf) })
    : []
  const byId = new Map(missing.map(({ id }, i) => [id, fresh[i]!]))
  return pending.map((entry) => still(entry) ?? byId.get(entry.id)!)
}

async function knownAhead(ahead: ReadingsAhead | null, version: number) {
  const known = new Map<number, { entry: ReadableEntry; reading: StoredReading }>()
  if (ahead?.version !== version) return known
  // What could not be read there is read again, so that the one culprit is found.
  const read = await ahead.readings.catch(() => [])
  for (const [i, reading] of read.entries())
    known.set(ahead.entries[i]!.id, { entry: ahead.entries[i]!, reading })
  return known
}
