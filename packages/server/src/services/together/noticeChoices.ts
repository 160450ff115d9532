import { quietUntil } from '@murrabel/core/notices'
import type { NoticeChoices, NoticeKind } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import { readerOfMember } from '../../access/sessions.ts'
import type { Context } from '../../context.ts'
import type { WorkOutcome } from '../../jobs/due/next.ts'
import type { Piece } from '../../jobs/due/piece.ts'
import { brandOwner } from '../../jobs/due/dueWork.ts'
import type { Tx } from '../../store/database.ts'
import {
  choicesOf,
  mailedById,
  putChoices,
  takeToMail,
  whoIsMailed,
  type Mailed,
  type ToMail,
} from '../../store/queries/together/noticeChoices.ts'
import { post } from '../letters/index.ts'

/** Whoever sees it within this time is not mailed. */
const mailAfterMs = 120_000

const nothingChosen: NoticeChoices = { silent: [], desktop: [], mail: [], quiet: null }

export const noticeChoices = async ({ db }: Pick<Context, 'db'>, reader: Reader): Promise<NoticeChoices> =>
  (await choicesOf(db, reader)) ?? nothingChosen

export async function chooseNotices(
  { db, live }: Pick<Context, 'db' | 'live'>,
  reader: Reader,
  choices: NoticeChoices,
): Promise<NoticeChoices> {
  await putChoices(db, reader, choices)
  await live.tell(reader.brandId, { kind: 'notices', colleague: reader.colleagueId })
  return choices
}

/** Those who want this by mail are written to a little later, or when their quiet time is over. */
export async function mailLater(
  { db, due, now }: Pick<Context, 'db' | 'due' | 'now'>,
  { brandId, kind, whom }: { brandId: number; kind: NoticeKind; whom: readonly number[] },
  tx: Tx,
): Promise<void> {
  const soon = now() + mailAfterMs
  const mailed = await whoIsMailed(db, { brandId, kind, whom }, tx)
  for (const { id, zone, quiet } of mailed) {
    const at = (quiet && quietUntil(quiet, { now: soon, zone })) ?? soon
    await due.ask({ kind: 'noticeMail', subject: id, owner: brandOwner(brandId), at }, tx)
  }
}

/** One mail for all that somebody has not seen by now; each notice once. */
export async function sendNoticeMail(context: Context, { id }: Piece): Promise<WorkOutcome> {
  const { db, due, now, config } = context
  const mailed = await mailedById(db, id)
  const reader = mailed && (await readerOfMember(db, mailed.colleagueId, mailed.brandId))
  if (!mailed || !reader) return 'done'
  const { zone, quiet, mail: kinds } = mailed
  const over = quiet && quietUntil(quiet, { now: now(), zone })
  if (over) return { againInMs: over - now() }
  await db.inTransaction(async (tx) => {
    const notices = await takeToMail(db, reader, { kinds, at: new Date(now()) }, tx)
    if (!notices.length) return
    await post({ db, due }, noticeLetter(mailed, notices, config.publicAddress), tx)
  })
  return 'done'
}

const sentences: Record<NoticeKind, (by: string, author: string) => string> = {
  mention: (by, author) => `${by} names you in a note on ${author}`,
  given: (by, author) => `${by} assigned you ${author}`,
  givenTeam: (by, author) => `${by} assigned ${author} to your team`,
  asked: (by, author) => `${by} asks for your approval of an answer to ${author}`,
  approved: (by, author) => `${by} approved your answer to ${author}`,
  returned: (by, author) => `${by} returned your answer to ${author}`,
  notSent: (_, author) => `Your answer to ${author} was not sent`,
}

/** What happened, a line each, with where it is. */
export function noticeLetter(
  { name, email, brand }: Pick<Mailed, 'name' | 'email' | 'brand'>,
  notices: readonly ToMail[],
  address: string,
): { address: string; subject: string; text: string } {
  const told = notices.map(({ kind, by, author }) => sentences[kind](by ?? 'Somebody', author || 'a thread'))
  const lines = notices.map(({ thread, text }, i) =>
    [
      told[i],
      ...(text ? [`“${text.replace(/\s+/g, ' ')}”`] : []),
      `${address}/inbox/${thread}?state=any&given=anybody&time=all`,
    ].join('\n  '),
  )
  return {
    address: email,
    subject: `${brand}: ${told.length === 1 ? told[0] : `${told[0]}, and ${told.length - 1} more`}`.slice(
      0,
      200,
    ),
    text: [
      `Hello ${name.split(' ')[0]},`,
      ...lines,
      `To choose what comes by mail: ${address}/set-up/account`,
    ].join('\n\n'),
  }
}
