import { expect, test, type Page } from '@playwright/test'
import { accessible, address, asCustomer, lanternpage, settledCount, signIn } from './support/world.ts'

test.describe.configure({ mode: 'serial' })

const writer = (page: Page) => page.getByRole('textbox', { name: 'Write an answer' })
const write = (name: string, content: string) =>
  asCustomer(`${lanternpage}/pages/skerrivane/messages`, { name, content })
/** The one thread with this word. */
async function openThread(page: Page, word: string): Promise<void> {
  await page.goto(`${address}/inbox?words=${word}&given=anybody`)
  await settledCount(page, (n) => n === 1)
  // What comes in while a page stands there is not opened by itself.
  await page.reload()
  await expect(page.locator('.reading-column')).toContainText(word)
}

test('a pattern is written down with its slots; what is wrong with it stands at its text', async ({
  page,
}) => {
  await signIn(page, 'tamsin')
  await page.goto(`${address}/set-up/replies`)
  await page.getByRole('button', { name: 'New pattern' }).click()
  const sheet = page.getByRole('dialog')
  await sheet.getByLabel('Name', { exact: true }).fill('Sledges')
  await sheet.getByLabel('Folder').fill('Winter')
  const text = sheet.getByLabel('Text', { exact: true })
  await text.fill('Hello ')
  await sheet.getByRole('button', { name: 'name', exact: true }).click()
  await text.press('End')
  await text.pressSequentially(', sledges travel free, {qay|on deck}.')
  await sheet.getByRole('button', { name: 'Save' }).click()
  await expect(sheet.getByRole('alert')).toContainText('There is no slot "qay"')
  await text.fill('Hello {name|there}, sledges travel free; leave yours {place|by the ramp}.')
  await expect(sheet.getByTestId('reads-known')).toContainText('Hello Perrin, sledges')
  await expect(sheet.getByTestId('reads-bare')).toHaveText(
    'Hello there, sledges travel free; leave yours by the ramp.',
  )
  await accessible(page)
  await sheet.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByTestId('pattern').filter({ hasText: 'Sledges' })).toContainText(
    'not sent in 180 days',
  )
  await page.getByRole('button', { name: 'New sign-off' }).click()
  await page.getByRole('dialog').getByLabel('What stands under an answer').fill('Tamsin, the winter desk')
  await page.getByRole('dialog').getByRole('button', { name: 'Save' }).click()
  await expect(page.getByTestId('signed-by').filter({ hasText: 'the winter desk' })).toBeVisible()
  await accessible(page)
})

test('it is found by typing, fills itself in, and goes out later or not at all', async ({ page }) => {
  await write('Isolde Farrow', 'Where may I leave my sledge?')
  await signIn(page, 'tamsin')
  await openThread(page, 'sledge')
  await page.keyboard.press('p')
  const starts = page.getByTestId('starts')
  await starts.getByLabel('Find a pattern').fill('sled')
  await expect(starts.getByTestId('start-text')).toHaveText(/^Hello Isolde, sledges travel free/)
  await accessible(page, '[data-test="starts"]')
  await page.keyboard.press('Enter')
  await expect(writer(page)).toHaveValue(/^Hello Isolde, sledges travel free/)
  await page.getByTestId('sign-off').click()
  await page.getByRole('menuitem', { name: 'Tamsin, the winter desk' }).click()
  await expect(page.getByTestId('sign-off')).toHaveText('Tamsin, the winter desk')
  await page.getByRole('button', { name: 'Send later' }).click()
  await page.getByRole('menuitem', { name: 'Tomorrow, 9:00' }).click()
  await settledCount(page, (n) => n === 0)
  await page.goto(`${address}/inbox?words=sledge&given=anybody&state=any`)
  await settledCount(page, (n) => n === 1)
  await expect(page.getByTestId('action')).toContainText('If they write before that, it is held')
  await page.getByRole('button', { name: 'Withdraw' }).click()
  await expect(writer(page)).toHaveValue(/^Hello Isolde, sledges travel free/)
})

test('what was answered before is offered where the same is asked again', async ({ page }) => {
  await signIn(page, 'tamsin')
  await openThread(page, 'sledge')
  await writer(page).fill('')
  await page.keyboard.press('Escape')
  await page.keyboard.press('p')
  await page.getByTestId('starts').getByLabel('Find a pattern').fill('sled')
  await expect(page.getByTestId('start-text')).toHaveText(/^Hello Isolde/)
  await page.keyboard.press('Enter')
  // The one who signed with it is offered it again.
  await expect(page.getByTestId('sign-off')).toHaveText('Tamsin, the winter desk')
  await page.getByRole('button', { name: /^Send and finish/ }).click()
  await settledCount(page, (n) => n === 0)
  await page.goto(`${address}/inbox?words=sledge&given=anybody&state=any`)
  await expect(page.getByTestId('action')).toHaveText('sent')
  await expect(page.locator('.reading-column')).toContainText('the winter desk')
  await write('Corvin Ashdown', 'Can I leave a toboggan or a sledge somewhere on the ferry?')
  await openThread(page, 'toboggan')
  await page.keyboard.press('p')
  const starts = page.getByTestId('starts')
  await starts.getByRole('option', { name: /Where may I leave my sledge/ }).click()
  await expect(writer(page)).toHaveValue(/^Hello Corvin, sledges travel free; leave yours [^]*\.$/)
})
