// @vitest-environment node
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { routes, type EntryPage, type TideAnswer } from '@murrabel/contract'
import { drawer } from '../src/firstScreen/draw.ts'
import { brandAnswer, row } from './support.ts'

/** Everything that is asked of the server while it draws. */
const asked = vi.fn()
beforeEach(() => vi.stubGlobal('fetch', asked))
afterEach(() => {
  expect(asked).not.toHaveBeenCalled()
  vi.unstubAllGlobals()
})

const begin = (path = '/inbox', given: { cookie?: string; languages?: string[] } = {}) =>
  drawer.firstScreen({ path, cookie: given.cookie ?? null, languages: given.languages ?? ['en'] })!

const page = (author: string, rows = 3): EntryPage => ({
  rows: Array.from({ length: rows }, (_, i) =>
    row({ id: i + 1, threadId: i + 1, author: `${author} ${i + 1}` }),
  ),
  next: null,
})
const tide: TideAnswer = { unit: 'day', buckets: [], usual: null } as unknown as TideAnswer

/** The answers a screen asks for, with these rows in its list. */
function answersOf(
  { addresses }: { addresses: readonly string[] },
  { list = page('Perrin Oakes'), count = 3, pastDue = 2 } = {},
) {
  const answers: Record<string, unknown> = {}
  for (const address of addresses) {
    const [path] = address.split('?')
    if (path === routes.brand.path) answers[address] = brandAnswer()
    if (path === routes.entries.path) answers[address] = list
    if (path === routes.entryCount.path) answers[address] = { count, pastDue, notSent: 0 }
    if (path === routes.tide.path) answers[address] = tide
  }
  return answers
}
const rowsIn = (html: string | null) => html?.match(/data-thread="\d+"/g)?.length ?? 0

test('the inbox is drawn with its list, its lens in words, its count and what is past due', async () => {
  const screen = begin()
  const html = (await screen.draw(answersOf(screen, { count: 51, pastDue: 28 })))!
  expect(rowsIn(html)).toBe(3)
  for (const said of ['Perrin Oakes 3', 'Skerrivane Ferries', 'last 14 days', '51 threads', '28 past due'])
    expect(html).toContain(said)
})

test('a long list is drawn as far as a high window shows it', async () => {
  const screen = begin()
  const drawn = rowsIn(await screen.draw(answersOf(screen, { list: page('Perrin Oakes', 60) })))
  expect(drawn).toBeGreaterThan(12)
  expect(drawn).toBeLessThan(20)
})

test('the lens of the address is what is asked for', () => {
  const list = begin('/inbox/12?state=done&words=galley').addresses.find((each) =>
    each.startsWith(`${routes.entries.path}?`),
  )
  expect(list).toContain('state=done')
  expect(list).toContain('words=galley')
})

test('two readers at once: neither screen has anything of the other', async () => {
  const names = ['Perrin Oakes', 'Idris Bexley', 'Morag Kerr', 'Vikram Adair']
  const drawn = await Promise.all(
    names.map((author) => {
      const screen = begin('/inbox', { languages: author.startsWith('M') ? ['fr'] : ['en'] })
      return screen.draw(answersOf(screen, { list: page(author) }))
    }),
  )
  for (const [i, html] of drawn.entries())
    for (const [j, author] of names.entries()) expect(html!.includes(author)).toBe(i === j)
})

test('it speaks and is spaced as the browser shows things, or as the browser is', async () => {
  const chosen = begin('/inbox', { cookie: 'fr.compact', languages: ['en'] })
  const html = (await chosen.draw(answersOf(chosen)))!
  expect([chosen.language, html.includes('Aujourd’hui'), html.includes('row compact')]).toEqual([
    'fr',
    true,
    true,
  ])
  expect(begin('/inbox', { languages: ['fr-CA', 'en'] }).language).toBe('fr')
  const odd = begin('/inbox', { cookie: '"><script>.__proto__', languages: ['xx'] })
  expect([odd.language, (await odd.draw(answersOf(odd)))!.includes('row usual')]).toEqual(['en', true])
})

test('what somebody wrote is text, whatever it holds', async () => {
  const screen = begin()
  const list = page('<img src=x onerror=alert(1)>')
  list.rows[0]!.text = '</script><b>bold</b>'
  const html = (await screen.draw(answersOf(screen, { list })))!
  expect(html).not.toMatch(/<img|<b>bold|<\/script>/)
  expect(html).toContain('&lt;img src=x')
})

test('without the brand nothing is drawn; without the list its shape is', async () => {
  const screen = begin()
  expect(await screen.draw({})).toBeNull()
  const html = (await screen.draw({ [routes.brand.path]: brandAnswer() }))!
  expect(rowsIn(html)).toBe(0)
  expect(html).toContain('data-test="shapes"')
})

test('other pages draw themselves', () => {
  for (const path of ['/watch', '/inbox/people', '/inbox/x', '/sign-in', '//elsewhere/inbox', '/inbox/%ff'])
    expect(drawer.firstScreen({ path, cookie: null, languages: [] }), path).toBeNull()
})
