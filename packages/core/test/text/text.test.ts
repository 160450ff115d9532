import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import {
  canonicalLink,
  detectLanguage,
  foldAccents,
  joinOwnTitle,
  joinTitle,
  linkUnder,
  loadLanguages,
  normalise,
  spansOfText,
  spansOfTitle,
  splitSentences,
  tokenise,
} from '@murrabel/core/text'

const kinds = (text: string) => tokenise(text).map((t) => `${t.kind}:${text.slice(t.start, t.end)}`)

describe('tokenise', () => {
  test.each([
    ["I don't", ['word:I', "word:don't"]],
    ['l’eau', ['word:l’eau']],
    ['Grey-Heron', ['word:Grey', 'punctuation:-', 'word:Heron']],
    ['#GreyHeron @grey_heron', ['tag:#GreyHeron', 'handle:@grey_heron']],
    ['mail ness@skerrivane.example.', ['word:mail', 'email:ness@skerrivane.example', 'punctuation:.']],
    ['see www.orrin.example/x, ok', ['word:see', 'link:www.orrin.example/x', 'punctuation:,', 'word:ok']],
    ['at orrin-gazette.example.', ['word:at', 'link:orrin-gazette.example', 'punctuation:.']],
    ['see ferries.scot/winter?x=1!', ['word:see', 'link:ferries.scot/winter?x=1', 'punctuation:!']],
    ['orrin.example.Then on', ['link:orrin.example', 'punctuation:.', 'word:Then', 'word:on']],
    ['SKERRIVANE.EXAMPLE now', ['link:SKERRIVANE.EXAMPLE', 'word:now']],
    ['late.so we left', ['word:late', 'punctuation:.', 'word:so', 'word:we', 'word:left']],
    ['fine.It was', ['word:fine', 'punctuation:.', 'word:It', 'word:was']],
    ['old.it/menu', ['link:old.it/menu']],
    ['at café-orrin.example.', ['word:at', 'link:café-orrin.example', 'punctuation:.']],
    ['👉orrin.example', ['emoji:👉', 'link:orrin.example']],
    ['«heron.nl»', ['punctuation:«', 'link:heron.nl', 'punctuation:»']],
    ['https://x.example/a_(b)?q=1.', ['link:https://x.example/a_(b)?q=1', 'punctuation:.']],
    ['連絡はness@orrin.example', ['word:連', 'word:絡', 'word:は', 'email:ness@orrin.example']],
    ['日本.jp', ['link:日本.jp']],
    ['#渡し船 @渡し', ['tag:#渡し船', 'handle:@渡し']],
    ['fer\u2060ry \u200eboat', ['word:fer\u2060ry', 'word:boat']],
    [
      '\u{1f3f4}\u{e0067}\u{e0062}\u{e0073}\u{e0063}\u{e0074}\u{e007f}!',
      ['emoji:\u{1f3f4}\u{e0067}\u{e0062}\u{e0073}\u{e0063}\u{e0074}\u{e007f}', 'punctuation:!'],
    ],
    ['file.txt', ['word:file', 'punctuation:.', 'word:txt']],
    ['(https://orrin.example/a)', ['punctuation:(', 'link:https://orrin.example/a', 'punctuation:)']],
    ['3.50 4:30', ['number:3.50', 'number:4:30']],
    ['👩‍👩‍👧🇫🇷👍🏽', ['emoji:👩‍👩‍👧', 'emoji:🇫🇷', 'emoji:👍🏽']],
    ['great :-) no :(', ['word:great', 'emoticon::-)', 'word:no', 'emoticon::(']],
    ['wow!!!', ['word:wow', 'punctuation:!!!']],
    ['とても', ['word:と', 'word:て', 'word:も']],
    ['fer\u200bry', ['word:fer\u200bry']],
  ])('%s', (text, expected) => expect(kinds(text)).toEqual(expected))

  test('tokens are in order and never overlap', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', maxLength: 80 }), (text) => {
        const tokens = tokenise(text)
        return tokens.every(
          (t, i) => t.start < t.end && t.end <= text.length && (i === 0 || tokens[i - 1]!.end <= t.start),
        )
      }),
    )
  })

  // A pattern that backtracks over the whole line would look at each unit as often as the line is long.
  test.each(['a.', 'a@', '#a', 'x', "'a", 'http://', '1,', ':-'])(
    'a line of %j is read in one pass',
    (unit) => {
      const short = unit.repeat(500)
      const long = unit.repeat(50_000)
      expect(tokenise(long).length).toBeGreaterThanOrEqual(tokenise(short).length)
    },
  )
})

