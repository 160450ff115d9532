import { htmlText } from './htmlText.ts'

export const lastPart = (id: string): string => id.split('/').pop() ?? id

/** Where ActivityStreams 2.0 allows several, it allows one or none as well (section 4.1). */
export function severalOf<T>(value: T | readonly T[] | null | undefined): readonly T[] {
  if (value === null || value === undefined) return []
  return Array.isArray(value) ? (value as readonly T[]) : [value as T]
}

/** What an object is called: by itself, or in it. */
export const idOf = (value: unknown): string =>
  typeof value === 'string' ? value : String((value as { id?: unknown; href?: unknown } | null)?.id ?? '')

/** Whether an object is for everybody. */
export const isForAll = (to: unknown): boolean =>
  severalOf(to).some((each) => /(?:#|^as:|^)Public$/.test(idOf(each)))

/** The text of an ActivityStreams 2.0 object: its content is HTML unless it says otherwise (section 4.2.2). */
export const activityText = ({ content, mediaType }: { content?: string; mediaType?: string }): string =>
  mediaType?.toLowerCase().startsWith('text/plain') ? (content ?? '') : htmlText(content ?? '')
