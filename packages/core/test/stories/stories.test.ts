import { describe, expect, test } from 'vitest'
import { StoryBook, stories, storyPrint } from '@murrabel/core/stories'
import { seeded } from '../support/random.ts'

const news =
  'The ferry Storm Petrel of Skerrivane Ferries lost its engine off Dunmarrow on its evening crossing and was towed in four hours late. About three hundred passengers were on board. Passengers complained that nobody told them what had happened. All sailings from Dunmarrow were cancelled for the following day.'
const alike = (one: string, two: string) => stories([one, two].map((text, id) => ({ id, text }))).length > 0

test('short texts have no fingerprint', () =>
  expect(storyPrint('Thanks for a lovely crossing today')).toBeNull())

describe('notices of one form', () => {
  const notice =
    'The 14:20 boat from Dunmarrow is late by ten minutes because of the swell, we are sorry for the wait and thank you for your patience'
  test.each([
    ['another time', notice.replace('14:20', '16:05')],
    ['another place', notice.replace('Dunmarrow', 'Tarbrae')],
    ['a number written out', notice.replace('ten', 'forty')],
    ['another day', `${notice} on Monday`, `${notice} on Friday`],
    ['another first word', `Orrin: ${notice}`, `Tarbrae: ${notice}`],
    ['blame for praise', `${notice}, wonderful`, `${notice}, terrible`],
    [
      'a "not"',
      'The boat to the island is sailing as planned this week',
      'The boat to the island is not sailing as planned this week',
    ],
    [
      'un autre jour',
      'Le bateau pour l’île part du quai nord lundi avec tout le monde',
      'Le bateau pour l’île part du quai nord jeudi avec tout le monde',
    ],
    [
      'ein anderer Ort',
      'Das Schiff nach Dunmarrow fährt heute leider ohne Räder und Anhänger ab',
      'Das Schiff nach Tarbrae fährt heute leider ohne Räder und Anhänger ab',
    ],
  ])('with %s are told apart', (_, one, two = notice) => expect(alike(one, two)).toBe(false))
  test.each([
    ['a word that tells nothing', notice.replace('swell', 'waves')],
    ['praise in front', `Great news from the pier, everybody: ${notice}`],
    ['all capitals', notice.toUpperCase()],
    ['a word of the same leaning', `${notice}, wonderful`, `${notice}, lovely`],
  ])('with %s they are copies', (_, one, two = notice) => expect(alike(one, two)).toBe(true))
})

describe('stories', () => {
  const id = (texts: string[]) => stories(texts.map((text, i) => ({ id: i + 1, text })))
  test.each([
    ['word for word', news],
    ['with a headline before it', `Ferry loses engine. ${news}`],
    ['with a line cut', news.replace(' About three hundred passengers were on board.', '')],
    ['with other capitals and marks', news.toUpperCase().replace(/\./g, ' -')],
    ['with a word changed', news.replace('evening', 'late')],
  ])('a copy %s is the same story', (_, copy) => expect(id([news, copy])).toEqual([[1, 2]]))
  test.each([
    [
      'about the same thing in other words',
      'Passengers of the Storm Petrel spent four hours without news when the engine gave up near Dunmarrow, and many of them say that they will not come back to Skerrivane this winter.',
    ],
    [
      'of another day',
      'The ferry Grey Heron of Skerrivane Ferries was cheered into Port Ellery on its first crossing of the year. About two hundred passengers were on board, and a piper played.',
    ],
  ])('a text %s is not', (_, other) => expect(id([news, other])).toEqual([]))
  test('seven copies among other texts are one story', () => {
    const others = Array.from(
      { length: 50 },
      (_, i) =>
        `On day ${i} we went over to island ${i * 7} with ${i} friends, saw ${i * 3} seals and came home by boat ${i % 5}`,
    )
    const texts = others.flatMap((text, i) => (i % 7 === 0 && i < 49 ? [text, news] : [text]))
    const found = id(texts).find((group) => group.length === 7)
    expect(found?.map((n) => texts[n - 1])).toEqual(Array.from({ length: 7 }, () => news))
  })
  test('copies with changes are found among texts of their own, and those are not taken for copies', () => {
    const random = seeded(14)
    const vocabulary = Array.from(
      { length: 900 },
      (_, i) => `w${String.fromCharCode(97 + (i % 26), 97 + ((i * 7) % 26), 97 + (Math.floor(i / 26) % 26))}`,
    )
    const word = () => vocabulary[Math.floor(random() ** 2 * vocabulary.length)]!
    const said = () => Array.from({ length: 8 + Math.floor(random() * 50) }, word)
    const changed = (list: string[]) => {
      const places = new Set<number>()
      while (places.size < Math.floor(list.length / 10)) places.add(Math.floor(random() * list.length))
      return list.map((each, i) => (places.has(i) ? word() : each))
    }
    const book = new StoryBook()
    const texts = Array.from({ length: 4000 }, said)
    texts.forEach((list, id) => book.add(storyPrint(list.join(' '))!, id))
    const found = (make: (list: string[]) => string[]) =>
      texts
        .slice(0, 500)
        .filter((list, id) => book.find(storyPrint(make(list).join(' ')) ?? new Int32Array()) === id).length /
      500
    expect(found(changed)).toBeGreaterThan(0.95)
    expect(found((list) => ['look', 'what', 'they', 'say', ...list])).toBeGreaterThan(0.95)
    const long = texts.filter((list) => list.length >= 12)
    expect(
      long
        .slice(0, 500)
        .filter(
          (list) => book.find(storyPrint(list.slice(0, Math.ceil(list.length * 0.75)).join(' '))!) !== null,
        ).length,
    ).toBeGreaterThan(450)
    expect(
      Array.from({ length: 500 }, said).filter((list) => book.find(storyPrint(list.join(' '))!) !== null)
        .length,
    ).toBeLessThan(5)
  })
  test('thousands of copies of one text are one story, and its texts are looked at no more often', () => {
    const list = news.split(' ')
    const book = new StoryBook()
    let looks = 0
    /** Another word each time. */
    const copy = (i: number) => {
      const words = [...list]
      words[i % list.length] = `changed${String.fromCharCode(97 + (i % 26), 97 + (Math.floor(i / 26) % 26))}`
      return storyPrint(words.join(' '))!
    }
    const counted = (print: Int32Array) =>
      new Proxy(print, {
        get(target, key) {
          looks++
          const value: unknown = Reflect.get(target, key)
          return typeof value === 'function' ? (value as (...args: never[]) => unknown).bind(target) : value
        },
      })
    const looked = (from: number, to: number) => {
      looks = 0
      for (let i = from; i < to; i++) {
        const story = book.find(copy(i))
        expect(story ?? 0).toBe(0)
        book.add(counted(copy(i)), 0)
      }
      return looks
    }
    const [first, second] = [looked(0, 1000), looked(1000, 2000)]
    expect(second).toBeLessThan(1.5 * first)
  })
})
