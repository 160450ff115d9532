import type { ChatEvent, ChatLine, LiveEvent } from '@murrabel/contract'
import { visitThread } from '../../connectors/index.ts'
import type { Context } from '../../context.ts'
import type { ChatSite } from '../../store/queries/chat/sites.ts'
import { linesOfVisit, threadOfVisit, type LineRow, type Visit } from '../../store/queries/chat/visits.ts'
import { noteVisitor, presentMs } from './visits.ts'

/** Lines that a box is told of. */
const lineLimit = 200

/** A visitor's line bears the id that their browser gave it; an answer that of its entry. */
function lineOf(row: LineRow, visit: number): ChatLine {
  const own = `${visit}/`
  const id =
    row.direction === 'in' && row.outsideId?.startsWith(own)
      ? row.outsideId.slice(own.length)
      : `entry-${row.id}`
  const { text, byMail } = row
  const from = row.direction === 'in' ? 'visitor' : 'team'
  return { id, from, name: from === 'team' ? (row.name ?? '') : '', text, at: row.at.toISOString(), byMail }
}

/**
 * Tells an open box what is said, until it is closed: first everything, then what is new or other. What was told before a
 * lost connection is told again with the whole, under the same ids.
 *
 * @param tell gets one event after the other
 * @returns ends it
 */
export async function followConversation(
  context: Context,
  site: ChatSite,
  visit: Visit,
  tell: (event: ChatEvent) => void,
): Promise<() => void> {
  const { db, live, log } = context
  const { profileId } = site
  const told = new Map<string, string>()
  let threadId: number | null = null
  const read = async (): Promise<ChatLine[]> => {
    threadId ??= (await threadOfVisit(db, { profileId, thread: visitThread(visit.id) }))?.id ?? null
    const rows = threadId === null ? [] : await linesOfVisit(db, { threadId, profileId, limit: lineLimit })
    return rows.map((row) => lineOf(row, visit.id))
  }
  const tellChanges = async () => {
    const lines = await read()
    for (const line of lines) {
      const text = JSON.stringify(line)
      if (told.get(line.id) === text) continue
      told.set(line.id, text)
      tell({ kind: 'line', line })
    }
    const now = new Set(lines.map(({ id }) => id))
    // Of a long conversation the oldest lines leave the window without being gone.
    if (lines.length < lineLimit)
      for (const id of told.keys())
        if (!now.has(id)) {
          told.delete(id)
          tell({ kind: 'gone', id })
        }
  }
  // One question after the other; what is told meanwhile is asked once more.
  let last: Promise<void> = Promise.resolve()
  const hear = (event: LiveEvent) => {
    if (!('threads' in event) && event.kind !== 'afresh') return
    const named = 'threads' in event ? event.threads : []
    if (named.length && (threadId === null || !named.includes(threadId))) return
    if (event.kind === 'writing') return tell({ kind: 'writing' })
    if (event.kind === 'visitor') return
    last = last.then(tellChanges).catch((error: unknown) => log.warn({ err: error }, 'a chat was not told'))
  }
  const stop = live.listen(site.brandId, hear)
  try {
    const lines = await read()
    for (const line of lines) told.set(line.id, JSON.stringify(line))
    tell({ kind: 'conversation', lines, email: visit.email })
  } catch (error) {
    stop()
    throw error
  }
  const note = (gone: boolean) =>
    noteVisitor(context, site, visit, { gone }).catch((error: unknown) =>
      log.warn({ err: error }, 'a visitor was not noted'),
    )
  await note(false)
  const beat = setInterval(() => void note(false), presentMs / 2)
  return () => {
    stop()
    clearInterval(beat)
    void note(true)
  }
}
