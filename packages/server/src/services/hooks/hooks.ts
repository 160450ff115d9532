import type { EventHook, HookDraft, MadeHook, LogKind } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import { seal } from '../../access/seal.ts'
import { freshWebhookSecret } from '../../access/webhookSecret.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import type { Tx } from '../../store/database.ts'
import * as stored from '../../store/queries/hooks/hooks.ts'
import { record } from '../log/index.ts'
import { checkOuterAddress } from './outerAddress.ts'

type Parts = Pick<Context, 'db' | 'config'>

/** Hooks of a brand at most. */
const mostHooks = 20

export const listHooks = ({ db }: Pick<Context, 'db'>, { brandId }: Reader): Promise<EventHook[]> =>
  stored.hooksOf(db, brandId)

const partsOf = ({ name, target, events, active = true }: HookDraft): stored.HookParts => ({
  name,
  target,
  events: [...new Set(events)],
  active,
})

const log = (db: Context['db'], reader: Reader, kind: LogKind, detail: object, tx: Tx) =>
  record(db, reader, { kind, on: ['brand', reader.brandId], detail }, tx)

/** An address of another program, with the secret by which what goes there is signed. @throws Refusal invalid, tooManyKeys */
export function makeHook({ db, config }: Parts, reader: Reader, draft: HookDraft): Promise<MadeHook> {
  const { brandId, colleagueId } = reader
  checkOuterAddress(config, 'target', draft.target)
  const secret = freshWebhookSecret()
  return db.inTransaction(async (tx) => {
    if ((await stored.hooksOf(db, brandId, tx)).length >= mostHooks) throw new Refusal('tooManyKeys')
    const sealed = seal(secret, config.sealingKey)
    const hook = await stored.insertHook(db, { ...partsOf(draft), brandId, sealed, madeBy: colleagueId }, tx)
    await log(db, reader, 'makeHook', { hook: hook.id, name: hook.name, events: hook.events }, tx)
    return { hook, secret }
  })
}

/** @throws Refusal invalid, notFound */
export function changeHook(
  { db, config }: Parts,
  reader: Reader,
  id: number,
  draft: HookDraft,
): Promise<EventHook> {
  checkOuterAddress(config, 'target', draft.target)
  return db.inTransaction(async (tx) => {
    const hook = await stored.setHook(db, { ...partsOf(draft), id, brandId: reader.brandId }, tx)
    if (!hook) throw new Refusal('notFound')
    const { name, events, active } = hook
    await log(db, reader, 'changeHook', { hook: id, name, events, active }, tx)
    return hook
  })
}

/** Another secret; from now on everything is signed with it. */
export function renewHook({ db, config }: Parts, reader: Reader, id: number): Promise<MadeHook> {
  const secret = freshWebhookSecret()
  return db.inTransaction(async (tx) => {
    const sealed = seal(secret, config.sealingKey)
    const hook = await stored.setHookSecret(db, { id, brandId: reader.brandId, sealed }, tx)
    if (!hook) throw new Refusal('notFound')
    await log(db, reader, 'renewHook', { hook: id, name: hook.name }, tx)
    return { hook, secret }
  })
}

export const removeHook = ({ db }: Pick<Context, 'db'>, reader: Reader, id: number): Promise<undefined> =>
  db.inTransaction(async (tx) => {
    const name = await stored.deleteHook(db, { id, brandId: reader.brandId }, tx)
    if (name === undefined) throw new Refusal('notFound')
    await log(db, reader, 'removeHook', { hook: id, name }, tx)
    return undefined
  })
