import { randomBytes } from 'node:crypto'
import type { AccessKey, KeyDraft, MadeKey } from '@murrabel/contract'
import { may, type Reader } from '../../access/reader.ts'
import { hashOf } from '../../access/sessions.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import { deleteKey, insertKey, keysOf } from '../../store/queries/keys/keys.ts'
import { record } from '../log/index.ts'

/** Keys of one colleague at most. */
const mostKeys = 20
const day = 86_400_000
/** Everything that is a key of ours begins so: whoever finds one knows what it is. */
const sign = 'mrb_'

/** One's own keys. */
export const listKeys = ({ db }: Pick<Context, 'db'>, reader: Reader): Promise<AccessKey[]> =>
  keysOf(db, reader)

/**
 * Makes a key that may do some of what its maker may, for a while. Of the key only a hash is kept.
 *
 * @throws Refusal keyEnds, tooManyKeys, notAllowed for what its maker may not do
 */
export async function makeKey(
  { db, now }: Pick<Context, 'db' | 'now'>,
  reader: Reader,
  { name, rights, endsAt }: KeyDraft,
): Promise<MadeKey> {
  const ends = Date.parse(endsAt) - now()
  if (ends < day / 2 || ends > 366 * day) throw new Refusal('keyEnds')
  if (!rights.every((right) => may(reader, right))) throw new Refusal('notAllowed')
  const token = sign + randomBytes(32).toString('base64url')
  return db.inTransaction(async (tx) => {
    if ((await keysOf(db, reader, tx)).length >= mostKeys) throw new Refusal('tooManyKeys')
    const { brandId, colleagueId } = reader
    const key = await insertKey(
      db,
      {
        brandId,
        colleagueId,
        name,
        tokenHash: hashOf(token),
        ending: token.slice(-4),
        rights: [...new Set(rights)],
        endsAt: new Date(endsAt),
      },
      tx,
    )
    await record(
      db,
      reader,
      { kind: 'makeKey', on: ['colleague', colleagueId], detail: { key: key.id, name, rights, endsAt } },
      tx,
    )
    return { key, token }
  })
}

/** From now on the key opens nothing. */
export const removeKey = ({ db }: Pick<Context, 'db'>, reader: Reader, id: number): Promise<undefined> =>
  db.inTransaction(async (tx) => {
    const { brandId, colleagueId } = reader
    const name = await deleteKey(db, { id, brandId, colleagueId }, tx)
    if (name === undefined) throw new Refusal('notFound')
    await record(
      db,
      reader,
      { kind: 'removeKey', on: ['colleague', colleagueId], detail: { key: id, name } },
      tx,
    )
    return undefined
  })
