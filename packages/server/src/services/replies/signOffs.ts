import { fieldProblem, limits, type SignOffAnswer, type SignOffDraft } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import type { Tx } from '../../store/database.ts'
import { isMember } from '../../store/queries/colleagues/isMember.ts'
import * as stored from '../../store/queries/replies/signOffs.ts'
import { checkEdition } from '../../store/queries/shared/edition.ts'
import { record } from '../log/index.ts'

type Writing = Pick<Context, 'db' | 'live'>

export const listSignOffs = ({ db }: Pick<Context, 'db'>, reader: Reader): Promise<SignOffAnswer[]> =>
  stored.signOffsOf(db, reader)

/** Whose it is must be on the team. @throws Refusal invalid */
async function checkWhose(
  { db }: Writing,
  { brandId }: Reader,
  whose: number | null | undefined,
  tx: Tx,
): Promise<void> {
  if (whose != null && !(await isMember(db, { brandId, colleagueId: whose }, tx)))
    throw new Refusal('invalid', { fields: [fieldProblem('whose', 'noColleague')] })
}

async function changed(
  { db, live }: Writing,
  reader: Reader,
  { kind, id, text }: { kind: 'keepSignOff' | 'changeSignOff' | 'removeSignOff'; id: number; text: string },
  tx: Tx,
): Promise<void> {
  const { brandId } = reader
  await record(db, reader, { kind, on: ['brand', brandId], detail: { signOff: id, name: text } }, tx)
  await live.tell(brandId, { kind: 'patterns' }, tx)
}

/** @throws Refusal invalid, manySignOffs */
export function keepSignOff(
  parts: Writing,
  reader: Reader,
  { text, whose }: SignOffDraft,
): Promise<SignOffAnswer> {
  const { db } = parts
  const { brandId } = reader
  return db.inTransaction(async (tx) => {
    await checkWhose(parts, reader, whose, tx)
    if ((await stored.signOffsOf(db, reader, tx)).length >= limits.signOffs) throw new Refusal('manySignOffs')
    const id = await stored.insertSignOff(db, { brandId, whose: whose ?? null, text }, tx)
    await changed(parts, reader, { kind: 'keepSignOff', id, text }, tx)
    return (await stored.signOffById(db, reader, id, tx))!
  })
}

/** @throws Refusal notFound, changedMeanwhile, invalid */
export function changeSignOff(
  parts: Writing,
  reader: Reader,
  id: number,
  { edition, text, whose }: SignOffDraft,
): Promise<SignOffAnswer> {
  const { db } = parts
  const { brandId } = reader
  return db.inTransaction(async (tx) => {
    await checkEdition({ db }, 'sign_offs', { id, brandId }, edition, tx)
    await checkWhose(parts, reader, whose, tx)
    await stored.updateSignOff(db, { id, whose: whose ?? null, text }, tx)
    await changed(parts, reader, { kind: 'changeSignOff', id, text }, tx)
    return (await stored.signOffById(db, reader, id, tx))!
  })
}

/** @throws Refusal notFound */
export function removeSignOff(parts: Writing, reader: Reader, id: number): Promise<undefined> {
  const { db } = parts
  return db.inTransaction(async (tx) => {
    const before = await stored.signOffById(db, reader, id, tx)
    if (!before) throw new Refusal('notFound')
    await stored.deleteSignOff(db, id, tx)
    await changed(parts, reader, { kind: 'removeSignOff', id, text: before.text }, tx)
    return undefined
  })
}