describe('normalise', () => {
  test.each([
    ['“Café” – now', '"café" - now'],
    ['ＦＥＲＲＹ', 'ferry'],
    ['Straße', 'strasse'],
    ['fer\u200bry', 'ferry'],
    ['ﬁne', 'fine'],
  ])('%s', (text, expected) => expect(normalise(text).text).toBe(expected))

  test('accents can be folded away', () =>
    expect(normalise('Crème brûlée', { accents: false }).text).toBe('creme brulee'))

  test('every piece of the normalised text leads back into the original', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', maxLength: 40 }), (text) => {
        const { text: out, toOriginal } = normalise(text)
        for (let i = 0; i < out.length; i++) {
          const { start, end } = toOriginal(i, i + 1)
          if (!(start >= 0 && start < end && end <= text.length)) return false
        }
        return true
      }),
    )
  })

  test('a match is found again in the untouched text', () => {
    const text = 'Le ﬂott Ｆｅｒｒｙ'
    const { text: out, toOriginal } = normalise(text)
    const at = out.indexOf('ferry')
    const { start, end } = toOriginal(at, at + 5)
    expect(text.slice(start, end)).toBe('Ｆｅｒｒｙ')
  })
})

test.each([
  ['Crème BRÛLÉE', 'creme brulee'],
  ['バス', 'バス'],
  ['ﾊﾞｽ', 'バス'],
  ['й ё', 'й е'],
  ['за́мок', 'замок'],
  ['שָׁלוֹם', 'שלום'],
  ['مُحَمَّد', 'محمد'],
  ['हिन्दी', 'हिन्दी'],
  ['fer\u200ery', 'ferry'],
])('accents of %j', (text, expected) => expect(foldAccents(text)).toBe(expected))

test.each([
  ['Hi Mr. Oakes. It was bad... but ok! Yes?', 3],
  ['One line\nanother', 2],
  ['He paid 3.50 for it', 1],
  ['“Never.” She left.', 2],
  ['Maren (late. Again!) was kind.', 1],
  ['(Maren was late. She left.) So did I.', 3],
  ['an ( that nothing closes. And more', 2],
  [`${'so long a line that a mail program broke it here '.repeat(2)}\nand it goes on`, 1],
  ['', 0],
])('sentences of %j', (text, count) => expect(splitSentences(text)).toHaveLength(count))

test('paragraphs are divided by an empty line', () => {
  expect(splitSentences('One.\nTwo.\n\nThree.').map((s) => s.paragraph)).toEqual([0, 0, 1])
})

describe('links', () => {
  test.each([
    ['HTTP://www.Skerrivane.example:80/winter/?utm_source=x', 'https://skerrivane.example/winter'],
    ['skerrivane.example', 'https://skerrivane.example'],
    ['https://a.example/?b=2&a=1#top', 'https://a.example?a=1&b=2'],
    ['https://a.example:8443/x', 'https://a.example:8443/x'],
    ['mailto:a@b.example', null],
    ['not a link', null],
  ])('%s', (given, expected) => expect(canonicalLink(given)).toBe(expected))

  test('canonical form is its own canonical form', () => {
    fc.assert(
      fc.property(fc.webUrl({ withQueryParameters: true, withFragments: true }), (url) => {
        const once = canonicalLink(url)
        return once === null || canonicalLink(once) === once
      }),
    )
  })

  test.each([
    ['https://shop.orrin.example/tickets/7', 'orrin.example/tickets', true],
    ['https://orrin.example/tickets-fake', 'orrin.example/tickets', false],
    ['https://notorrin.example', 'orrin.example', false],
    ['https://orrin.example:8443/a', 'orrin.example', true],
    ['https://orrin.example/a', 'orrin.example:8443', false],
    ['https://orrin.example/see?a=1&boat=7', 'orrin.example/see?boat=7', true],
    ['https://orrin.example/see?boat=70', 'orrin.example/see?boat=7', false],
  ])('%s under %s: %s', (link, pattern, expected) => expect(linkUnder(link, pattern)).toBe(expected))
})

test('language is told, or not when there is too little', async () => {
  await loadLanguages()
  expect(detectLanguage('The boat was late again and nobody told us')).toBe('en')
  expect(detectLanguage('Le bateau était en retard et personne ne répond')).toBe('fr')
  expect(detectLanguage('ok')).toBe('und')
  expect(detectLanguage('https://orrin.example 👍')).toBe('und')
})

test('spans of title and text are told apart', () => {
  const spans = [
    { start: 0, end: 3 },
    { start: 7, end: 9 },
  ]
  expect(joinTitle('Title', 'text')).toBe('Title\n\ntext')
  expect(spansOfTitle('Title', spans)).toEqual([{ start: 0, end: 3 }])
  expect(spansOfText('Title', spans)).toEqual([{ start: 0, end: 2 }])
  expect(spansOfText(null, spans)).toEqual(spans)
})

test.each([
  ['Re: Lost bag', 'Here it is.', '            \n\nHere it is.'],
  ['AW: WG: Koffer', 'Ist da.', '              \n\nIst da.'],
  ['Lost bag', 'Blue.', 'Lost bag\n\nBlue.'],
  ['Review: fine', 'Blue.', 'Review: fine\n\nBlue.'],
  [null, 'Blue.', 'Blue.'],
])('of an answer the subject is not read for its meaning: %j', (title, text, whole) =>
  expect(joinOwnTitle(title, text)).toBe(whole),
)
