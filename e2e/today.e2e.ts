import { expect, test } from '@playwright/test'
import { accessible, address, asCustomer, lanternpage, signIn } from './support/world.ts'

test('the day begins: what is due is done from here and taken back, a line is noted and ticked, and it comes by mail', async ({
  page,
}) => {
  for (const name of ['Orla Penhale', 'Severin Locke'])
    await asCustomer(`${lanternpage}/pages/skerrivane/messages`, {
      name,
      content: `Is there a lift to the car deck for a wheelchair? ${name}`,
    })
  await signIn(page, 'tamsin')
  await page.goto(`${address}/today`)
  // The strip is there also for whoever looked within the day.
  await expect(page.getByTestId('bar').first()).toBeVisible()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/, since /)
  await expect(page.getByTestId('unusual')).toHaveAttribute('aria-busy', 'false')
  await accessible(page)
  const due = page.getByTestId('due')
  const first = due.first()
  const author = await first.locator('b').innerText()
  const waiting = async () =>
    Number(/(\d+) threads? waits? for you/.exec(await page.getByTestId('sum').innerText())?.[1])
  const before = await waiting()
  await first.getByRole('button', { name: 'Finish' }).click()
  await expect.poll(waiting).toBe(before - 1)
  await page.getByRole('button', { name: /^Undo/ }).click()
  await expect.poll(waiting).toBe(before)
  await expect(due.first().locator('b')).toHaveText(author)
  // A line of one's own.
  const list = page.getByTestId('own-list')
  await list.getByLabel('Add a line').fill('Call the harbour office')
  await list.getByLabel('Add a line').press('Enter')
  await list.getByRole('checkbox', { name: 'Call the harbour office' }).check()
  await page.reload()
  await expect(list.getByRole('checkbox', { name: 'Call the harbour office' })).toBeChecked()
  await list.getByRole('button', { name: 'Remove “Call the harbour office”' }).click()
  await expect(list.getByRole('checkbox')).toHaveCount(0)
  await page.getByRole('button', { name: 'Send to me each morning' }).click()
  await page.getByLabel('At, where the brand is').fill('07:15')
  await page.getByRole('button', { name: 'Send it' }).click()
  await expect(page.getByRole('button', { name: 'Sent to you at 07:15' })).toBeVisible()
  // The door of a line leads to its thread.
  await due.first().getByRole('link').click()
  await expect(page.locator('.reading-column')).toContainText(author)
})

test('the week ahead is simulated, and one more is tried at the hours that help most', async ({ page }) => {
  await signIn(page, 'ivo')
  await page.getByRole('link', { name: 'The week ahead' }).click()
  // As much as has been answered in this world tells it, or the page says that it is too little.
  await expect(page.getByTestId('few').or(page.getByTestId('heat'))).toBeVisible()
  await expect(page.getByTestId('team-table')).toContainText('Tamsin Kerr')
  await accessible(page)
  // As if there had been more: four questions an hour by day, one who answers until noon.
  await page.route('**/api/week-ahead', async (route) => {
    const answer = await route.fetch()
    const week = (await answer.json()) as { start: string; inputs: object; measured: number }
    const first = new Date(week.start).getUTCHours()
    const byHour = (of: (clock: number) => number) =>
      Array.from({ length: 168 }, (_, i) => of((first + i) % 24))
    week.inputs = {
      arrivals: byHour((clock) => (clock >= 8 && clock < 20 ? 4 : 0.2)),
      types: [{ weight: 1, dueMs: Array.from({ length: 169 }, (_, i) => (i + 3) * 3_600_000) }],
      people: [{ presence: byHour((clock) => (clock >= 8 && clock < 13 ? 1 : 0)) }],
      serviceMs: [300_000, 420_000, 600_000, 240_000, 900_000, 360_000, 300_000, 480_000],
      openDueMs: [3_600_000],
    }
    week.measured = 8
    await route.fulfill({ json: week })
  })
  await page.reload()
  await expect(page.getByTestId('heat')).toBeVisible()
  const [planned] = await page.getByTestId('forecast').all()
  await expect(planned!).toContainText(/\d+% late \d+–\d+/)
  await accessible(page)
  await page.getByRole('button', { name: 'One more person' }).click()
  await expect(page.getByText('At these hours')).toBeVisible()
  const tried = page.getByTestId('forecast').nth(1)
  await expect(tried).toContainText('the hours that help most')
  const late = async (figure: typeof tried) => Number(/(\d+)% late/.exec(await figure.innerText())?.[1])
  expect(await late(tried)).toBeLessThanOrEqual(await late(planned!))
  await page.getByRole('button', { name: 'Twice the arrivals' }).click()
  await expect(tried).toContainText('With twice the arrivals and one more')
  await expect(tried).toContainText(/\d+% late \d+–\d+/)
  await page.getByRole('button', { name: 'One more person' }).click()
  await page.getByRole('button', { name: 'Twice the arrivals' }).click()
  await expect(page.getByText('Nothing tried')).toBeVisible()
})
