import { expect, test, type Page } from '@playwright/test'
import { address, asCustomer, lanternpage, settledCount, signIn } from './support/world.ts'

/** As many as the demo has on a morning. */
const threads = 47

/** What is done with one, by key alone; the mouse is never touched. Each takes so many threads off the list. */
const ways: { takes: number; act: (page: Page) => Promise<void> }[] = [
  {
    takes: 1,
    async act(page) {
      await page.keyboard.press('w')
      await expect(page.getByRole('textbox', { name: 'Write an answer' })).toBeFocused()
      await page.keyboard.type('Yes, the puffin boat sails at that hour.')
      await page.keyboard.press('Control+Enter')
    },
  },
  { takes: 1, act: (page) => page.keyboard.press('f') },
  {
    takes: 1,
    async act(page) {
      await page.keyboard.press('s')
      await chooseItem(page, 'Until they write')
    },
  },
  {
    takes: 1,
    async act(page) {
      await page.keyboard.press('g')
      await chooseItem(page, 'Wynn Adair')
      // What is somebody else's stays on the screen until one goes on.
      await expect(page.getByRole('button', { name: /^Wynn Adair/ })).toBeVisible()
      await page.keyboard.press('j')
    },
  },
  {
    takes: 1,
    async act(page) {
      await page.keyboard.press('m')
      await chooseItem(page, 'Spam')
    },
  },
  {
    takes: 2,
    async act(page) {
      await page.keyboard.press('x')
      await page.keyboard.press('j')
      await expect(page.locator('.list .row').nth(1)).toHaveAttribute('aria-current', 'true')
      await page.keyboard.press('x')
      await expect(page.getByText('2 selected')).toBeVisible()
      await page.keyboard.press('f')
    },
  },
]

/** The item of the open menu, reached by arrow keys. */
async function chooseItem(page: Page, name: string): Promise<void> {
  const item = page.getByRole('menuitem', { name, exact: true })
  await expect(item).toBeVisible()
  // The menu has the focus before anything is pressed.
  await expect(page.locator('[role="menuitem"]:focus')).toHaveCount(1)
  for (let i = 0; i < 12; i++) {
    if (await item.evaluate((element) => element === document.activeElement)) break
    await page.keyboard.press('ArrowDown')
  }
  await expect(item).toBeFocused()
  await page.keyboard.press('Enter')
}

test('47 threads are cleared by key alone: answered, finished, set aside, assigned, put aside, two at once', async ({
  page,
}) => {
  test.slow()
  for (let i = 0; i < threads; i++)
    await asCustomer(`${lanternpage}/pages/skerrivane/messages`, {
      name: `Guest ${String(i + 1).padStart(2, '0')}`,
      content: `Does the puffin boat sail at ${8 + (i % 9)}:${String((i * 7) % 60).padStart(2, '0')}?`,
    })
  await signIn(page, 'tamsin')
  await page.goto(`${address}/inbox?words=puffin`)
  let left = await settledCount(page, (n) => n === threads)
  const done = ways.map(() => 0)
  for (let i = 0; left > 0; i++) {
    const { takes, act } = ways[i % ways.length]!
    if (takes > left) continue
    // The next one is open by itself, and it is the first of the list.
    const first = page.locator('.list .row').first()
    await expect(first).toHaveAttribute('aria-current', 'true')
    const author = (await first.locator('b').textContent())!
    await expect(page.locator('.reading-column')).toContainText(author)
    await act(page)
    left -= takes
    done[i % ways.length]! += takes
    await settledCount(page, (n) => n === left)
  }

  // Nothing was lost, and nothing done twice: each is where it was put.
  const count = async (query: string) => {
    const asked = `${address}/api/entries/count?unit=threads&words=puffin&${query}`
    return ((await (await page.request.get(asked)).json()) as { count: number }).count
  }
  const [answered, finished, aside, assigned, spam, together] = done as [
    number,
    number,
    number,
    number,
    number,
    number,
  ]
  expect(answered + finished + aside + assigned + spam + together).toBe(threads)
  expect(await count('state=aside')).toBe(aside)
  expect(await count('spam=only')).toBe(spam)
  expect(await count('state=open')).toBe(assigned)
  expect(await count('state=done&spam=without')).toBe(answered + finished + together)
  await expect
    .poll(async () => {
      const { rows } = (await (
        await page.request.get(`${address}/api/entries?unit=threads&words=puffin&state=done&limit=200`)
      ).json()) as { rows: { threadId: number }[] }
      const whole = await Promise.all(
        rows.map(
          async ({ threadId }) =>
            (await (await page.request.get(`${address}/api/threads/${threadId}`)).json()) as {
              entries: { direction: string; action: { state: string } | null }[]
            },
        ),
      )
      return whole.flatMap(({ entries }) => entries.filter((e) => e.action?.state === 'sent')).length
    })
    .toBe(answered)
})
