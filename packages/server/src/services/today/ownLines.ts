import { limits, type OwnLine, type OwnLineChange, type OwnLineDraft } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import * as stored from '../../store/queries/today/ownLines.ts'

/** @throws Refusal manyLines */
export async function addOwnLine(
  { db }: Pick<Context, 'db'>,
  reader: Reader,
  { text }: OwnLineDraft,
): Promise<OwnLine> {
  const line = await stored.insertOwnLine(db, reader, { text, most: limits.ownLines })
  if (!line) throw new Refusal('manyLines')
  return line
}

/** @throws Refusal notFound */
export async function changeOwnLine(
  { db, now }: Pick<Context, 'db' | 'now'>,
  reader: Reader,
  id: number,
  { text, done }: OwnLineChange,
): Promise<OwnLine> {
  const change = { id, text: text || null, done: done ?? null, now: new Date(now()) }
  const line = await stored.updateOwnLine(db, reader, change)
  if (!line) throw new Refusal('notFound')
  return line
}

/** @throws Refusal notFound */
export async function removeOwnLine(
  { db }: Pick<Context, 'db'>,
  reader: Reader,
  id: number,
): Promise<undefined> {
  if (!(await stored.deleteOwnLine(db, reader, id))) throw new Refusal('notFound')
  return undefined
}
