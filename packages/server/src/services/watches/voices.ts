import { readVoice } from '@murrabel/core/measures'
import {
  standings as knownStandings,
  voiceOrders,
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
import { netOf } from './sentimentCounts.ts'
import {
  watchesOfVoices,
  voiceById,
  type VoiceChange,
  lockVoice,
  setVoice,
} from '../../store/queries/watches/voices.ts'
import { record } from '../log/index.ts'
import { lensContext, lensOf } from '../lens/index.ts'

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
  return watchesOfVoices(db, {
    accountIds: ids,
    brandId: reader.brandId,
    placeIds: reader.placeIds,
    profileIds: reader.profileIds,
  })
}

/** A voice the reader may know of: one that wrote something they may see. */
export async function voiceCard({ db }: Pick<Context, 'db'>, reader: Reader, id: number): Promise<VoiceCard> {
  const card = await voiceById(db, {
    id,
    brandId: reader.brandId,
    placeIds: reader.placeIds,
    profileIds: reader.profileIds,
  })
  if (!card) throw new Refusal('notFound')
  return card
}

/** Says what a voice is to the brand; answers what it was, so that it can be taken back. */
export async function changeVoice(
  { db }: Pick<Context, 'db'>,
  reader: Reader,
  id: number,
  { edition, ...change }: VoiceChange,
): Promise<Required<VoiceChange>> {
  const { person } = await voiceCard({ db }, reader, id)
  return db.inTransaction(async (tx) => {
    await checkEdition({ db }, 'people', { id: person, brandId: reader.brandId }, edition, tx)
    const before = await lockVoice(db, { id, brandId: reader.brandId }, tx)
    if (!before) throw new Refusal('notFound')
    const after = { ...before, ...change }
    await setVoice(db, { id, standing: after.standing, note: after.note, kept: after.kept }, tx)
    await record(db, reader, { kind: 'changeVoice', on: ['person', person], detail: { before, after } }, tx)
    return before
  })
}
