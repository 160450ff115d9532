import { createHash } from 'node:crypto'
import { cleanInstant, cleanLine, cleanNumber, cleanText, cleanUrl, isBlank } from '@murrabel/core/text'
import type { CollectedItem, MailParts } from '../../connectors/index.ts'
import type { KeptFile } from '../attachments/index.ts'

/** Most of what is kept of one item. Ids stand in indexes, which take 2,700 bytes; texts are read by people. */
const longest = {
  id: 300,
  name: 120,
  handle: 120,
  title: 500,
  text: 100_000,
  html: 1_000_000,
  url: 2000,
  /** Bytes of the item as it came. */
  raw: 400_000,
} as const

/** An item as it may be stored. */
export interface CleanItem extends Omit<CollectedItem, 'at'> {
  /** Epoch milliseconds. */
  at: number
  /** The network gave no date that can be: `at` is when it came in. */
  undated: boolean
  /** Files as they lie in the store. */
  keptFiles: KeptFile[]
  /** As received, in JSON that PostgreSQL takes; null when it is too large to be kept. */
  kept: string | null
}

/** An item that can be no entry, with the reason in words. */
export class UnreadableItem extends Error {
  override readonly name = 'UnreadableItem'
}

/**
 * The one door for everything that comes from outside: texts, names, ids, dates, numbers, addresses and the raw item are
 * made such that nothing behind it can stumble over them.
 *
 * @param now epoch milliseconds
 * @throws UnreadableItem for what has no id, or is none of the known kinds
 */
export function cleanItem(item: CollectedItem, now: number): CleanItem {
  if (typeof item.text !== 'string') throw new UnreadableItem('it has no text')
  const outsideId = cleanId(item.outsideId)
  const threadId = cleanId(item.threadId)
  if (!outsideId || !threadId) throw new UnreadableItem('the network gives it no id')
  const at = cleanInstant(item.at, now)
  const title = optionalLine(item.title, longest.title)
  return {
    outsideId,
    threadId,
    parentId: item.parentId === undefined ? undefined : cleanId(item.parentId),
    threadTitle: optionalLine(item.threadTitle, longest.title),
    kind: item.kind,
    origin: item.origin,
    direction: item.direction,
    author: cleanAuthor(item.author),
    title,
    text: cleanText(item.text, longest.text),
    rating: item.rating === undefined ? undefined : ratingOf(item.rating),
    at: at ?? now,
    undated: at === null,
    changedAt: cleanInstant(item.changedAt ?? NaN, now) ?? undefined,
    url: cleanUrl(item.url, longest.url),
    reach: cleanCount(item.reach),
    likes: cleanCount(item.likes),
    shares: cleanCount(item.shares),
    pictures: item.pictures?.flatMap(({ address, alt }) => {
      const url = cleanUrl(address, longest.url)
      return url ? [{ address: url, alt: cleanLine(alt, longest.title) }] : []
    }),
    private: item.private === true,
    paid: item.paid === true,
    replyKey: item.replyKey,
    piece: cleanPiece(item.piece),
    wish: item.wish,
    mail: cleanMail(item.mail),
    answerTo: item.answerTo,
    files: item.files,
    keptFiles: [],
    raw: item.raw,
    kept: cleanJson(item.raw, longest.raw),
  }
}

export const cleanCount = (value: number | undefined): number | undefined =>
  cleanNumber(value, { least: 0, most: 2_000_000_000, whole: true })

const cleanAddress = ({ name, address }: MailParts['from']) => ({
  name: cleanLine(name, longest.name),
  address: cleanLine(address, longest.id),
})

/** Message-IDs are compared, not shown: one that is too long for an index is none. */
const cleanMessageId = (id: string | null) => {
  const line = cleanLine(id ?? '', 1000)
  return line === id ? line : null
}

function cleanMail(mail: MailParts | undefined): MailParts | undefined {
  return (
    mail && {
      ...mail,
      messageId: cleanMessageId(mail.messageId),
      ancestors: mail.ancestors.flatMap((id) => cleanMessageId(id) ?? []),
      from: cleanAddress(mail.from),
      to: mail.to.map(cleanAddress),
      cc: mail.cc.map(cleanAddress),
      folded: cleanText(mail.folded, longest.text),
      html: mail.html === null ? null : cleanText(mail.html, longest.html),
    }
  )
}

/** Pieces of one whole at most: what says more of itself is taken as it stands. */
const mostPieces = 255

function cleanPiece(piece: CollectedItem['piece']): CollectedItem['piece'] {
  const whole = cleanId(piece?.whole)
  if (!piece || !whole) return undefined
  const { number, of } = piece
  const fits =
    Number.isInteger(number) && Number.isInteger(of) && number >= 1 && number <= of && of <= mostPieces
  return fits ? { whole, number, of } : undefined
}

/** Ids are not shown, so they need only be the same each time: a long one is known by its hash. */
function cleanId(id: unknown): string {
  const text = typeof id === 'number' ? String(id) : typeof id === 'string' ? id : ''
  const clean = cleanLine(text, longest.id)
  return clean === text || text.length <= longest.id ? clean : createHash('sha256').update(text).digest('hex')
}

function optionalLine(value: unknown, most: number): string | undefined {
  if (typeof value !== 'string') return undefined
  const line = cleanLine(value, most)
  return isBlank(line) ? undefined : line
}

function cleanAuthor(author: CollectedItem['author'] | undefined): CollectedItem['author'] {
  const name =
    optionalLine(author?.name, longest.name) ?? optionalLine(author?.handle, longest.name) ?? 'Unknown'
  return {
    outsideId: cleanId(author?.outsideId) || `name:${name}`,
    name,
    handle: optionalLine(author?.handle, longest.handle),
    url: cleanUrl(author?.url, longest.url),
  }
}

/** 1 to 5; what lies outside is no rating. */
const ratingOf = (rating: unknown) =>
  typeof rating === 'number' && rating >= 1 && rating <= 5 ? rating : undefined

/** JSON with all its texts cleaned; null when it is larger than `most` bytes or cannot be written at all. */
export function cleanJson(raw: unknown, most: number): string | null {
  try {
    const text = JSON.stringify(raw ?? null, (name, value: unknown) => {
      if (typeof value === 'string') return cleanText(value, most)
      if (value && typeof value === 'object' && !Array.isArray(value))
        return Object.fromEntries(Object.entries(value).map(([key, each]) => [cleanText(key, 200), each]))
      return name === '__proto__' ? undefined : value
    })
    return text !== undefined && Buffer.byteLength(text) <= most ? text : null
  } catch {
    // Too deep, or it holds itself.
    return null
  }
}
