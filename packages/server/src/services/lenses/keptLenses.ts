import { blankLens, printLens } from '@murrabel/core/lens'
import {
  fieldProblem,
  limits,
  type KeptLens,
  type KeptLensDraft,
  type LensOrderDraft,
  type LogKind,
} from '@murrabel/contract'
import { may, type Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import type { Tx } from '../../store/database.ts'
import * as stored from '../../store/queries/lenses/keptLenses.ts'
import { checkEdition } from '../../store/queries/shared/edition.ts'
import { readLens } from '../lens/index.ts'
import { record } from '../log/index.ts'

type Writing = Pick<Context, 'db' | 'live'>

const answer = (reader: Reader, row: Omit<KeptLens, 'changeable'>): KeptLens => ({
  ...row,
  changeable: !row.team || may(reader, 'watch'),
})

export const listLenses = async ({ db }: Pick<Context, 'db'>, reader: Reader, tx?: Tx): Promise<KeptLens[]> =>
  (await stored.keptLensesOf(db, reader, tx)).map((row) => answer(reader, row))

/** A lens as it is kept. @throws Refusal lensUnknown, invalid */
function printed(text: string): string {
  const lens = readLens(new URLSearchParams(text), 'threads')
  if (lens.uncaught) throw new Refusal('invalid', { fields: [fieldProblem('lens', 'lensOfNone')] })
  return new URLSearchParams(printLens(lens, { ...blankLens, unit: 'threads' })).toString()
}

/** Whoever may not change what the team has may not make something the team's either. @throws Refusal notAllowed */
function mayChange(reader: Reader, ...teams: boolean[]): void {
  if (teams.includes(true) && !may(reader, 'watch')) throw new Refusal('notAllowed')
}

/** What the team has is told to all, and stands in the log; one's own is one's own. */
async function told(
  { db, live }: Writing,
  reader: Reader,
  { kind, id, name, team }: { kind: LogKind; id: number; name: string; team: boolean },
  tx: Tx,
): Promise<void> {
  const { brandId } = reader
  if (team) await record(db, reader, { kind, on: ['brand', brandId], detail: { lens: id, name } }, tx)
  await live.tell(brandId, { kind: 'lenses' }, tx)
}

/** @throws Refusal lensUnknown, invalid, notAllowed, manyLenses */
export function keepLens(
  parts: Writing,
  reader: Reader,
  { name, lens, team = false }: KeptLensDraft,
): Promise<KeptLens> {
  const { db } = parts
  const { brandId, colleagueId } = reader
  mayChange(reader, team)
  const kept = { brandId, whose: team ? null : colleagueId, name, lens: printed(lens), madeBy: colleagueId }
  return db.inTransaction(async (tx) => {
    if ((await stored.countKeptLenses(db, kept, tx)) >= limits.keptLenses) throw new Refusal('manyLenses')
    const id = await stored.insertKeptLens(db, kept, tx)
    await told(parts, reader, { kind: 'keepLens', id, name, team }, tx)
    return answer(reader, (await stored.keptLensById(db, reader, id, tx))!)
  })
}

/** @throws Refusal notFound, changedMeanwhile, lensUnknown, invalid, notAllowed */
export function changeLens(
  parts: Writing,
  reader: Reader,
  id: number,
  { edition, name, lens, team = false }: KeptLensDraft,
): Promise<KeptLens> {
  const { db } = parts
  const { brandId, colleagueId } = reader
  return db.inTransaction(async (tx) => {
    const before = await stored.keptLensById(db, reader, id, tx)
    if (!before) throw new Refusal('notFound')
    mayChange(reader, before.team, team)
    await checkEdition({ db }, 'kept_lenses', { id, brandId }, edition, tx)
    await stored.updateKeptLens(db, { id, whose: team ? null : colleagueId, name, lens: printed(lens) }, tx)
    await told(parts, reader, { kind: 'changeLens', id, name, team: team || before.team }, tx)
    return answer(reader, (await stored.keptLensById(db, reader, id, tx))!)
  })
}

/** @throws Refusal notFound, notAllowed */
export function removeLens(parts: Writing, reader: Reader, id: number): Promise<undefined> {
  const { db } = parts
  return db.inTransaction(async (tx) => {
    const before = await stored.keptLensById(db, reader, id, tx)
    if (!before) throw new Refusal('notFound')
    mayChange(reader, before.team)
    await stored.deleteKeptLens(db, id, tx)
    await told(parts, reader, { kind: 'removeLens', id, name: before.name, team: before.team }, tx)
    return undefined
  })
}

/** One's own order; what is not named keeps its place after the others. */
export function orderLenses(parts: Writing, reader: Reader, { ids }: LensOrderDraft): Promise<KeptLens[]> {
  const { db, live } = parts
  return db.inTransaction(async (tx) => {
    await stored.orderKeptLenses(db, reader, ids, tx)
    await live.tell(reader.brandId, { kind: 'lenses' }, tx)
    return listLenses(parts, reader, tx)
  })
}
