import { defaultDuePolicy } from '@murrabel/core/inbox'
import type { BrandSetUp, BrandSetUpDraft } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import { brandRow, setBrand, type BrandRow } from '../../store/queries/places/places.ts'
import { record } from '../log/index.ts'
import { askToOweAnew } from './oweAnew.ts'

const answerOf = ({ policy, ...row }: BrandRow): BrandSetUp => {
  const { rules = [], ...due } = { ...defaultDuePolicy, ...policy }
  return { ...row, due, rules: [...rules] }
}

/** @throws Refusal notFound */
export async function brandSetUp({ db }: Pick<Context, 'db'>, reader: Reader): Promise<BrandSetUp> {
  const row = await brandRow(db, reader.brandId)
  if (!row) throw new Refusal('notFound')
  return answerOf(row)
}

/** Other rules move the due times of what is open, in the background. @throws Refusal changedMeanwhile */
export function changeBrand(
  { db, due, live }: Pick<Context, 'db' | 'due' | 'live'>,
  reader: Reader,
  { edition, rules, due: minutes, promiseLimit, ...draft }: BrandSetUpDraft,
): Promise<BrandSetUp> {
  const { brandId } = reader
  return db.inTransaction(async (tx) => {
    const before = await brandRow(db, brandId, tx)
    if (!before) throw new Refusal('notFound')
    if (edition !== undefined && edition !== before.edition) throw new Refusal('changedMeanwhile')
    const policy = { ...minutes, rules }
    const limit = promiseLimit === undefined ? before.promiseLimit : promiseLimit
    await setBrand(db, { id: brandId, ...draft, promiseLimit: limit, policy }, tx)
    await record(
      db,
      reader,
      {
        kind: 'changeBrand',
        on: ['brand', brandId],
        detail: { before, draft: { ...draft, promiseLimit: limit, policy } },
      },
      tx,
    )
    await askToOweAnew({ due }, brandId, tx)
    await live.tell(brandId, { kind: 'brand' }, tx)
    return answerOf((await brandRow(db, brandId, tx))!)
  })
}
