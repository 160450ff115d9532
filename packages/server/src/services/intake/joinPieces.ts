import { joinParts } from '@murrabel/core/texting'
import type { Context } from '../../context.ts'
import { profileOwner } from '../actions/index.ts'
import type { Database, Tx } from '../../store/database.ts'
import type { IngestProfile } from '../../store/queries/intake/ingest.ts'
import { keepPieces, piecesOf, type StoredPiece } from '../../store/queries/intake/pieces.ts'
import type { CleanItem } from './cleanItem.ts'

/** A whole of which something is missing is shown as far as it is there after this time. */
const patienceMs = 120_000

export type KeptItem = Omit<CleanItem, 'raw'>

/**
 * Puts pieces together: what is whole goes in as one item under the id of the whole, what is not waits for the rest. The
 * same piece again changes nothing.
 */
export async function joinPieces(
  { db, due, now }: Pick<Context, 'db' | 'due' | 'now'>,
  profile: IngestProfile,
  items: readonly CleanItem[],
  tx: Tx,
): Promise<CleanItem[]> {
  const pieces = items.filter(({ piece }) => piece)
  if (!pieces.length) return [...items]
  const placed = await placePieces(db, profile.id, pieces, tx)
  await keepPieces(db, { profileId: profile.id, pieces: placed }, tx)
  const wholes = wholesOf(
    await piecesOf<KeptItem>(db, { profileId: profile.id, wholes: placed.map(({ whole }) => whole) }, tx),
  )
  if (wholes.some(({ missing }) => missing))
    await due.ask(
      { kind: 'join', subject: profile.id, owner: profileOwner(profile.id), at: now() + patienceMs },
      tx,
    )
  return [
    ...items.filter(({ piece }) => !piece),
    ...wholes.filter(({ missing }) => !missing).map(({ item }) => item),
  ]
}

/** Phones begin again with their numbers: a piece whose place another one has belongs to the next whole of that number. */
async function placePieces(
  db: Database,
  profileId: number,
  items: readonly CleanItem[],
  tx: Tx,
): Promise<StoredPiece<KeptItem>[]> {
  const named = [...new Set(items.map(({ piece }) => piece!.whole))]
  const rounds = named.flatMap((whole) => [whole, ...later(whole)])
  const taken = new Map(
    (await piecesOf<KeptItem>(db, { profileId, wholes: rounds }, tx)).map((p) => [
      `${p.whole} ${p.number}`,
      p.item.outsideId,
    ]),
  )
  return items.flatMap(({ raw: _raw, ...item }) => {
    const { whole: name, number, of } = item.piece!
    const whole = [name, ...later(name)].find((each) => {
      const there = taken.get(`${each} ${number}`)
      return there === undefined || there === item.outsideId
    })
    if (whole === undefined) return []
    taken.set(`${whole} ${number}`, item.outsideId)
    return [{ whole, number, of, item }]
  })
}

const later = (whole: string): string[] => Array.from({ length: 20 }, (_, i) => `${whole}#${i + 2}`)

interface Whole {
  item: CleanItem
  missing: number
}

export function wholesOf(pieces: readonly StoredPiece<KeptItem>[]): Whole[] {
  const byWhole = new Map<string, StoredPiece<KeptItem>[]>()
  for (const piece of pieces) byWhole.set(piece.whole, [...(byWhole.get(piece.whole) ?? []), piece])
  return [...byWhole].map(([whole, of]) => {
    const { text, missing } = joinParts(
      of.map(({ number, item }) => ({ number, text: item.text })),
      of[0]!.of,
    )
    const raw = of.map(({ item }) => JSON.parse(item.kept ?? 'null') as unknown)
    const at = Math.min(...of.map(({ item }) => item.at))
    return {
      item: { ...of[0]!.item, outsideId: whole, piece: undefined, text, at, raw, kept: JSON.stringify(raw) },
      missing: missing.length,
    }
  })
}
