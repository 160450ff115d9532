import type { BellAnswer } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { actionsNotSent, eventsForBell, setBellSeen } from '../../store/queries/alerts/bell.ts'
import { eventAnswer } from './alerts.ts'

/**
 * What alerts have told in the application, the newest first, and how much of it one has not seen; before them the answers
 * that did not go out, which stay until somebody decides.
 */
export async function bell({ db }: Pick<Context, 'db'>, reader: Reader): Promise<BellAnswer> {
  const [rows, notSent] = await Promise.all([eventsForBell(db, reader), actionsNotSent(db, reader)])
  return { unseen: rows.filter((row) => row.unseen).length, events: rows.map(eventAnswer), notSent }
}

export async function bellSeen({ db }: Pick<Context, 'db'>, reader: Reader, upTo: number): Promise<void> {
  await setBellSeen(db, { brandId: reader.brandId, colleagueId: reader.colleagueId, upTo })
}
