import { fileURLToPath } from 'node:url'
import { chromium, type Browser, type BrowserContext, type Page } from '@playwright/test'
import { chromiumProgram } from '../scripts/lib/setup.mjs'
import { percentile, type Figure } from './lib/measure.ts'

const rounds = 5
const row = '[data-thread]'
const mention = '[data-test="mention"]'

/** Puts `seen` and its likes into the page. */
const pageScript = { path: fileURLToPath(new URL('lib/watchPage.js', import.meta.url)) }

interface Took {
  ms: number
  longest: number
}

async function fresh(browser: Browser): Promise<{ context: BrowserContext; page: Page }> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, locale: 'en-GB' })
  await context.addInitScript(pageScript)
  return { context, page: await context.newPage() }
}

/** Milliseconds from pressing "Sign in" to the first row of the inbox. */
async function signInTo(page: Page, address: string): Promise<Took> {
  await page.goto(`${address}/sign-in?to=/inbox`)
  await page.getByLabel('E-mail address').fill('ivo@skerrivane.example')
  await page.getByLabel('Password', { exact: true }).fill('sound-of-orrin')
  await page.evaluate('window.longest = 0')
  await page.getByRole('button', { name: 'Sign in' }).click()
  return page.evaluate<Took>(`seenAfterPress('${row}')`)
}

/** Milliseconds from the address to the first of what is looked for. */
async function openTo(page: Page, address: string, selector: string): Promise<Took> {
  await page.goto(address, { waitUntil: 'commit' })
  return page.evaluate<Took>(`seen('${selector}')`)
}

/** Milliseconds from a key to what it shows, told by a text that changes. */
async function pressTo(page: Page, press: () => Promise<void>, selector: string): Promise<Took> {
  await page.evaluate(`watchText('${selector}')`)
  await press()
  return page.evaluate<Took>('change')
}

/** Milliseconds to the first row of the inbox, files kept, with a processor four times slower. */
async function slowly(context: BrowserContext, address: string): Promise<Took> {
  const page = await context.newPage()
  const devtools = await context.newCDPSession(page)
  await devtools.send('Emulation.setCPUThrottlingRate', { rate: 4 })
  const took = await openTo(page, `${address}/inbox`, row)
  await page.close()
  return took
}

async function settled(page: Page): Promise<void> {
  await page.waitForLoadState('networkidle').catch(() => {})
}

interface Series {
  name: string
  aim: string
  took: Took[]
}

/** What a person waits for, in Chromium on the demo data, on the cores the server runs on as well. */
export async function screenFigures(address: string): Promise<Figure[]> {
  const browser = await chromium.launch({ executablePath: chromiumProgram })
  const series: Record<string, Series> = {
    signIn: { name: 'sign in to the first row, nothing kept', aim: 'under 1.2 s', took: [] },
    inbox: { name: 'the inbox to the first row, files kept', aim: 'under 1.2 s', took: [] },
    slow: { name: 'the same at a quarter of the speed', aim: 'under 1 s', took: [] },
    cold: { name: 'a watch to its first mention, nothing kept', aim: 'under 1.5 s', took: [] },
    warm: { name: 'a watch to its first mention, files kept', aim: 'under 1.5 s', took: [] },
    lens: { name: 'a change of the lens', aim: 'under 300 ms', took: [] },
    thread: { name: 'the next thread', aim: 'under 100 ms', took: [] },
  }
  for (let round = 0; round < rounds; round++) {
    const { context, page } = await fresh(browser)
    series.signIn!.took.push(await signInTo(page, address))
    await settled(page)
    const state = await context.storageState()
    series.inbox!.took.push(await openTo(page, `${address}/inbox`, row))
    await settled(page)
    series.slow!.took.push(await slowly(context, address))
    for (let i = 0; i < 5; i++) {
      series.thread!.took.push(
        await pressTo(page, () => page.keyboard.press('j'), '.reading-column .lead, .reading-column article'),
      )
      await settled(page)
    }
    for (const state of ['Done', 'Open']) {
      await page.locator('[data-field="state"]').click()
      const option = page.locator('.el-popper').getByRole('button', { name: state, exact: true })
      series.lens!.took.push(await pressTo(page, () => option.click(), '[role="listitem"]'))
      await settled(page)
    }
    series.warm!.took.push(
      await openTo(page, `${address}/watch`, mention).catch(() => ({ ms: NaN, longest: 0 })),
    )
    await context.close()
    const other = await browser.newContext({ viewport: { width: 1280, height: 800 }, storageState: state })
    await other.addInitScript(pageScript)
    series.cold!.took.push(await openTo(await other.newPage(), `${address}/watch`, mention))
    await other.close()
  }
  await browser.close()
  return Object.values(series).map(({ name, aim, took }) => ({
    name,
    value: `${percentile(
      took.map((t) => t.ms),
      0.5,
    ).toFixed(0)} ms, slowest ${Math.max(...took.map((t) => t.ms)).toFixed(0)} ms`,
    baseline: `longest task ${Math.max(...took.map((t) => t.longest)).toFixed(0)} ms`,
    aim,
  }))
}
