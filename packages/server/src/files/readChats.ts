import type { HistoryPreview, RowProblem } from '@murrabel/contract'
import { shortened } from '@murrabel/core/text'
import { htmlText, parseJson, type CollectedItem } from '../connectors/index.ts'
import { Refusal } from '../problem.ts'

/** A line of a conversation as ActivityStreams 2.0 writes it. */
interface Note {
  type?: unknown
  id?: unknown
  /** What binds the lines of a conversation together. */
  context?: unknown
  /** An Organization or Service is the brand; a Person its visitor. */
  attributedTo?: { type?: unknown; id?: unknown; name?: unknown }
  content?: unknown
  mediaType?: unknown
  published?: unknown
  /** The page it was written on. */
  inReplyTo?: { name?: unknown }
}

export interface ChatFile {
  items: CollectedItem[]
  problems: RowProblem[]
  preview: HistoryPreview
}

const textOf = (value: unknown): string => (typeof value === 'string' ? value : '')

/** @throws Error saying what it lacks */
function itemOf(note: Note): CollectedItem {
  const [id, context] = [textOf(note.id), textOf(note.context)]
  if (note.type !== 'Note') throw new Error('it is no Note')
  if (!id || !context) throw new Error('it has no id or names no conversation (context)')
  const at = Date.parse(textOf(note.published))
  if (Number.isNaN(at)) throw new Error('it has no date (published)')
  const { type, name } = note.attributedTo ?? {}
  const ours = type === 'Organization' || type === 'Service'
  const content = textOf(note.content)
  return {
    outsideId: `history/${id}`,
    threadId: `history/${context}`,
    threadTitle: textOf(note.inReplyTo?.name) || undefined,
    kind: 'message',
    direction: ours ? 'out' : 'in',
    author: {
      outsideId: textOf(note.attributedTo?.id) || `${context}/${ours ? 'ours' : 'visitor'}`,
      name: textOf(name) || (ours ? '' : 'Visitor'),
    },
    text: note.mediaType === 'text/html' ? htmlText(content) : content,
    at,
    private: true,
    raw: note,
  }
}

/** Conversations of an earlier chat: an ActivityStreams 2.0 collection of Notes. @throws Refusal chatFileUnreadable */
export function readChats(document: string): ChatFile {
  let notes: unknown
  try {
    const collection = parseJson(document) as { orderedItems?: unknown; items?: unknown }
    notes = collection.orderedItems ?? collection.items
  } catch {
    throw new Refusal('chatFileUnreadable')
  }
  if (!Array.isArray(notes)) throw new Refusal('chatFileUnreadable')
  const items: CollectedItem[] = []
  const problems: RowProblem[] = []
  for (const [i, note] of (notes as Note[]).entries())
    try {
      items.push(itemOf(note))
    } catch (error) {
      problems.push({
        line: i + 1,
        field: 'line',
        reason: 'chatLineUnreadable',
        values: { said: (error as Error).message },
        value: shortened(textOf((note as Note | null)?.content), 80),
      })
    }
  const times = items.map(({ at }) => at)
  const day = (at: number) => new Date(at).toISOString()
  return {
    items,
    problems,
    preview: {
      entries: items.length,
      unreadable: problems.length,
      first: times.length ? day(times.reduce((a, b) => Math.min(a, b))) : null,
      last: times.length ? day(times.reduce((a, b) => Math.max(a, b))) : null,
      sample: items
        .slice(0, 5)
        .map(({ text, author }) => ({ title: shortened(text, 80), from: author.name })),
    },
  }
}
