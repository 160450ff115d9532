import { readVoice } from '@murrabel/core/measures'
import {
  standings as knownStandings,
  voiceOrders,
  type Standing,
  type VoiceAnswer,
  type VoiceCard,
  type VoiceOrder,
  type VoicesAnswer,
} from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import { lensVoices } from '../../store/queries/entries/lensVoices.ts'
import { checkEdition } from '../../store/queries/shared/edition.ts'
import { record } from '../log/record.ts'
import { lensContext, lensOf } from '../entries/askedLens.ts'
import { netOf } from './standings.ts'

const pageSize = 100

/** Who speaks in a lens: what they said by sentiment, how often, how far it reached, and what that makes them. */
export async function voices(
  parts: Pick<Context, 'db' | 'now'>,
  reader: Reader,
  query: Record<string, unknown>,
): Promise<VoicesAnswer> {
  const lens = lensOf(query)
  const context = await lensContext(parts, reader)
  const order = voiceOrders.find((each) => each === query.by) ?? ('entries' satisfies VoiceOrder)
  const standing = knownStandings.find((each) => each === query.standing) ?? null
  const rows = await lensVoices(
    parts.db,
    { lens, context, reader },
    { order, limit: pageSize, kept: query.keptVoices === '1', standing },
  )
  const watches = await watchesOf(
    parts,
    reader,
    rows.map((row) => row.id),
  )
  return {
    voices: rows.map(({ voices: _all, first, last, ...row }): VoiceAnswer => {
      const { entries, habit, leaning } = readVoice(row)
      return {
        ...row,
        first: first.toISOString(),
        last: last.toISOString(),
        entries,
        habit,
        leaning,
        net: netOf(row),
        watches: watches.filter((w) => w.voice === row.id).map(({ id, name, n }) => ({ id, name, n })),
      }
    }),
    total: rows[0]?.voices ?? 0,
  }
}

/** On which watches these voices were caught. */
function watchesOf(
  { db }: Pick<Context, 'db'>,
  reader: Reader,
  ids: readonly number[],
): Promise<{ voice: number; id: number; name: string; n: number }[]> {
  return db.rows(
    `SELECT e.account_id AS voice, w.id, w.name, count(*) AS n FROM entries e JOIN mentions m ON m.entry_id = e.id JOIN watches w ON w.id = m.watch_id
     WHERE e.account_id = ANY($1::bigint[]) AND e.brand_id = $2 AND e.direction = 'in' AND w.deleted_at IS NULL
       AND ($3::int[] IS NULL OR e.place_id = ANY($3)) AND ($4::int[] IS NULL OR e.profile_id = ANY($4))
     GROUP BY 1, 2, 3 ORDER BY 4 DESC`,
    [ids, reader.brandId, reader.placeIds, reader.profileIds],
  )
}

/** A voice the reader may know of: one that wrote something they may see. */
export async function voiceCard({ db }: Pick<Context, 'db'>, reader: Reader, id: number): Promise<VoiceCard> {
  const card = await db.one<VoiceCard>(
    `SELECT a.id, a.name, a.handle, a.network, a.standing, a.note, a.kept, a.edition FROM accounts a WHERE a.id = $1 AND a.brand_id = $2
     AND EXISTS (SELECT 1 FROM entries e WHERE e.account_id = a.id AND ($3::int[] IS NULL OR e.place_id = ANY($3)) AND ($4::int[] IS NULL OR e.profile_id = ANY($4)))`,
    [id, reader.brandId, reader.placeIds, reader.profileIds],
  )
  if (!card) throw new Refusal('notFound')
  return card
}

export interface VoiceChange {
  standing?: Standing | null
  note?: string
  kept?: boolean
  edition?: number
}

/** Says what a voice is to the brand; answers what it was, so that it can be taken back. */
export async function changeVoice(
  { db }: Pick<Context, 'db'>,
  reader: Reader,
  id: number,
  { edition, ...change }: VoiceChange,
): Promise<Required<VoiceChange>> {
  await voiceCard({ db }, reader, id)
  return db.inTransaction(async (tx) => {
    await checkEdition({ db }, 'accounts', { id, brandId: reader.brandId }, edition, tx)
    const before = await db.one<Required<VoiceChange>>(
      'SELECT standing, note, kept, edition + 1 AS edition FROM accounts WHERE id = $1 AND brand_id = $2 FOR UPDATE',
      [id, reader.brandId],
      tx,
    )
    if (!before) throw new Refusal('notFound')
    const after = { ...before, ...change }
    await db.rows(
      'UPDATE accounts SET standing = $2, note = $3, kept = $4, edition = edition + 1 WHERE id = $1',
      [id, after.standing, after.note, after.kept],
      tx,
    )
    await record(db, reader, { kind: 'changeVoice', on: ['person', id], detail: { before, after } }, tx)
    return before
  })
}
