import { XMLParser } from 'fast-xml-parser'
import { decodeXML } from 'entities'
import { reasonText, type FieldReason } from '@murrabel/contract'
import { htmlText } from '../shared/htmlText.ts'
import { parseJson as parseDeepJson } from '../shared/parseJson.ts'
import type { FeedEntry, ParsedFeed } from './parsedFeed.ts'

type NoFeed = Extract<FieldReason, `feed${string}`>

/** A document that is no feed, and why. */
export class FeedError extends Error {
  override readonly name = 'FeedError'
  constructor(
    readonly reason: NoFeed,
    options?: ErrorOptions,
  ) {
    super(reasonText(reason), options)
  }
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
  if (start !== '<') throw new FeedError('feedNeither')
  if (/<!DOCTYPE[^>]*\[/i.test(document.slice(0, 2000))) throw new FeedError('feedEntities')
  let root: Node
  try {
    root = parser.parse(document, true) as Node
  } catch (error) {
    throw new FeedError('feedXml', { cause: error })
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
  throw new FeedError('feedChannel')
}

const list = (value: unknown): Node[] =>
  value === undefined
    ? []
    : (Array.isArray(value) ? value : [value]).filter((v): v is Node => typeof v === 'object' && v !== null)

function textOf(value: unknown): string {
  if (typeof value === 'string') return decodeXML(value)
  if (value && typeof value === 'object')
    return textOf((value as Node)['#text'] ?? (value as Node).name ?? '')
  return value === undefined || value === null ? '' : String(value)
}

function rssEntry(item: Node): FeedEntry {
  const url = textOf(item.link) || undefined
  const title = htmlText(textOf(item.title))
  return {
    id: textOf(item.guid) || url || title,
    title,
    text: htmlText(textOf(item['content:encoded']) || textOf(item.description)),
    author: textOf(item['dc:creator']) || textOf(item.author),
    at: time(textOf(item.pubDate) || textOf(item['dc:date'])),
    url,
  }
}

function atomEntry(entry: Node): FeedEntry {
  const links = list(entry.link)
  const link = links.find((l) => !l['@rel'] || l['@rel'] === 'alternate') ?? links[0]
  const url = link ? decodeXML(String(link['@href'] ?? '')) : undefined
  const title = htmlText(textOf(entry.title))
  return {
    id: textOf(entry.id) || url || title,
    title,
    text: htmlText(textOf(entry.content) || textOf(entry.summary)),
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
    feed = parseDeepJson(document) as Node
  } catch (error) {
    throw new FeedError('feedJson', { cause: error })
  }
  if (
    typeof feed.version !== 'string' ||
    !feed.version.startsWith('https://jsonfeed.org/version/') ||
    !Array.isArray(feed.items)
  )
    throw new FeedError('feedNotJsonFeed')
  const entries = list(feed.items)
    .slice(0, entryLimit)
    .map((item) => ({
      id: textOf(item.id) || textOf(item.url),
      title: textOf(item.title),
      text:
        typeof item.content_text === 'string'
          ? item.content_text
          : htmlText(textOf(item.content_html) || textOf(item.summary)),
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
