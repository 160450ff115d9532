import { randomBytes } from 'node:crypto'
import { Webhook, WebhookVerificationError } from 'standardwebhooks'
import {
  customersSchema,
  type CustomerDoor,
  type CustomersDraft,
  type DoorDraft,
  type MadeDoor,
  type TakenCustomers,
} from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import { checked } from '../../checked.ts'
import { seal, unseal } from '../../access/seal.ts'
import { parseJson } from '../../connectors/index.ts'
import { freshWebhookSecret } from '../../access/webhookSecret.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import * as stored from '../../store/queries/keys/doors.ts'
import { record } from '../log/index.ts'
import { takeFromProgram } from '../people/index.ts'

/** Doors of a brand at most. */
const mostDoors = 20

const answerOf = (
  { config }: Pick<Context, 'config'>,
  { token, ...door }: stored.StoredDoor,
): CustomerDoor => ({
  ...door,
  address: `${config.publicAddress}/hooks/customers/${token}`,
})

export const listDoors = async (
  context: Pick<Context, 'db' | 'config'>,
  reader: Reader,
): Promise<CustomerDoor[]> =>
  (await stored.doorsOf(context.db, reader.brandId)).map((door) => answerOf(context, door))

/** Makes an address for a till or a booking system, with the secret by which it signs. @throws Refusal tooManyKeys */
export function makeDoor(
  context: Pick<Context, 'db' | 'config'>,
  reader: Reader,
  { name }: DoorDraft,
): Promise<MadeDoor> {
  const { db, config } = context
  const { brandId, colleagueId } = reader
  const secret = freshWebhookSecret()
  return db.inTransaction(async (tx) => {
    if ((await stored.doorsOf(db, brandId, tx)).length >= mostDoors) throw new Refusal('tooManyKeys')
    const door = await stored.insertDoor(
      db,
      {
        brandId,
        name,
        token: randomBytes(18).toString('base64url'),
        sealed: seal(secret, config.sealingKey),
        madeBy: colleagueId,
      },
      tx,
    )
    await record(
      db,
      reader,
      { kind: 'makeDoor', on: ['brand', brandId], detail: { door: door.id, name } },
      tx,
    )
    return { door: answerOf(context, door), secret }
  })
}

/** Another secret; what the old one signs is refused from now on. */
export function renewDoor(
  context: Pick<Context, 'db' | 'config'>,
  reader: Reader,
  id: number,
): Promise<MadeDoor> {
  const { db, config } = context
  const { brandId } = reader
  const secret = freshWebhookSecret()
  return db.inTransaction(async (tx) => {
    const door = await stored.setDoorSecret(db, { id, brandId, sealed: seal(secret, config.sealingKey) }, tx)
    if (!door) throw new Refusal('notFound')
    await record(
      db,
      reader,
      { kind: 'renewDoor', on: ['brand', brandId], detail: { door: id, name: door.name } },
      tx,
    )
    return { door: answerOf(context, door), secret }
  })
}

export const removeDoor = ({ db }: Pick<Context, 'db'>, reader: Reader, id: number): Promise<undefined> =>
  db.inTransaction(async (tx) => {
    const name = await stored.deleteDoor(db, { id, brandId: reader.brandId }, tx)
    if (name === undefined) throw new Refusal('notFound')
    await record(
      db,
      reader,
      { kind: 'removeDoor', on: ['brand', reader.brandId], detail: { door: id, name } },
      tx,
    )
    return undefined
  })

/**
 * A message at a door: `{ "timestamp": …, "data": { "customers": […] } }`, signed as in Standard Webhooks and at most five minutes
 * old. Taken twice, or after a later one, it changes nothing; what is wrong with it is kept beside the door.
 */
export async function receiveCustomers(
  context: Context,
  { token, body, headers }: { token: string; body: string; headers: Record<string, string> },
): Promise<TakenCustomers> {
  const { db, config } = context
  const door = await stored.doorByToken(db, token)
  if (!door) throw new Refusal('notFound')
  try {
    new Webhook(unseal(door.sealed, config.sealingKey)).verify(body, headers)
  } catch (error) {
    // Anybody may knock: what is not signed leaves no mark.
    if (error instanceof WebhookVerificationError) throw new Refusal('signatureWrong', {}, { cause: error })
    throw new Refusal('unreadableBody', {}, { cause: error })
  }
  try {
    const draft = await readMessage(body)
    const taken = await takeFromProgram(context, { brandId: door.brandId, by: null, source: 'hook' }, draft)
    await stored.noteAtDoor(db, { id: door.id, taken: taken.added + taken.known, problem: null })
    return taken
  } catch (error) {
    if (!(error instanceof Refusal)) throw error
    const [field] = error.more.fields ?? []
    const problem = field ? `${field.field}: ${field.message}` : error.message
    await stored.noteAtDoor(db, { id: door.id, taken: 0, problem: problem.slice(0, 500) })
    throw error
  }
}

async function readMessage(body: string): Promise<CustomersDraft> {
  let message: { timestamp?: unknown; data?: unknown }
  try {
    const read = parseJson(body)
    if (typeof read !== 'object' || read === null) throw new Error('no object')
    message = read as typeof message
  } catch (error) {
    throw new Refusal('unreadableBody', {}, { cause: error })
  }
  const data = typeof message.data === 'object' && message.data !== null ? message.data : {}
  return checked<CustomersDraft>(customersSchema, { at: message.timestamp, ...data })
}
