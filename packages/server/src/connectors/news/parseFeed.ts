import { XMLParser } from 'fast-xml-parser'

export interface FeedEntry {
  id: string
  title: string
  /** Plain text. */
  text: string
  author: string
  /** Epoch milliseconds; null when the feed gives none. */
  at: number | null
  url?: string
}

export interface ParsedFeed {
  format: 'rss' | 'atom' | 'json'
  title: string
  entries: FeedEntry[]
  /** Minutes the feed asks to be left alone (RSS 2.0, ttl); null when it does not. */
  ttlMinutes: number | null
}

export class FeedError extends Error {
  override readonly name = 'FeedError'
}

/** Items of one feed that are read; a feed is a window on the newest, not an archive. */
const entryLimit = 5000

const parser = new XMLParser({
  ignoreAttributes: false,
  attributeNamePrefix: '@',
  textNodeName: '#text',
  trimValues: true,
  parseTagValue: false,
  // Only the five entities of XML itself: declared ones may expand without end.
  processEntities: false,
  htmlEntities: false,
})

type Node = Record<string, unknown>

/** Reads RSS 2.0, Atom (RFC 4287) or JSON Feed 1.1. @throws FeedError when it is none of them */
export function parseFeed(document: string): ParsedFeed {
  const start = document.trimStart().slice(0, 1)
  if (start === '{') return parseJson(document)
  if (start !== '<') throw new FeedError('neither XML nor JSON')
  if (/<!DOCTYPE[^>]*\[/i.test(document.slice(0, 2000)))
    throw new FeedError('a document type with declarations of its own')
  let root: Node
  try {
    root = parser.parse(document, true) as Node
  } catch (error) {
    throw new FeedError('not well-formed XML', { cause: error })
  }
  const rss = root.rss as Node | undefined
  const channel = rss?.channel as Node | undefined
  if (channel)
    return {
      format: 'rss',
      title: textOf(channel.title),
      entries: list(channel.item).slice(0, entryLimit).map(rssEntry),
      ttlMinutes: Number(textOf(channel.ttl)) > 0 ? Math.min(1440, Number(textOf(channel.ttl))) : null,
    }
  const feed = root.feed as Node | undefined
  if (feed)
    return {
      format: 'atom',
      title: textOf(feed.title),
      entries: list(feed.entry).slice(0, entryLimit).map(atomEntry),
      ttlMinutes: null,
    }
  throw new FeedError('neither an RSS channel nor an Atom feed')
}

const list = (value: unknown): Node[] =>
  value === undefined
    ? []
    : (Array.isArray(value) ? value : [value]).filter((v): v is Node => typeof v === 'object' && v !== null)

function textOf(value: unknown): string {
  if (typeof value === 'string') return decodeEntities(value)
  if (value && typeof value === 'object')
    return textOf((value as Node)['#text'] ?? (value as Node).name ?? '')
  return value === undefined || value === null ? '' : String(value)
}

function rssEntry(item: Node): FeedEntry {
  const url = textOf(item.link) || undefined
  const title = plain(textOf(item.title))
  return {
    id: textOf(item.guid) || url || title,
    title,
    text: plain(textOf(item['content:encoded']) || textOf(item.description)),
    author: textOf(item['dc:creator']) || textOf(item.author),
    at: time(textOf(item.pubDate) || textOf(item['dc:date'])),
    url,
  }
}

function atomEntry(entry: Node): FeedEntry {
  const links = list(entry.link)
  const link = links.find((l) => !l['@rel'] || l['@rel'] === 'alternate') ?? links[0]
  const url = link ? decodeEntities(String(link['@href'] ?? '')) : undefined
  const title = plain(textOf(entry.title))
  return {
    id: textOf(entry.id) || url || title,
    title,
    text: plain(textOf(entry.content) || textOf(entry.summary)),
    author: list(entry.author)
      .map((a) => textOf(a.name))
      .filter(Boolean)
      .join(', '),
    at: time(textOf(entry.published) || textOf(entry.updated)),
    url,
  }
}

function parseJson(document: string): ParsedFeed {
  let feed: Node
  try {
    feed = JSON.parse(document) as Node
  } catch (error) {
    throw new FeedError('not valid JSON', { cause: error })
  }
  if (
    typeof feed.version !== 'string' ||
    !feed.version.startsWith('https://jsonfeed.org/version/') ||
    !Array.isArray(feed.items)
  )
    throw new FeedError('JSON, but not a JSON Feed')
  const entries = list(feed.items)
    .slice(0, entryLimit)
    .map((item) => ({
      id: textOf(item.id) || textOf(item.url),
      title: textOf(item.title),
      text:
        typeof item.content_text === 'string'
          ? item.content_text
          : plain(textOf(item.content_html) || textOf(item.summary)),
      author: [...list(item.authors), ...list(item.author)]
        .map((a) => textOf(a.name))
        .filter(Boolean)
        .join(', '),
      at: time(textOf(item.date_published) || textOf(item.date_modified)),
      url: textOf(item.url) || undefined,
    }))
  return { format: 'json', title: textOf(feed.title), entries, ttlMinutes: null }
}

function time(text: string): number | null {
  const at = Date.parse(text)
  return text === '' || Number.isNaN(at) ? null : at
}

const named: Record<string, string> = {
  amp: '&',
  lt: '<',
  gt: '>',
  quot: '"',
  apos: "'",
  nbsp: ' ',
  hellip: '…',
  ndash: '–',
  mdash: '—',
  rsquo: '’',
  lsquo: '‘',
  ldquo: '“',
  rdquo: '”',
  eacute: 'é',
  egrave: 'è',
  ecirc: 'ê',
  agrave: 'à',
  ccedil: 'ç',
}

export function decodeEntities(text: string): string {
  return text.replace(/&(#x[0-9a-f]{1,6}|#\d{1,7}|[a-z]{1,8});/gi, (whole, name: string) => {
    if (name[0] !== '#') return named[name.toLowerCase()] ?? whole
    const code =
      name[1] === 'x' || name[1] === 'X' ? Number.parseInt(name.slice(2), 16) : Number(name.slice(1))
    return code > 0 && code <= 0x10ffff ? String.fromCodePoint(code) : whole
  })
}

/** HTML as plain text: scripts and styles dropped, block ends as line ends. */
export function plain(html: string): string {
  return decodeEntities(
    html
      .replace(/<(script|style)\b[^>]*>[\s\S]*?<\/\1\s*>/gi, ' ')
      .replace(/<\/(?:p|div|li|h[1-6]|blockquote)\s*>|<br\s*\/?>/gi, '\n')
      .replace(/<[^>]{0,2000}>/g, ' '),
  )
    .replace(/[ \t]+/g, ' ')
    .replace(/ ?\n ?/g, '\n')
    .replace(/\n{2,}/g, '\n\n')
    .trim()
}
