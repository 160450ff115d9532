import type { Presence, PresenceDraft } from '@murrabel/contract'
import { isLimited, type Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import { visibleThreads } from '../../store/queries/inbox/visibleThreads.ts'
import { dropPresence, keepPresence, presentOf } from '../../store/queries/together/presence.ts'

type Parts = Pick<Context, 'db' | 'live' | 'now'>

/** Who is here; where they are as far as the reader may see the thread. */
export async function whoIsHere(
  { db, now }: Pick<Context, 'db' | 'now'>,
  reader: Reader,
): Promise<Presence[]> {
  const present = await presentOf(db, { brandId: reader.brandId, at: new Date(now()) })
  if (!isLimited(reader)) return present
  const threads = present.flatMap(({ thread }) => thread ?? [])
  const seen = new Set(await visibleThreads(db, reader, threads))
  return present.map((each) =>
    each.thread === null || seen.has(each.thread) ? each : { ...each, thread: null, writing: false },
  )
}

/**
 * A page says where its reader is, again and again while it is open; others hear of it when that changes.
 *
 * @throws Refusal notFound for a thread they may not see
 */
export async function bePresent(
  { db, live, now }: Parts,
  reader: Reader,
  { tab, thread = null, writing = false, gone = false }: PresenceDraft,
): Promise<undefined> {
  const { brandId, colleagueId } = reader
  if (thread !== null && !(await visibleThreads(db, reader, [thread])).length) throw new Refusal('notFound')
  const at = new Date(now())
  await db.inTransaction(async (tx) => {
    const tell = (here: boolean) =>
      live.tell(
        brandId,
        {
          kind: 'presence',
          colleague: colleagueId,
          threads: here && thread !== null ? [thread] : [],
          writing: here && thread !== null && writing,
          here,
        },
        tx,
      )
    if (gone) {
      if (await dropPresence(db, { tab, brandId, colleagueId, at }, tx)) await tell(false)
      return
    }
    const before = await keepPresence(
      db,
      { tab, brandId, colleagueId, thread, writing: thread !== null && writing, at },
      tx,
    )
    if (!before || before.thread !== thread || before.writing !== writing) await tell(true)
  })
  return undefined
}
