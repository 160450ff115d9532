import type { NoticeAnswer, NoticeKind, NoticesSeenDraft } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import type { Tx } from '../../store/database.ts'
import { mailLater } from './noticeChoices.ts'
import {
  dropUnseen,
  insertNotices,
  noticesOf,
  setNoticesSeen,
  type NoticeTo,
} from '../../store/queries/together/notices.ts'

export const listNotices = ({ db }: Pick<Context, 'db'>, reader: Reader): Promise<NoticeAnswer[]> =>
  noticesOf(db, reader)

/** Tells colleagues of something that concerns them, but nobody of what they did themselves. */
export async function notify(
  parts: Pick<Context, 'db' | 'live' | 'due' | 'now'>,
  {
    brandId,
    kind,
    to,
    by,
  }: { brandId: number; kind: NoticeKind; to: readonly NoticeTo[]; by: number | null },
  tx: Tx,
): Promise<void> {
  const others = to.filter(({ whom }) => whom !== by)
  if (!others.length) return
  const { db, live } = parts
  await insertNotices(db, { brandId, kind, to: others, by }, tx)
  const whom = [...new Set(others.map((each) => each.whom))]
  await mailLater(parts, { brandId, kind, whom }, tx)
  for (const colleague of whom) await live.tell(brandId, { kind: 'notices', colleague }, tx)
}

/** Whoever had a thread, or was in the team that had it, and has not seen it yet need not hear of it any more. */
export async function untellGiven(
  { db, live }: Pick<Context, 'db' | 'live'>,
  { brandId, whom, thread }: { brandId: number; whom: number | null; thread: number },
  tx: Tx,
): Promise<void> {
  const kind = whom === null ? 'givenTeam' : 'given'
  for (const colleague of await dropUnseen(db, { whom, thread, kind }, tx))
    await live.tell(brandId, { kind: 'notices', colleague }, tx)
}

/** What was seen on one machine is seen on all. */
export async function seeNotices(
  { db, live, now }: Pick<Context, 'db' | 'live' | 'now'>,
  { brandId, colleagueId }: Reader,
  { ids = [], thread = null }: NoticesSeenDraft,
): Promise<undefined> {
  if (await setNoticesSeen(db, { brandId, colleagueId, ids, thread, at: new Date(now()) }))
    await live.tell(brandId, { kind: 'notices', colleague: colleagueId })
  return undefined
}
