// Takes the pictures of docs/screenshots from the demo world; names on the command line choose some of them.
import { randomUUID } from 'node:crypto'
import { mkdirSync } from 'node:fs'
import { join } from 'node:path'
import { chromiumProgram, ensureChromium, ensurePackages, ensureWeb, root } from './lib/setup.mjs'

const address = process.env.MURRABEL_ADDRESS
ensurePackages()
ensureChromium()
// A world that runs already shows what it was started with; a new build would take the files from under it.
if (!address) ensureWeb()
const { chromium } = await import('@playwright/test')
const { startWorld } = await import('./lib/world.mjs')
const folder = process.env.SHOTS ?? join(root, 'docs/screenshots')
mkdirSync(folder, { recursive: true })

const world = address
  ? { address, stop: async () => {} }
  : await startWorld(join(root, 'data/screenshots'), { say: console.log })
const browser = await chromium.launch({ executablePath: chromiumProgram })
const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, locale: 'en-GB' })

async function settle() {
  await page.waitForLoadState('load')
  await page.evaluate(() => document.fonts.ready)
  await page.waitForFunction(
    () => document.querySelectorAll('[data-test="bar"]').length > 0 || !document.querySelector('.tide'),
  )
  await page.waitForTimeout(600)
}

async function watchIds() {
  const watches = await (await page.request.get(`${world.address}/api/watches`)).json()
  return new Map(watches.map(({ id, name }) => [name, id]))
}
async function openWatch(name, view = 'said') {
  const id = (await watchIds()).get(name)
  await page.goto(`${world.address}/watch?watch=${id}&view=${view}`)
}

const shots = {
  async today() {
    await page.goto(`${world.address}/today`)
    await page.locator('[data-test="unusual"][aria-busy="false"]').waitFor()
  },
  async inbox() {
    await page.goto(`${world.address}/inbox`)
    await page.getByRole('textbox', { name: 'Write an answer' }).waitFor()
  },
  async 'week-ahead'() {
    await page.goto(`${world.address}/inbox/week-ahead`)
    await page.locator('[data-test="heat"]').waitFor()
    await page.getByRole('button', { name: 'One more person' }).click()
    await page.getByText('At these hours').waitFor()
  },
  async people() {
    await page.goto(`${world.address}/inbox/people?visited=yes&time=last-90`)
    await page.locator('article').waitFor()
  },
  async 'follow-ups'() {
    await page.goto(`${world.address}/inbox/follow-ups?whose=anybody`)
    await page.locator('[data-test="follow-up"]').first().waitFor()
  },
  async places() {
    await page.goto(`${world.address}/set-up/places`)
    await page.getByRole('heading', { name: 'Brand and due times' }).waitFor()
  },
  async watch() {
    await openWatch('Storm Petrel')
    await page.locator('[data-test="phrase"]').first().waitFor()
  },
  async 'watch-mentions'() {
    await openWatch('Skerrivane', 'mentions')
    await page.locator('[data-test="mention"]').first().waitFor()
  },
  async 'watch-figures'() {
    await openWatch('Skerrivane', 'figures')
    await page.locator('[data-test="volume-bar"]').first().waitFor()
  },
  async 'watch-spikes'() {
    await openWatch('Storm Petrel', 'spikes')
    await page.locator('[data-test="spike"]').first().waitFor()
  },
  async 'watch-tuner'() {
    await openWatch('Skerrivane')
    await page.getByRole('button', { name: 'Tune', exact: true }).click()
    await page.getByRole('button', { name: 'Try it' }).click()
    await page.locator('[data-test="sample"]').focus()
    const rows = page.locator('[data-test="sample"] [role="listitem"]')
    for (let i = 0; i < 16; i++)
      await page.keyboard.press(
        /knit|wool|yarn|needle|verse|choir|song|tune|fiddle|melody/i.test(await rows.nth(i).innerText())
          ? 'n'
          : 'y',
      )
    await page.getByRole('button', { name: 'Try it' }).click()
    await page.locator('[data-test="verdict"]').scrollIntoViewIfNeeded()
  },
  async 'watch-compare'() {
    await openWatch('Storm Petrel')
    await page.getByRole('button', { name: 'Compare', exact: true }).click()
    await page.getByRole('heading', { level: 3 }).first().waitFor()
  },
  async 'watch-side-by-side'() {
    const ids = await watchIds()
    const columns = ['Storm Petrel', 'Grey Heron', 'Maren'].map((name) => ids.get(name)).join(',')
    await page.goto(`${world.address}/watch/side-by-side?columns=${columns}`)
    await page.locator('[data-test="mention"]').first().waitFor()
  },
  async 'watch-rivals'() {
    await page.goto(`${world.address}/watch/rivals`)
    await page.locator('[data-test="public-side"]').first().waitFor()
  },
  async 'watch-alert'() {
    const ids = await watchIds()
    await page.goto(`${world.address}/watch/alerts?new=&lens=watch%3D${ids.get('Storm Petrel')}`)
    await page.getByRole('button', { name: 'Test on past data' }).click()
    await page.locator('[data-test="alert-trial"]').waitFor()
  },
  async 'watch-teach'() {
    await page.goto(`${world.address}/watch/teach`)
    await page.getByLabel('Try a sentence').fill('The boat was late again but Ness was an angel')
    await page.getByRole('button', { name: 'Check' }).click()
    await page.locator('[data-test="reading"]').waitFor()
  },
  /** The box on the ferry company's own site, with an answer that the team has just given. */
  async chat() {
    const site = `http://127.0.0.1:${(world.standins ?? 4700) + 12}`
    await page.goto(`${site}/fares`)
    await page.getByRole('button', { name: 'Write to us' }).click()
    const text = 'Does a tandem count as one bicycle?'
    await page.getByLabel('Your message').fill(text)
    await page.keyboard.press('Enter')
    const ask = (path, body) =>
      page.request.fetch(`${world.address}/api/${path}`, {
        method: body ? 'POST' : 'GET',
        headers: { origin: world.address },
        data: body,
      })
    let row
    while (!row) {
      const { rows } = await (await ask('entries?unit=entries&channel=chat&state=open&limit=50')).json()
      row = rows.find((each) => each.text === text)
    }
    const answer = 'It does, and it stands at the front of the rack.'
    const draft = { text: answer, key: randomUUID(), edition: 0, anyway: true }
    await ask(`threads/${row.threadId}/replies`, draft)
    await page.getByText(answer).waitFor()
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
    await page.getByRole('button', { name: /^Import \d/ }).waitFor()
  },
}

const wanted = process.argv.slice(2)
await page.goto(`${world.address}/sign-in`)
await page.getByLabel('E-mail address').fill('ivo@skerrivane.example')
await page.getByLabel('Password', { exact: true }).fill('sound-of-orrin')
await page.getByRole('button', { name: 'Sign in' }).click()
await page.waitForURL(/today/)
for (const [name, go] of Object.entries(shots)) {
  if (wanted.length && !wanted.includes(name)) continue
  await go()
  await settle()
  await page.screenshot({ path: join(folder, `${name}.png`), animations: 'disabled' })
  console.log(name)
}
await browser.close()
await world.stop()
process.exit(0)
