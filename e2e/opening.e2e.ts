import { expect, test } from '@playwright/test'
import { address, signIn } from './support/world.ts'

/** Compressed JavaScript until a section stands there, at most: kB of 1,000 bytes. */
const most = 350

for (const [section, path, shown] of [
  ['the inbox', '/inbox', '.reading-column .scroll'],
  ['people', '/inbox/people', 'main'],
  ['follow-ups', '/inbox/follow-ups', 'main'],
  ['a watch', '/watch', '[data-test="mention"], main'],
  ['the set-up', '/set-up/profiles', 'main h1'],
] as const)
  test(`${section} comes with less than ${most} kB of JavaScript`, async ({ page, context }) => {
    await signIn(page, 'tamsin')
    // A browser that has seen nothing of it yet.
    const session = await context.newCDPSession(page)
    await session.send('Network.enable')
    await session.send('Network.setCacheDisabled', { cacheDisabled: true })
    const scripts = new Set<string>()
    let bytes = 0
    const ids = new Map<string, string>()
    session.on('Network.responseReceived', ({ requestId, response }) => {
      if (/\.js$/.test(new URL(response.url).pathname)) ids.set(requestId, response.url)
    })
    session.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
      const url = ids.get(requestId)
      if (!url || scripts.has(url)) return
      scripts.add(url)
      bytes += encodedDataLength
    })
    await page.goto(`${address}${path}`)
    await expect(page.locator(shown).first()).toBeVisible()
    await page.waitForLoadState('load')
    console.log(`${section}: ${Math.round(bytes / 1000)} kB in ${scripts.size} files`)
    expect(scripts.size).toBeGreaterThan(3)
    expect(bytes / 1000).toBeLessThan(most)
  })

interface Watched {
  /** With every frame: how many rows stand there, and whether the application is not there yet. */
  frames: { rows: number; drawn: boolean }[]
  /** What was clicked in the first frame that had it. */
  third: { thread: string | undefined; drawn: boolean } | null
}

/** Runs in the page before anything else: a click from outside would come too late where the machine is busy. */
const clickTheThird = () => {
  const watched: Watched = { frames: [], third: null }
  Object.assign(window, { watched })
  const look = () => {
    const app = document.getElementById('app')
    const rows = document.querySelectorAll<HTMLElement>('[data-thread]')
    const drawn = app !== null && !('__vue_app__' in app)
    watched.frames.push({ rows: rows.length, drawn })
    if (!watched.third && rows[2] && 'early' in window) {
      watched.third = { thread: rows[2].dataset.thread, drawn }
      rows[2].click()
    }
    requestAnimationFrame(look)
  }
  look()
}

test('a slow machine shows the list at once, and never without rows again; what is clicked and pressed meanwhile is done', async ({
  page,
  context,
}) => {
  await signIn(page, 'tamsin')
  await page.addInitScript(clickTheThird)
  const session = await context.newCDPSession(page)
  await session.send('Emulation.setCPUThrottlingRate', { rate: 6 })
  await page.goto(`${address}/inbox?state=any&given=anybody&time=all&order=newest`, { waitUntil: 'commit' })
  const watched = () => page.evaluate(() => (window as unknown as { watched: Watched }).watched)
  await expect.poll(async () => (await watched()).third).not.toBeNull()
  const { thread, drawn } = (await watched()).third!
  expect(drawn).toBe(true)
  await expect(page).toHaveURL(new RegExp(`/inbox/${thread}\\b`))
  await expect(page.locator(`[data-thread="${thread}"][aria-current="true"]`)).toBeVisible()
  const { frames } = await watched()
  const first = frames.findIndex(({ rows }) => rows > 0)
  expect(frames[first]!.drawn).toBe(true)
  expect(frames.at(-1)!.drawn).toBe(false)
  expect(frames.slice(first).filter(({ rows }) => !rows)).toEqual([])
})

test('without any script the first screen says the same as with it', async ({ page, browser }) => {
  await signIn(page, 'tamsin')
  const bare = await browser.newContext({
    javaScriptEnabled: false,
    locale: 'en-GB',
    viewport: { width: 1280, height: 800 },
    storageState: await page.context().storageState(),
  })
  const other = await bare.newPage()
  // A look back that nothing new falls into.
  const path = `${address}/inbox?state=any&given=anybody&order=newest&kind=review`
  await page.goto(path)
  await expect(page.locator('.reading-column .scroll')).toBeVisible()
  await other.goto(path)
  const seen = 6
  const rowsOf = async (of: typeof page) => (await of.locator('[data-thread]').allInnerTexts()).slice(0, seen)
  expect(await rowsOf(other)).toEqual(await rowsOf(page))
  expect(await rowsOf(other)).toHaveLength(seen)
  for (const part of ['.lens', '[data-test="tide"], .tide .strip'])
    expect(await other.locator(part).first().boundingBox(), part).toEqual(
      await page.locator(part).first().boundingBox(),
    )
  await bare.close()
})
