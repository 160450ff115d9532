import { type WatchGroupAnswer, fieldProblem } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import type { Database, Tx } from '../../store/database.ts'
import { checkEdition } from '../../store/queries/shared/edition.ts'
import { lockBrand } from '../../store/queries/brand/lockBrand.ts'
import {
  groupAndThoseAbove,
  groupsOfBrand,
  insertGroup,
  isNameTaken,
  lockGroup,
  removeGroup,
  updateGroup,
  type GroupFields,
} from '../../store/queries/watches/groups.ts'
import { record } from '../log/index.ts'

export interface GroupDraft extends GroupFields {
  edition?: number
}

/** Folders in folders: deeper than this nobody finds anything. */
const deepest = 6

export const listGroups = ({ db }: Pick<Context, 'db'>, reader: Reader): Promise<WatchGroupAnswer[]> =>
  groupsOfBrand(db, reader.brandId)

export async function saveGroup(
  { db, live }: Pick<Context, 'db' | 'live'>,
  reader: Reader,
  id: number | null,
  { edition, ...fields }: GroupDraft,
): Promise<WatchGroupAnswer> {
  const { name, kind, parentId } = fields
  const { brandId } = reader
  return db.inTransaction(async (tx) => {
    // One at a time: two moves at once could each be sound and close a ring together.
    await lockBrand(db, brandId, tx)
    if (id !== null) await checkEdition({ db }, 'watch_groups', { id, brandId }, edition, tx)
    await checkPlace(db, reader, { id, parentId }, tx)
    if (await isNameTaken(db, { brandId, id, name, parentId }, tx))
      throw refused('name', 'taken', `There is a group "${name}" here already. Give it another name.`, name)
    const row =
      id === null
        ? await insertGroup(db, brandId, fields, tx)
        : await updateGroup(db, { brandId, id }, fields, tx)
    if (!row) throw new Refusal('notFound')
    await record(
      db,
      reader,
      {
        kind: id === null ? 'createGroup' : 'updateGroup',
        on: ['group', row.id],
        detail: { name, kind, parentId },
      },
      tx,
    )
    await live.tell(reader.brandId, { kind: 'watches' }, tx)
    return row
  })
}

async function checkPlace(
  db: Database,
  reader: Reader,
  { id, parentId }: { id: number | null; parentId: number | null },
  tx: Tx,
): Promise<void> {
  if (parentId === null) return
  const above = await groupAndThoseAbove(db, { brandId: reader.brandId, id: parentId }, tx)
  if (!above.length) throw new Refusal('invalid', { fields: [fieldProblem('parentId', 'groupGone')] })
  if (id !== null && above.includes(id))
    throw refused(
      'parentId',
      'insideItself',
      'A group cannot lie inside itself, or inside one of its own. Choose another.',
    )
  if (above.length >= deepest)
    throw new Refusal('invalid', {
      fields: [fieldProblem('parentId', 'groupTooDeep', { values: { most: deepest } })],
    })
}

const refused = (field: string, code: string, message: string, value?: string) =>
  new Refusal('invalid', { fields: [{ field, code, message, value }] })

/** A group goes; what lies in it moves up to where the group lay. Nothing that was caught is lost. */
export async function deleteGroup(
  { db, live }: Pick<Context, 'db' | 'live'>,
  reader: Reader,
  id: number,
): Promise<void> {
  await db.inTransaction(async (tx) => {
    const group = await lockGroup(db, { brandId: reader.brandId, id }, tx)
    if (!group) throw new Refusal('notFound')
    await removeGroup(db, { id, ...group }, tx)
    await record(db, reader, { kind: 'deleteGroup', on: ['group', id], detail: group }, tx)
    await live.tell(reader.brandId, { kind: 'watches' }, tx)
  })
}
