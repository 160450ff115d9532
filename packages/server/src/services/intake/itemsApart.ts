import { cleanText } from '@murrabel/core/text'
import type { ItemApart } from '@murrabel/contract'
import { connectorOf } from '../../connectors/index.ts'
import type { Context } from '../../context.ts'
import { brandOwner } from '../../jobs/due/dueWork.ts'
import type { Reader } from '../../access/reader.ts'
import { ingest } from './ingest.ts'
import {
  apartOfProfile,
  apartToTry,
  readAgain,
  removeApartById,
  countApart,
} from '../../store/queries/intake/apart.ts'
import { record } from '../log/index.ts'
import { connectorProfile, readersProfile } from '../connections/index.ts'

/** What is apart of a profile, the newest first. */
export async function listApart(
  context: Pick<Context, 'db' | 'models'>,
  reader: Reader,
  profileId: number,
): Promise<ItemApart[]> {
  await readersProfile(context, reader, profileId)
  const rows = await apartOfProfile(context.db, profileId)
  return rows.map(({ raw, entryText, ...row }) => ({ ...row, text: entryText ?? shownText(raw) }))
}

/** The longest text in an item as it came that is no address and no date: most likely what somebody wrote. */
function shownText(raw: unknown): string {
  let longest = ''
  const open = [raw]
  for (let seen = 0; open.length && seen < 1000; seen++) {
    const each = open.pop()
    if (
      typeof each === 'string' &&
      each.length > longest.length &&
      !/^(?:https?:|\d{4}-\d\d-\d\dT)/.test(each)
    )
      longest = each
    if (each && typeof each === 'object') open.push(...Object.values(each).slice(0, 100))
  }
  return cleanText(longest, 200)
}

export interface TriedAgain {
  /** Items that are in now, and those that are still apart. */
  read: number
  apart: number
}

/** Tries everything again that was set apart of a profile, piece by piece. */
export async function tryApartAgain(
  context: Context,
  reader: Reader,
  profileId: number,
): Promise<TriedAgain> {
  const { db, live, due } = context
  const profile = await readersProfile(context, reader, profileId)
  const items = await apartToTry(db, profileId)
  const read = connectorOf(profile)?.readPart
  const given = connectorProfile(context, profile)
  for (const { id, stage, entryId, raw } of items) {
    if (stage === 'analyse' && entryId !== null) {
      await readAgain(db, entryId)
      await removeApartById(db, id)
      continue
    }
    const part = read && raw !== null ? readOne(() => read(given, raw)) : null
    // What is no text of anybody, seen rightly now, is apart no more.
    if (part === undefined) await removeApartById(db, id)
    else if (part) await ingest(context, profile, [part])
  }
  await due.ask({ kind: 'analyse', subject: reader.brandId, owner: brandOwner(reader.brandId) })
  const left = await countApart(db, profileId)
  const apart = left?.n ?? 0
  await record(db, reader, {
    kind: 'tryApartAgain',
    on: ['profile', profileId],
    detail: { read: items.length - apart, apart },
  })
  await live.tell(reader.brandId, { kind: 'profiles' })
  return { read: Math.max(0, items.length - apart), apart }
}

/** The item, undefined when there is none in it, null when it cannot be read. */
function readOne<T>(read: () => T | null): T | undefined | null {
  try {
    return read() ?? undefined
  } catch {
    return null
  }
}
