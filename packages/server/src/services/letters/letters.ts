import { cleanText } from '@murrabel/core/text'
import type { Context } from '../../context.ts'
import { workRules } from '../../jobs/due/kinds.ts'
import { errorText, type WorkOutcome } from '../../jobs/due/next.ts'
import type { Piece } from '../../jobs/due/piece.ts'
import type { Tx } from '../../store/database.ts'
import {
  insertLetter,
  letterToSend,
  setLetterFailed,
  setLetterSent,
} from '../../store/queries/colleagues/letters.ts'
import { isRefusedForGood, smtpTransport } from './transport.ts'

export interface Letter {
  address: string
  subject: string
  text: string
}

/** Writes a letter that goes out when the transaction is through. */
export async function post({ db, due }: Pick<Context, 'db' | 'due'>, letter: Letter, tx: Tx): Promise<void> {
  const id = await insertLetter(db, letter, tx)
  await due.ask({ kind: 'letter', subject: id, owner: `to ${letter.address}` }, tx)
}

/** Sends one letter; it keeps its id when it is tried again. */
export async function sendLetter(context: Context, { id, attempts }: Piece): Promise<WorkOutcome> {
  const { db, config } = context
  const letter = await letterToSend(db, id)
  if (!letter) return 'done'
  try {
    const transport = smtpTransport(config)
    try {
      await transport.sendMail({
        from: config.mailFrom,
        to: letter.address,
        subject: letter.subject,
        text: letter.text,
        messageId: `<letter-${id}@${new URL(config.publicAddress).hostname}>`,
        headers: { 'Auto-Submitted': 'auto-generated' },
      })
    } finally {
      transport.close()
    }
  } catch (error) {
    const final = isRefusedForGood(error) || attempts >= workRules.letter.tries
    await setLetterFailed(db, { id, error: cleanText(errorText(error), 500), final })
    if (final) return 'done'
    throw error
  }
  await setLetterSent(db, id)
  return 'done'
}
