import { cleanText } from '@murrabel/core/text'
import { InnerAddressError, NetworkFailure } from '../../connectors/index.ts'
import type { Context } from '../../context.ts'
import { workRules } from '../../jobs/due/kinds.ts'
import { errorText, type WorkOutcome } from '../../jobs/due/next.ts'
import type { Piece } from '../../jobs/due/piece.ts'
import {
  entriesFor,
  giveUpOfOff,
  keepBody,
  messageToSend,
  setArrived,
  setNotArrived,
  threadFor,
  type MessageToSend,
} from '../../store/queries/hooks/deliveries.ts'
import { record } from '../log/index.ts'
import { sendSigned } from './sendSigned.ts'

/** Days after which a hook that nothing reaches is switched off. */
const patienceDays = 5

/** Sends one message to a hook; it keeps its id and its words when it is sent again. */
export async function sendHook(context: Context, { id, attempts }: Piece): Promise<WorkOutcome> {
  const { db, live } = context
  const message = await messageToSend(db, id)
  if (!message) {
    await giveUpOfOff(db, id)
    return 'done'
  }
  const { hookId, brandId } = message
  try {
    const body = message.body ?? (await keepBody(db, { id, body: await bodyOf(context, message) }))
    await sendSigned(context, { target: message.target, secret: message.secret, id: `event-${id}`, body })
  } catch (error) {
    const gone = error instanceof NetworkFailure && error.kind === 'gone'
    const final = gone || error instanceof InnerAddressError || attempts >= workRules.hook.tries
    const off = await setNotArrived(db, {
      id,
      hookId,
      error: cleanText(errorText(error), 500),
      final,
      off: gone,
      days: patienceDays,
    })
    if (off)
      await record(
        db,
        { brandId, actor: 'system' },
        { kind: 'hookOff', on: ['brand', brandId], detail: { hook: hookId } },
      )
    await live.tell(brandId, { kind: 'hooks' })
    if (final || off) return 'done'
    throw error
  }
  await setArrived(db, { id, hookId })
  await live.tell(brandId, { kind: 'hooks' })
  return 'done'
}

/** What happened, to what, by whom: no word that somebody wrote. */
async function bodyOf(
  { db, config }: Pick<Context, 'db' | 'config'>,
  message: MessageToSend,
): Promise<string> {
  const { event, at, brandId, brand, colleague, threadId, subjectId, detail } = message
  const thread = threadId === null ? undefined : await threadFor(db, threadId)
  const { entries } = detail as { entries?: number[] }
  return JSON.stringify({
    type: event,
    timestamp: at.toISOString(),
    data: {
      brand: { id: brandId, name: brand },
      ...(colleague === null ? {} : { by: colleague }),
      ...(thread ? { thread: { ...thread, link: `${config.publicAddress}/inbox/${threadId}` } } : {}),
      ...(entries ? { entries: await entriesFor(db, entries) } : {}),
      ...(subjectId !== null && subjectId !== threadId ? { id: subjectId } : {}),
    },
  })
}
