import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import { visiblePlaces } from '../../store/queries/brand/brand.ts'
import { idsPart } from '../lens/index.ts'

/**
 * Somebody as they look at one place alone, where they ask for one.
 *
 * @throws Refusal invalid, notFound for a place that is not theirs
 */
export async function atPlace(
  { db }: Pick<Context, 'db'>,
  reader: Reader,
  query: Record<string, unknown>,
): Promise<Reader> {
  const [place] = idsPart(query, 'place', 1) ?? []
  if (place === undefined) return reader
  const theirs = await visiblePlaces(db, reader)
  if (!theirs.some(({ id }) => id === place)) throw new Refusal('notFound')
  return { ...reader, placeIds: [place] }
}
