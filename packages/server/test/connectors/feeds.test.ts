import { describe, expect, test } from 'vitest'
import { FeedError, parseFeed } from '../../src/connectors/index.ts'
import { itemOfEntry } from '../../src/connectors/news/index.ts'
import { htmlText } from '../../src/connectors/index.ts'
import { decodeBody } from '../../src/connectors/shared/readBody.ts'

const rss = `<?xml version="1.0"?><rss version="2.0"><channel><title>Sound Courier</title>
<item><title>A &amp; B</title><link>https://a.example/1</link><guid>g1</guid><pubDate>Tue, 24 Nov 2026 09:00:00 GMT</pubDate><description>&lt;p&gt;One&lt;/p&gt;&lt;script&gt;evil()&lt;/script&gt;&lt;p&gt;Two&lt;/p&gt;</description></item>
<item><title>No date</title><link>https://a.example/2</link></item></channel></rss>`
const atom = `<feed xmlns="http://www.w3.org/2005/Atom"><title>Gazette</title><entry><id>urn:1</id><title type="html">Caf&amp;eacute;</title><link rel="self" href="https://x.example"/><link href="https://b.example/1"/><published>2026-11-24T09:00:00Z</published><author><name>Marit</name></author><content type="html">&lt;b&gt;Hi&lt;/b&gt;</content></entry></feed>`
const json = JSON.stringify({
  version: 'https://jsonfeed.org/version/1.1',
  title: 'Boat',
  items: [
    {
      id: 1,
      url: 'https://c.example/1',
      content_text: 'Plain <3',
      date_published: '2026-11-24T09:00:00Z',
      authors: [{ name: 'Ffion' }],
    },
  ],
})

describe('parseFeed', () => {
  test('RSS 2.0', () => {
    const feed = parseFeed(rss)
    expect(feed).toMatchObject({ format: 'rss', title: 'Sound Courier' })
    expect(feed.entries[0]).toEqual({
      id: 'g1',
      title: 'A & B',
      text: 'One\n\nTwo',
      author: '',
      at: Date.parse('2026-11-24T09:00:00Z'),
      url: 'https://a.example/1',
    })
    expect(feed.entries[1]).toMatchObject({ id: 'https://a.example/2', at: null })
  })
  test('Atom', () => {
    expect(parseFeed(atom).entries[0]).toEqual({
      id: 'urn:1',
      title: 'Café',
      text: 'Hi',
      author: 'Marit',
      at: Date.parse('2026-11-24T09:00:00Z'),
      url: 'https://b.example/1',
    })
  })
  test('JSON Feed', () => {
    expect(parseFeed(json).entries[0]).toMatchObject({ id: '1', text: 'Plain <3', author: 'Ffion' })
  })
  test.each([
    ['plain text', 'hello'],
    ['a page', '<html><body>no feed</body></html>'],
    ['broken XML', '<rss><channel><title>x</channel>'],
    ['JSON of another kind', '{"items":[]}'],
    ['broken JSON', '{"version":'],
    [
      'entities that expand',
      '<!DOCTYPE rss [<!ENTITY a "aaaa"><!ENTITY b "&a;&a;">]><rss><channel><title>&b;</title></channel></rss>',
    ],
    ['nothing', ''],
  ])('%s is refused', (_, document) => expect(() => parseFeed(document)).toThrow(FeedError))
})

test('an article without a date is undated, one from the future counts from now', () => {
  const entry = { id: 'x', title: 't', text: '', author: '', at: null }
  expect(itemOfEntry(entry, { id: 'f', title: 'F' }, 1000).at).toBeNaN()
  expect(itemOfEntry({ ...entry, at: 9999 }, { id: 'f', title: 'F' }, 1000).at).toBe(1000)
  expect(
    itemOfEntry({ ...entry, id: 'y'.repeat(500) }, { id: 'f', title: 'F' }, 1000).outsideId,
  ).toHaveLength(64)
})

test.each([
  [
    'latin-1 by its declaration',
    Buffer.from('<?xml version="1.0" encoding="ISO-8859-1"?><a>caf\xe9</a>', 'latin1'),
    '',
    'café',
  ],
  ['latin-1 by its header', Buffer.from('caf\xe9', 'latin1'), 'text/xml; charset=iso-8859-1', 'café'],
  ['UTF-8 with its mark', Buffer.from('\ufeffcafé'), 'text/xml; charset=iso-8859-1', 'café'],
  ['UTF-16', Buffer.from('\ufeffcafé', 'utf16le'), '', 'café'],
  ['an encoding nobody knows', Buffer.from('café'), 'text/xml; charset=klingon', 'café'],
])('bytes: %s', (_, bytes, type, expected) => expect(decodeBody(bytes, type)).toContain(expected))

test('plain text of HTML, entities decoded once', () => {
  expect(htmlText('<div>a&nbsp;&amp;lt;b</div><style>x{}</style>c')).toBe('a &lt;b\nc')
  expect(htmlText('&#233;&#xe9;&unknown;')).toBe('éé&unknown;')
  expect(htmlText('<p>one<br>two</p><script>three</script><p>four <3 five')).toBe('one\ntwo\n\nfour <3 five')
})
