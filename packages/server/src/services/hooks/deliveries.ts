import type { HookDeliveries, HookDelivery } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import type { Tx } from '../../store/database.ts'
import { insertTest } from '../../store/queries/hooks/deliveries.ts'
import { deliveriesOf, hookSeen, lockDelivery, setWaiting } from '../../store/queries/hooks/hooks.ts'

type Parts = Pick<Context, 'db' | 'due'>
const pageSize = 50

/** Messages to a hook, the latest first. @param before where the page begins; null: at the latest */
export async function deliveriesPage(
  { db }: Pick<Context, 'db'>,
  { brandId }: Reader,
  id: number,
  before: number | null,
): Promise<HookDeliveries> {
  if (!(await hookSeen(db, { id, brandId }))) throw new Refusal('notFound')
  const rows = await deliveriesOf(db, { hookId: id, before, limit: pageSize + 1 })
  const shown = rows.slice(0, pageSize)
  return { rows: shown, next: rows.length > pageSize ? shown.at(-1)!.id : null }
}

const ask = ({ due }: Parts, id: number, hookId: number, tx: Tx) =>
  due.ask({ kind: 'hook', subject: id, owner: `hook ${hookId}` }, tx)

/** Sends a message that only says it is a test. @throws Refusal notFound, hookOff */
export const tryHook = (parts: Parts, { brandId }: Reader, id: number): Promise<HookDelivery> =>
  parts.db.inTransaction(async (tx) => {
    const { db } = parts
    const hook = await hookSeen(db, { id, brandId }, tx)
    if (!hook) throw new Refusal('notFound')
    if (!hook.active) throw new Refusal('hookOff')
    const made = await insertTest(db, id, tx)
    await ask(parts, made, id, tx)
    return (await lockDelivery(db, { id: made, brandId }, tx))!
  })

/** Sends a message once more, whatever became of it: the same words under the same id. @throws Refusal notFound, hookOff */
export const sendAgain = (parts: Parts, { brandId }: Reader, id: number): Promise<HookDelivery> =>
  parts.db.inTransaction(async (tx) => {
    const { db } = parts
    const message = await lockDelivery(db, { id, brandId }, tx)
    if (!message) throw new Refusal('notFound')
    if (!message.active) throw new Refusal('hookOff')
    await setWaiting(db, id, tx)
    // From the first wait on, as if it were new.
    await parts.due.drop('hook', [id], tx)
    await ask(parts, id, message.hookId, tx)
    return { ...message, state: 'waiting', attempts: 0, error: null }
  })
