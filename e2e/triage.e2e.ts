import { expect, test } from '@playwright/test'
import { accessible, address, asCustomer, lanternpage, settledCount, signIn } from './support/world.ts'

test.describe.configure({ mode: 'serial' })

const write = (name: string, content: string) =>
  asCustomer(`${lanternpage}/pages/skerrivane/messages`, { name, content })

test('a pitch is put aside by key with its copy, and comes back with it; one thread is put before others', async ({
  page,
}) => {
  const pitch =
    'We paint the hulls of kestrel boats in your colours, for half of what you pay today, and the first hull costs you nothing at all. Shall we talk?'
  await write('Hull Painters', pitch)
  await write('Hull Painters Two', `Dear captain, ${pitch}`)
  await write('Sorrel Vane', 'Does the kestrel tour go on Sunday?')
  await signIn(page, 'tamsin')
  await page.goto(`${address}/inbox?words=kestrel&given=anybody&order=newest`)
  await settledCount(page, (n) => n === 3)
  await page
    .locator('.list')
    .getByRole('button', { name: /Hull Painters Two/ })
    .click()
  await expect(page.locator('.reading-column')).toContainText('Dear captain')
  await page.keyboard.press('m')
  // What the menu covers half is no smaller for that.
  await accessible(page, '[role="menu"]')
  await page.getByRole('menuitem', { name: 'Spam', exact: true }).click()
  await expect(page.getByText('Put aside as spam. 1 more is like it.')).toBeVisible()
  await settledCount(page, (n) => n === 1)

  // Where it lies, and why.
  await page.getByRole('button', { name: 'Lenses' }).click()
  await page.getByRole('link', { name: 'Spam', exact: true }).click()
  await settledCount(page, (n) => n >= 2)
  await page
    .locator('.list .row')
    .filter({ hasText: 'Hull Painters', hasNotText: 'Hull Painters Two' })
    .click()
  await expect(page.getByTestId('spam')).toContainText('nearly those of a thread that was marked')
  await accessible(page)
  await page.getByTestId('spam').getByRole('button', { name: 'No spam' }).click()
  await expect(page.getByText('Back among the open threads')).toBeVisible()

  await page.goto(`${address}/inbox?words=kestrel&given=anybody&order=newest`)
  await settledCount(page, (n) => n === 2)
  await page
    .locator('.list')
    .getByRole('button', { name: /Sorrel Vane/ })
    .click()
  await expect(page.locator('.reading-column')).toContainText('go on Sunday')
  await page.keyboard.press('m')
  await page.getByRole('menuitem', { name: 'Highest priority' }).click()
  await expect(page.getByText('Priority changed', { exact: true })).toBeVisible()
  await expect(page.locator('.list').getByRole('button', { name: /Sorrel Vane/ })).toContainText('highest')

  // An emoji is found by its name, and stands where the cursor was.
  const answer = page.getByRole('textbox', { name: 'Write an answer' })
  await answer.fill('It does.')
  await page.getByTestId('emoji').click()
  const search = page.locator('emoji-picker').getByRole('combobox')
  await expect(search).toBeFocused()
  await page.keyboard.type('anchor')
  await page
    .locator('emoji-picker')
    .getByRole('option', { name: /anchor/i })
    .first()
    .click()
  await expect(answer).toBeFocused()
  await expect(answer).toHaveValue(/^It does\.⚓/u)
  await answer.fill('')
})

test('at the end of a shift what is left goes to a colleague, with why', async ({ page, browser }) => {
  await write('Ottilie Reed', 'Where can I collect the osprey print?')
  await write('Bram Reed', 'Is the osprey print framed?')
  await signIn(page, 'tamsin')
  await page.goto(`${address}/inbox?words=osprey&given=anybody&order=newest`)
  await settledCount(page, (n) => n === 2)
  await expect(page.locator('.list').getByRole('button', { name: /Bram Reed/ })).toBeVisible()
  await page.keyboard.press('x')
  await page.keyboard.press('j')
  await expect(page.locator('.reading-column')).toContainText('collect the osprey')
  await page.keyboard.press('x')
  await page.getByRole('toolbar').getByRole('button', { name: 'More' }).click()
  await page.getByRole('menuitem', { name: 'Hand over' }).click()
  const sheet = page.getByRole('dialog', { name: 'Hand over what is left' })
  await sheet.getByRole('button', { name: 'To whom?' }).first().click()
  await page.getByRole('menuitem', { name: 'Wynn Adair' }).click()
  await sheet.getByLabel('Why the thread of Ottilie Reed is left').fill('Waits for the framer')
  await sheet.getByLabel('A word on all of them').fill('Both prints are in the office.')
  await accessible(page)
  await sheet.getByRole('button', { name: 'Hand over 2 threads' }).click()
  await expect(page.getByText('2 threads handed over.')).toBeVisible()

  const other = await (
    await browser.newContext({ viewport: { width: 1280, height: 800 }, locale: 'en-GB' })
  ).newPage()
  await signIn(other, 'wynn')
  await other.goto(`${address}/inbox?words=osprey&given=me&order=newest`)
  await settledCount(other, (n) => n === 2)
  await other
    .locator('.list')
    .getByRole('button', { name: /Ottilie Reed/ })
    .click()
  await expect(other.getByTestId('handed-over')).toContainText('Tamsin Kerr handed this over to Wynn Adair')
  await expect(other.getByTestId('handed-over')).toContainText('Waits for the framer')
  await expect(other.getByTestId('handed-over')).toContainText('Both prints are in the office.')
  await accessible(other)

  // Taken back, they are as they were.
  await page.keyboard.press('u')
  await expect(page.getByText('Undone', { exact: true })).toBeVisible()
  await other.goto(`${address}/inbox?words=osprey&given=nobody`)
  await settledCount(other, (n) => n === 2)
})

test('how one hears of what, and how much a row shows, is one’s own choice', async ({ page }) => {
  await signIn(page, 'tamsin')
  await page.goto(`${address}/set-up/account`)
  const choices = page.getByTestId('notice-choices')
  await choices.getByLabel('a thread is assigned to me: Mail').check()
  await page.getByText('A quiet time: nothing on the desktop, no mail').click()
  await page.getByLabel('Until').fill('06:30')
  await accessible(page)
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByText('Notices changed.')).toBeVisible()
  await page.reload()
  await expect(choices.getByLabel('a thread is assigned to me: Mail')).toBeChecked()
  await expect(page.getByLabel('Until')).toHaveValue('06:30')

  await page.goto(`${address}/inbox?state=any&given=anybody&time=all`)
  const row = page.locator('.list .row').first()
  const height = async () => (await row.boundingBox())!.height
  await expect.poll(height).toBe(75)
  for (const [name, pixels] of [
    ['Compact rows', 57],
    ['Roomy rows', 111],
  ] as const) {
    await page.getByRole('button', { name: 'Your menu' }).click()
    await page.getByRole('menuitem', { name }).click()
    await expect.poll(height).toBe(pixels)
  }
  await page.reload()
  await expect.poll(height).toBe(111)
})
