import type { GoneItem } from '../contract.ts'
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

/** An Image or a Link, as ActivityStreams 2.0 puts them beside what they belong to. */
export interface PictureObject {
  type?: string
  mediaType?: string
  url?: unknown
  href?: unknown
  name?: string
}

/** What an object shows: its attachments, and the still of a video (icon, preview, image). */
export interface Showing {
  attachment?: PictureObject | PictureObject[] | null
  icon?: PictureObject | PictureObject[] | null
  image?: PictureObject | PictureObject[] | null
  /** Collections, of which only the size is told. */
  likes?: { totalItems?: unknown } | string
  shares?: { totalItems?: unknown } | string
}

/** Pictures of one object that are kept. */
const mostPictures = 8

export function picturesOf({ attachment, icon, image }: Showing): { address: string; alt: string }[] {
  const found = [attachment, icon, image].flatMap((each) => [...severalOf(each)])
  return found
    .flatMap((each) => {
      const { type, mediaType = '', url, href, name } = each ?? {}
      const address = [url, href].find((it) => typeof it === 'string')
      const isPicture = type === 'Image' || mediaType.startsWith('image/')
      return isPicture && typeof address === 'string'
        ? [{ address, alt: typeof name === 'string' ? name : '' }]
        : []
    })
    .slice(0, mostPictures)
}

/** How often it was liked and shared: the sizes of its collections. */
export function figuresOf({ likes, shares }: Showing): { likes?: number; shares?: number } {
  const size = (of: Showing['likes']) => {
    const n = typeof of === 'object' ? of?.totalItems : undefined
    return typeof n === 'number' ? n : undefined
  }
  return { likes: size(likes), shares: size(shares) }
}

/** What a Delete takes away (ActivityStreams 2.0, section 6.4): its object is a Tombstone, or an id alone. */
export function goneOf({
  type,
  published,
  object,
}: {
  type: string
  published?: string
  object: unknown
}): GoneItem | null {
  if (type !== 'Delete') return null
  const { id, deleted } = (typeof object === 'string' ? { id: object } : object) as {
    id: string
    deleted?: string
  }
  return { outsideId: lastPart(id), at: Date.parse(deleted ?? published ?? '') }
}
