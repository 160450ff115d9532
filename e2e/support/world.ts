import AxeBuilder from '@axe-core/playwright'
import { expect, type Page } from '@playwright/test'

export const address = process.env.E2E_ADDRESS ?? ''
const first = Number(process.env.E2E_STANDINS ?? 0)
export const lanternpage = `http://127.0.0.1:${first}`
export const wherabout = `http://127.0.0.1:${first + 1}`
export const press = `http://127.0.0.1:${first + 2}`
/** Skimmer, Framelet, Reelbarn, Talkstead. */
export const openNets = [3, 4, 5, 6].map((i) => `http://127.0.0.1:${first + i}`)
/** The ferry company's own site. */
export const ferrysite = `http://127.0.0.1:${first + 12}`
export const textmast = `http://127.0.0.1:${first + 10}`
export const mailroom = `http://127.0.0.1:${first + 7}`

export async function signIn(
  page: Page,
  who: 'tamsin' | 'ivo' | 'wynn' | 'rowan' | 'ness' = 'ivo',
): Promise<void> {
  await page.goto(`${address}/sign-in?to=/inbox`)
  // In whichever language the page speaks.
  await page.locator('#email').fill(`${who}@skerrivane.example`)
  await page.locator('#password').fill('sound-of-orrin')
  await page.locator('form button[type="submit"]').click()
  await expect(page).toHaveURL(/^[^?]*\/inbox/)
}

/** The count beside the lens, as a number. */
export async function countOf(page: Page): Promise<number> {
  const text = await page.getByTestId('count').innerText()
  return Number((/^[\d,]+/.exec(text)?.[0] ?? '-1').replace(/,/g, ''))
}

export async function settledCount(page: Page, wanted: (count: number) => boolean): Promise<number> {
  await expect.poll(async () => wanted(await countOf(page))).toBe(true)
  return countOf(page)
}

/** Whatever is asked of the page, in the time a customer writes on a network. */
export async function asCustomer(path: string, form: Record<string, string>): Promise<void> {
  const answer = await fetch(path, { method: 'POST', body: new URLSearchParams(form), redirect: 'manual' })
  expect(answer.status).toBe(303)
}

/** No barrier that axe finds, by WCAG 2.2 AA. @param within a part of the page; what it covers half is not looked at then */
export async function accessible(page: Page, within?: string): Promise<void> {
  const whole = new AxeBuilder({ page })
  const { violations } = await (within ? whole.include(within) : whole)
    .withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'])
    .analyze()
  expect(
    violations.map(
      (v) =>
        `${v.id}: ${v.nodes
          .map((n) => n.target.join(' '))
          .slice(0, 3)
          .join(' | ')}`,
    ),
  ).toEqual([])
}
