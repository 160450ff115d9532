import { describe, expect, test } from 'vitest'
import { timesAsLong } from '../../../core/test/support/timesAsLong.ts'
import { htmlText, isTooDeep, parseFeed } from '../../src/connectors/index.ts'
import { cleanJson } from '../../src/services/intake/cleanItem.ts'
import { readReviews } from '../../src/files/readReviews.ts'
import { readOpml } from '../../src/files/readOpml.ts'

const none = {
  text: null,
  rating: null,
  at: null,
  author: null,
  title: null,
  place: null,
  outsideId: null,
  url: null,
}
const quietly = (read: (text: string) => unknown) => (text: string) => {
  try {
    return read(text)
  } catch {
    // Refused in as much time is as well.
    return null
  }
}
const rss = (inside: string) =>
  `<rss><channel><title>t</title><item><title>x</title><description>${inside}</description></item></channel></rss>`
const escaped = (text: string) => text.replace(/&/g, '&amp;').replace(/</g, '&lt;')
const table = {
  zone: 'UTC',
  places: [],
  now: Date.UTC(2026, 10, 25),
  dateOrder: null,
  mapping: { ...none, text: 'Text' },
}

const pieces: Record<string, string> = {
  'open scripts': '<script ',
  'angle quotes': '‹',
  'open tags': '<a ',
  'tags in tags': '<b>',
  'closed tags': '</p>',
  entities: '&amp;',
  'halves of entities': '&#',
  comments: '<!--',
  'line ends': '\n',
  quotes: '"',
  'quotes and separators': '",',
  brackets: '[',
  words: 'late boat ',
}

const readers: Record<string, (text: string) => unknown> = {
  'HTML to text': htmlText,
  'a feed, of raw pieces': quietly((text) => parseFeed(text)),
  'a feed, inside an article': quietly((text) => parseFeed(rss(text))),
  'a feed, of HTML inside an article': quietly((text) => parseFeed(rss(escaped(text)))),
  'a JSON feed': quietly((text) =>
    parseFeed(
      JSON.stringify({
        version: 'https://jsonfeed.org/version/1.1',
        title: 't',
        items: [{ id: 1, content_html: text }],
      }),
    ),
  ),
  'a list of feeds': quietly((text) => readOpml(`<opml><body>${text}</body></opml>`)),
  'a table': quietly((text) => readReviews(`Date,Text\n${text}\n2026-01-01,x\n`, table)),
  'depth of JSON': (text) => isTooDeep(text),
  'raw items': (text) => cleanJson({ text }, 100_000_000),
}

describe('twice the document takes no more than about twice the time', () => {
  for (const [name, read] of Object.entries(readers))
    test(name, { timeout: 120_000 }, () => {
      for (const [pattern, piece] of Object.entries(pieces))
        expect(
          timesAsLong((n) => piece.repeat(n), read),
          pattern,
        ).toBeLessThan(2.9)
    })
})
