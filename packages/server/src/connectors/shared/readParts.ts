import { createHash } from 'node:crypto'
import type { CollectedItem, GoneItem, ReadParts, UnreadPart } from '../contract.ts'
import { NetworkFailure } from './outcome.ts'

/** The list that an answer must hold. @throws NetworkFailure when it holds none */
export function listOf<T>(value: unknown): T[] {
  if (!Array.isArray(value)) throw new NetworkFailure('transient', 'the answer holds no list of entries')
  return value as T[]
}

/** Reads each piece by itself: one that cannot be read is told, and is no reason to lose the others. */
export function readParts<T>(
  parts: readonly T[],
  read: (part: T) => CollectedItem | null,
  goneOf: (part: T) => GoneItem | null = () => null,
): ReadParts {
  const found = { items: [] as CollectedItem[], unread: [] as UnreadPart[], gone: [] as GoneItem[] }
  for (const part of parts)
    try {
      const gone = goneOf(part)
      if (gone) found.gone.push(gone)
      const item = gone ? null : read(part)
      if (item) found.items.push(item)
    } catch (error) {
      found.unread.push({ outsideId: idOf(part), raw: part, reason: (error as Error).message })
    }
  return found
}

/** The id a piece names, wherever it does; otherwise a hash of it. */
function idOf(part: unknown): string {
  const { id, object, item } = (part ?? {}) as {
    id?: unknown
    object?: { id?: unknown }
    item?: { '@id'?: unknown }
  }
  const named = [object?.id, item?.['@id'], id].find((each) => typeof each === 'string' && each)
  if (typeof named === 'string') return named.split('/').pop() || named
  return createHash('sha256')
    .update(JSON.stringify(part) ?? '')
    .digest('hex')
}
