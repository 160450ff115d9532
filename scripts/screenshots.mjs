// Takes the pictures of docs/screenshots from the demo world; names on the command line choose some of them.
import { mkdirSync } from 'node:fs'
import { join } from 'node:path'
import { ensureChromium, ensurePackages, ensureWeb, root } from './lib/setup.mjs'

ensurePackages()
ensureChromium()
ensureWeb()
const { chromium } = await import('@playwright/test')
const { startWorld } = await import('./lib/world.mjs')
const folder = process.env.SHOTS ?? join(root, 'docs/screenshots')
mkdirSync(folder, { recursive: true })

const address = process.env.MURRABEL_ADDRESS
const world = address
  ? { address, stop: async () => {} }
  : await startWorld(join(root, 'data/screenshots'), { say: console.log })
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium' })
const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, locale: 'en-GB' })

async function settle() {
  await page.waitForLoadState('load')
  await page.evaluate(() => document.fonts.ready)
  await page.waitForFunction(
    () => document.querySelectorAll('[data-test="bar"]').length > 0 || !document.querySelector('.tide'),
  )
  await page.waitForTimeout(600)
}

const shots = {
  async 'sign-in'() {
    await page.goto(`${world.address}/sign-in`)
  },
  async inbox() {
    await page.goto(`${world.address}/inbox`)
    await page.getByRole('textbox', { name: 'Write an answer' }).waitFor()
  },
  async watch() {
    await page.goto(`${world.address}/watch`)
    await page.locator('[data-test="mention"]').first().waitFor()
  },
  async 'watch-spike'() {
    await page.goto(`${world.address}/watch`)
    await page.getByRole('button', { name: /^Storm Petrel/ }).click()
    await page.locator('[data-test="mention"]').first().waitFor()
  },
  async 'watch-trial'() {
    await page.goto(`${world.address}/watch`)
    await page.getByRole('button', { name: 'New watch' }).click()
    await page.getByLabel('Any of these').fill('skerrivane')
    await page.getByLabel('Any of these').press('Enter')
    await page.getByRole('button', { name: 'Try it' }).click()
    await page.locator('[data-test="trial"]').waitFor()
  },
  async profiles() {
    await page.goto(`${world.address}/set-up/profiles`)
    await page.getByRole('table').waitFor()
  },
  async import() {
    await page.goto(`${world.address}/set-up/import`)
    const csv =
      'Date;Author;Stars;Review;Harbour\n3.11.2026;Hanne Lund;5;"Kind crew, warm galley";Inchgarth\n4.11.2026;Piet Vos;7;Too slow;Dunmarrow\n'
    await page
      .locator('[data-test="file"]')
      .setInputFiles({ name: 'reviews.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) })
    await page.getByRole('button', { name: /Bring in/ }).waitFor()
  },
}

const wanted = process.argv.slice(2)
await page.goto(`${world.address}/sign-in`)
if (!wanted.length || wanted.includes('sign-in'))
  await page.screenshot({ path: join(folder, 'sign-in.png'), animations: 'disabled' })
await page.getByLabel('E-mail address').fill('ivo@skerrivane.example')
await page.getByLabel('Password', { exact: true }).fill('sound-of-orrin')
await page.getByRole('button', { name: 'Sign in' }).click()
await page.waitForURL(/inbox/)
for (const [name, go] of Object.entries(shots)) {
  if (name === 'sign-in' || (wanted.length && !wanted.includes(name))) continue
  await go()
  await settle()
  await page.screenshot({ path: join(folder, `${name}.png`), animations: 'disabled' })
  console.log(name)
}
await browser.close()
await world.stop()
process.exit(0)
