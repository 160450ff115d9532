import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { hiddenWord, otherWord, twoBrands } from '../support/twoBrands.ts'
import { startTestWorld, type Caller, type TestWorld } from '../support/world.ts'

const list = '/api/entries?unit=threads&limit=60'
const count = '/api/entries/count?unit=threads'
const tide = '/api/tide?unit=threads'

/** Stands for what is built from the application: draws the names of what it was given, or does as the address says. */
const drawer = `export const drawer = {
  cookie: 'murrabel_shown',
  firstScreen({ path, cookie, languages }) {
    if (path.includes('odd')) throw new Error('odd')
    if (path.includes('itself')) return null
    return {
      language: cookie ?? languages[0],
      addresses: ['/api/brand', '${list}', '${count}', '${tide}', '/api/colleagues', '/api/entries?limit=x&after=nothing'],
      async draw(answers) {
        if (path.includes('broken')) throw new Error('broken')
        return '<p>drawn of ' + Object.keys(answers).length + '</p>'
      },
    }
  },
}`
const base = mkdtempSync(join(tmpdir(), 'drawn-'))
let world: TestWorld

beforeAll(async () => {
  mkdirSync(join(base, 'dist/assets'), { recursive: true })
  mkdirSync(join(base, 'drawn/dist'), { recursive: true })
  writeFileSync(join(base, 'package.json'), '{"type":"module"}')
  writeFileSync(join(base, 'drawn/dist/draw.js'), drawer)
  writeFileSync(
    join(base, 'dist/index.html'),
    '<html lang="en"><head><title>Murrabel</title></head><body><div id="app"></div></body></html>',
  )
  const pages = { '/inbox{/:thread}': { scripts: ['assets/inbox-1.js'], styles: [] } }
  writeFileSync(join(base, 'dist/pages.json'), JSON.stringify({ version: 'b1', fonts: [], pages }))
  world = await startTestWorld()
  await twoBrands(world)
  world.config.webFolder = join(base, 'dist')
  await world.restart()
}, 150_000)
afterAll(async () => {
  await world.stop()
  rmSync(base, { recursive: true })
})

const pageOf = (cookie: string, path = '/inbox', headers: Record<string, string> = {}) =>
  fetch(`${world.config.publicAddress}${path}`, { headers: { cookie, 'accept-language': 'fr', ...headers } })
const knownOf = (html: string): Record<string, unknown> =>
  JSON.parse(/<script id="known" type="application\/json">(.*?)<\/script>/.exec(html)?.[1] ?? '{}')
const empty = '<div id="app"></div>'

test('whoever is signed in gets the page with its screen, its language, and what it was drawn from', async () => {
  const call = await world.signIn('wynn')
  const page = await pageOf(call.cookie)
  const html = await page.text()
  expect(html).toContain('<html lang="fr">')
  expect(html).toContain('<div id="app"><p>drawn of 4</p></div><script id="known"')
  expect(html).toContain('</body></html>')
  // What only this reader may see is kept by nobody.
  expect(page.headers.get('cache-control')).toBe('no-store')
  expect(page.headers.get('link')).toContain('</assets/inbox-1.js>; rel=modulepreload')
  expect(page.headers.get('link')).not.toContain('/api/brand')
  expect(page.headers.get('content-encoding')).toBeTruthy()
})

/** What the page came with is what the reader would have been answered. */
async function listOf(call: Caller): Promise<string> {
  const known = knownOf(await (await pageOf(call.cookie)).text())
  expect(Object.keys(known).sort()).toEqual(['/api/brand', list, count, tide].sort())
  for (const address of [list, count, tide])
    expect(known[address], address).toEqual((await call('GET', address)).body)
  return JSON.stringify(known[list])
}

test('each reader’s page holds what they may see, and no more', async () => {
  const owner = await listOf(await world.signIn('wynn'))
  expect([owner.includes(hiddenWord), owner.includes(otherWord)]).toEqual([true, false])
  const manager = await listOf(await world.signIn('ness'))
  expect([manager.includes(hiddenWord), manager.includes(otherWord)]).toEqual([false, false])
  const stranger = await listOf(await world.signIn('bryn' as never))
  expect([stranger.includes(hiddenWord), stranger.includes(otherWord)]).toEqual([false, true])
})

test('who is not signed in, or not any more, gets an empty page', async () => {
  for (const cookie of ['', `murrabel_session=${'a'.repeat(40)}`]) {
    const page = await pageOf(cookie)
    expect([await page.text(), page.headers.get('cache-control')]).toEqual([
      expect.stringContaining(empty),
      'no-cache',
    ])
  }
  const call = await world.signIn('rowan')
  await call('DELETE', '/api/session')
  expect(await (await pageOf(call.cookie)).text()).toContain(empty)
})

test('what cannot be drawn comes empty, and draws itself', async () => {
  const { cookie } = await world.signIn('wynn')
  for (const path of ['/inbox?odd', '/inbox?itself', '/inbox?broken']) {
    const html = await (await pageOf(cookie, path)).text()
    expect(html, path).toContain(empty)
    expect(html, path).toContain('</body></html>')
    expect(knownOf(html)).toEqual({})
  }
})

test('no word of a customer ends the element it stands in', async () => {
  const { db } = world.server.context
  const evil = '</script><script>alert(1)</script><!--'
  await db.rows(`UPDATE entries SET text = $1 WHERE brand_id = (SELECT min(id) FROM brands)`, [evil])
  const { cookie } = await world.signIn('wynn')
  const html = await (await pageOf(cookie)).text()
  expect(html.match(/<script/g)).toHaveLength(1)
  const { rows } = knownOf(html)[list] as { rows: { text: string }[] }
  expect(rows.map(({ text }) => text)).toContain(evil)
})

test('a list that takes long does not keep the page waiting: it comes without', async () => {
  const { cookie } = await world.signIn('wynn')
  const { db } = world.server.context
  const html = await db.inTransaction(async (tx) => {
    await db.rows('LOCK TABLE entries IN ACCESS EXCLUSIVE MODE', [], tx)
    return (await pageOf(cookie)).text()
  })
  // What was counted before is known without a look.
  expect(Object.keys(knownOf(html))).toContain('/api/brand')
  expect(Object.keys(knownOf(html))).not.toContain(list)
  expect(html).toContain('<p>drawn of')
})
