import { expect, test } from '@playwright/test'
import { address, signIn } from './support/world.ts'

/** Compressed JavaScript until a section stands there, at most: kB of 1,000 bytes. */
const most = 350

for (const [section, path, shown] of [
  ['the inbox', '/inbox', '.reading-column'],
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
