import type { Team, TeamDraft, LogKind } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import type { Tx } from '../../store/database.ts'
import * as stored from '../../store/queries/absences/teams.ts'
import { record } from '../log/index.ts'

type Parts = Pick<Context, 'db' | 'live'>

/** @throws Refusal teamNameTaken, notFound for a member who does not work here */
export const addTeam = (parts: Parts, reader: Reader, { name, members }: TeamDraft): Promise<Team> =>
  parts.db.inTransaction(async (tx) => {
    const { db } = parts
    const { brandId } = reader
    const id = await stored.insertTeam(db, { brandId, name }, tx)
    if (id === undefined) throw new Refusal('teamNameTaken')
    return settled(parts, reader, { id, name, members, kind: 'addTeam' }, tx)
  })

/** @throws Refusal teamNameTaken, notFound */
export const changeTeam = (
  parts: Parts,
  reader: Reader,
  id: number,
  { name, members }: TeamDraft,
): Promise<Team> =>
  parts.db.inTransaction(async (tx) => {
    const { db } = parts
    const { brandId } = reader
    if (!(await stored.teamOf(db, { id, brandId }, tx))) throw new Refusal('notFound')
    if (await stored.nameIsTaken(db, { id, brandId, name }, tx)) throw new Refusal('teamNameTaken')
    await stored.renameTeam(db, { id, name }, tx)
    return settled(parts, reader, { id, name, members, kind: 'changeTeam' }, tx)
  })

async function settled(
  { db, live }: Parts,
  reader: Reader,
  { id, name, members, kind }: TeamDraft & { id: number; kind: LogKind },
  tx: Tx,
): Promise<Team> {
  const { brandId } = reader
  const all = [...new Set(members)]
  if ((await stored.setMembers(db, { id, brandId, members: all }, tx)) !== all.length)
    throw new Refusal('notFound')
  await record(db, reader, { kind, on: ['brand', brandId], detail: { team: id, name, members: all } }, tx)
  await live.tell(brandId, { kind: 'brand' }, tx)
  return (await stored.teamOf(db, { id, brandId }, tx))!
}

export const removeTeam = ({ db, live }: Parts, reader: Reader, id: number): Promise<undefined> =>
  db.inTransaction(async (tx) => {
    const { brandId } = reader
    const team = await stored.teamOf(db, { id, brandId }, tx)
    if (!team) throw new Refusal('notFound')
    await stored.deleteTeam(db, id, tx)
    await record(
      db,
      reader,
      { kind: 'removeTeam', on: ['brand', brandId], detail: { team: id, name: team.name } },
      tx,
    )
    await live.tell(brandId, { kind: 'brand' }, tx)
    return undefined
  })
