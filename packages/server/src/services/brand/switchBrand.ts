import type { SwitchDraft } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import { hashOf, readerOfMember } from '../../access/sessions.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import { setSessionBrand } from '../../store/queries/brand/sessions.ts'

/**
 * Takes the session over to another brand. Its streams end, so that no page hears of one brand what it shows of another.
 *
 * @throws Refusal notFound for a brand one does not work on
 */
export function switchBrand(
  { db, live }: Pick<Context, 'db' | 'live'>,
  reader: Reader,
  { brandId }: SwitchDraft,
  token: string,
): Promise<undefined> {
  return db.inTransaction(async (tx) => {
    if (!(await readerOfMember(db, reader.colleagueId, brandId, tx))) throw new Refusal('notFound')
    const tokenHash = hashOf(token)
    await setSessionBrand(db, { tokenHash, brandId }, tx)
    await live.end(tokenHash.toString('hex'), tx)
    return undefined
  })
}
