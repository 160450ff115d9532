import { expect, test, type Page } from '@playwright/test'
import { screens } from './support/screens.ts'
import { accessible, address, signIn } from './support/world.ts'

/** What is cut off at the side of the page and cannot be scrolled to: a control, or words. */
const lostOn = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const lost: string[] = []
    const width = document.documentElement.clientWidth
    if (document.documentElement.scrollWidth > width + 1) lost.push('the page scrolls sideways')
    const scrolls = (element: Element | null): boolean =>
      element !== null &&
      (/auto|scroll/.test(getComputedStyle(element).overflowX) || scrolls(element.parentElement))
    // What is read aloud only is a pixel wide.
    for (const element of document.querySelectorAll(
      'a, button, input, select, textarea, h1, h2, p, li, td',
    )) {
      const { left, right, width: own } = element.getBoundingClientRect()
      if (own <= 1 || !element.checkVisibility({ visibilityProperty: true, opacityProperty: true })) continue
      if ((right > width + 1 || left < -1) && !scrolls(element.parentElement))
        lost.push(`${element.tagName} ${element.className}: ${element.textContent.trim().slice(0, 40)}`)
    }
    return lost
  })

const settled = (page: Page) => expect(page.getByTestId('shapes')).toHaveCount(0)

test.describe('in the dark, and in French', () => {
  test.use({ locale: 'fr-FR', colorScheme: 'dark' })
  test('no screen has a barrier', async ({ page }) => {
    test.setTimeout(120_000)
    await signIn(page, 'wynn')
    for (const path of await screens(page)) {
      await page.goto(`${address}${path}`)
      await settled(page)
      await test.step(path, () => accessible(page))
    }
  })
})

test.describe('at twice the size', () => {
  // A window of 1280 by 800, of which a page that is twice as large has half each way.
  test.use({ viewport: { width: 640, height: 400 } })
  test('nothing is lost at the side of any screen', async ({ page }) => {
    test.setTimeout(120_000)
    await signIn(page, 'wynn')
    for (const path of await screens(page)) {
      await page.goto(`${address}${path}`)
      await settled(page)
      await test.step(path, () => expect.poll(() => lostOn(page)).toEqual([]))
    }
  })

  test('what is above scrolls away, and an answer is written below what it answers', async ({ page }) => {
    await signIn(page, 'wynn')
    await page.goto(`${address}/inbox?state=any&given=anybody&time=last-90`)
    await page.locator('[data-thread]').first().click()
    await page.getByRole('textbox', { name: 'Write an answer' }).focus()
    const words = await page.locator('.reading-column .scroll').boundingBox()
    expect(words!.height).toBeGreaterThan(90)
    expect(words!.y).toBeGreaterThanOrEqual(-1)
  })

  test('sheets of answers fit, and end where one can reach it', async ({ page }) => {
    await signIn(page, 'wynn')
    await page.goto(`${address}/set-up/replies`)
    for (const name of ['New pattern', 'New sign-off']) {
      await page.getByRole('button', { name }).click()
      const sheet = page.getByRole('dialog')
      await expect(sheet).toBeVisible()
      await expect.poll(() => lostOn(page)).toEqual([])
      await accessible(page)
      await page.keyboard.press('Escape')
      await expect(sheet).toBeHidden()
    }
  })
})
