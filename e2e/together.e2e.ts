import { expect, test, type Browser, type Page } from '@playwright/test'
import { accessible, address, asCustomer, lanternpage, settledCount, signIn } from './support/world.ts'

test.describe.configure({ mode: 'serial' })

/** The same thread, open before somebody else. */
async function asWell(browser: Browser, name: 'tamsin' | 'wynn' | 'ness', url: string): Promise<Page> {
  const page = await (
    await browser.newContext({ viewport: { width: 1280, height: 800 }, locale: 'en-GB' })
  ).newPage()
  await signIn(page, name)
  await page.goto(url)
  return page
}
const writer = (page: Page) => page.getByRole('textbox', { name: 'Write an answer' })

test('two at one thread: each sees the other, notes reach whom they name, and nobody answers twice without knowing', async ({
  page,
  browser,
}) => {
  await asCustomer(`${lanternpage}/pages/skerrivane/messages`, {
    name: 'Thessaly Crowhurst',
    content: 'May my cello travel in the saloon, and does it need a ticket?',
  })
  await signIn(page, 'tamsin')
  await page.goto(`${address}/inbox?words=cello&given=anybody`)
  await settledCount(page, (n) => n === 1)
  await expect(page.locator('.reading-column')).toContainText('my cello')
  const url = `${page.url().split('?')[0]}?given=anybody`
  const other = await asWell(browser, 'wynn', url)
  await expect(page.getByTestId('in-thread')).toHaveText('Wynn Adair is reading this')
  await expect(other.getByTestId('in-thread')).toHaveText('Tamsin Kerr is reading this')
  await writer(page).pressSequentially('Dear Thessaly, ')
  await expect(other.getByTestId('in-thread')).toHaveText('Tamsin Kerr is writing an answer here')
  await expect(other.getByRole('list', { name: 'Who else is here' })).toContainText('TK')

  // A note names only those who may see the thread; who is named has it in the bell, and has seen it with the thread.
  await page.keyboard.press('Escape')
  await page.keyboard.press('n')
  const text = page.getByLabel('Note for colleagues; customers never see it')
  await text.pressSequentially('Cellos go free, ask @Ness')
  await page.getByRole('option', { name: 'Ness Pascoe' }).click()
  await accessible(page)
  await page.getByRole('button', { name: 'Add note' }).click()
  await expect(page.getByRole('alert')).toContainText('Ness Pascoe cannot see this thread')
  await other.goto(`${address}/inbox/people`)
  await text.fill('')
  await text.pressSequentially('Cellos go free, ask @Wynn')
  await page.getByRole('option', { name: 'Wynn Adair' }).click()
  await page.getByRole('button', { name: 'Add note' }).click()
  await expect(page.getByTestId('note')).toContainText('Cellos go free, ask @Wynn Adair')
  await expect(other.getByTestId('bell')).toContainText('1')
  await other.getByTestId('bell').click()
  await other.getByTestId('notice').filter({ hasText: 'Tamsin Kerr names you in a note' }).click()
  await expect(other.getByTestId('note')).toContainText('Tamsin Kerr')
  await expect(other.getByTestId('bell')).not.toContainText('1')

  // Both write; the one who is later reads what went out before.
  await writer(other).fill('Hello Thessaly, it travels free in the saloon.')
  await other.getByRole('button', { name: 'Send', exact: true }).click()
  const news = page.getByTestId('while-writing')
  await expect(news).toContainText('it travels free in the saloon')
  await accessible(page)
  await page.getByRole('button', { name: 'Send', exact: true }).click()
  await expect(page.getByRole('button', { name: 'Send anyway' })).toBeVisible()
  await expect(writer(page)).toHaveValue('Dear Thessaly, ')

  // What was typed is found on another machine; sent or emptied, it is gone there too.
  const elsewhere = await asWell(browser, 'tamsin', url)
  await expect(writer(elsewhere)).toHaveValue('Dear Thessaly,')
  await expect(elsewhere.getByTestId('while-writing')).toContainText('Your draft of')
  await writer(elsewhere).fill('')
  await expect
    .poll(async () => {
      await elsewhere.reload()
      return writer(elsewhere).inputValue()
    })
    .toBe('')
  await elsewhere.context().close()
  await other.context().close()
  await expect(page.getByTestId('in-thread')).toHaveCount(0, { timeout: 60_000 })
})

test('the lenses one keeps: counts that add up, what none of them shows, changed and taken back', async ({
  page,
}) => {
  for (const [name, content] of [
    ['Ambrose Tidewell', 'When does the galley open on Sundays?'],
    ['Sunniva Haldane', 'The engine noise spoilt our crossing.'],
  ] as const)
    await asCustomer(`${lanternpage}/pages/skerrivane/messages`, { name, content })
  await signIn(page, 'tamsin')
  await page.goto(`${address}/inbox?given=anybody&time=all&wish=question`)
  await settledCount(page, (n) => n > 0)
  await page.getByRole('button', { name: 'Lenses', exact: true }).click()
  await expect(page.getByText('No lens is kept yet.')).toBeVisible()
  await page.getByRole('button', { name: 'Keep this lens' }).click()
  await page.getByRole('button', { name: 'Keep', exact: true }).click()
  await expect(page.getByText('a lens needs a name')).toBeVisible()
  await page.getByLabel('Name', { exact: true }).fill('Questions')
  await page.getByText('For the whole team').click()
  await page.getByRole('button', { name: 'Keep', exact: true }).click()
  const row = page.getByRole('row').filter({ hasText: 'Questions' })
  await expect(row).toContainText('team')
  await accessible(page, '.lens-list')
  const open = async (name: string) =>
    Number(await page.getByRole('row').filter({ hasText: name }).getByRole('cell').nth(1).textContent())
  const [kept, none, whole] = [
    await open('Questions'),
    await open('In none of these'),
    await open('All open threads'),
  ]
  expect(kept).toBeGreaterThan(0)
  expect(kept + none).toBe(whole)
  await page.getByRole('link', { name: 'In none of these' }).click()
  await expect(page.locator('[data-field="uncaught"]')).toHaveText('in none of my lenses')
  await settledCount(page, (n) => n === none)

  await page.getByRole('button', { name: 'Lenses', exact: true }).click()
  await page.getByRole('button', { name: 'Edit “Questions”' }).click()
  await page.getByLabel('Name', { exact: true }).fill('All questions')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByRole('link', { name: 'All questions' })).toBeVisible()
  await page.getByRole('button', { name: 'Edit “All questions”' }).click()
  await page.getByRole('button', { name: 'Remove', exact: true }).click()
  await expect(page.getByRole('link', { name: 'All questions' })).toHaveCount(0)
  await page.getByRole('button', { name: 'Undo' }).click()
  await page.getByRole('button', { name: 'Lenses', exact: true }).click()
  await expect(page.getByRole('link', { name: 'All questions' })).toBeVisible()
})

test('many at once: selected by key and by span, finished, taken back; one is set aside until they write', async ({
  page,
}) => {
  for (const name of ['Corin Vail', 'Dagny Holt', 'Emrys Tallow'])
    await asCustomer(`${lanternpage}/pages/skerrivane/messages`, {
      name,
      content: 'Which quay does the lantern cruise leave from?',
    })
  await signIn(page, 'tamsin')
  await page.goto(`${address}/inbox?words=lantern+cruise&given=anybody`)
  await settledCount(page, (n) => n === 3)
  await page.keyboard.press('x')
  await expect(page.getByText('1 selected')).toBeVisible()
  await page
    .getByRole('checkbox')
    .nth(2)
    .click({ modifiers: ['Shift'] })
  await expect(page.getByText('3 selected')).toBeVisible()
  await accessible(page)
  await page.getByRole('checkbox').nth(1).click()
  await page.keyboard.press('f')
  await expect(page.getByText('2 threads finished.')).toBeVisible()
  await settledCount(page, (n) => n === 1)
  await page.keyboard.press('u')
  await settledCount(page, (n) => n === 3)

  await page
    .locator('.reading-column')
    .getByRole('button', { name: /^Set aside/ })
    .click()
  await page.getByRole('menuitem', { name: 'Until they write' }).click()
  await expect(page.getByText('Set aside until they write')).toBeVisible()
  await settledCount(page, (n) => n === 2)
  await page
    .locator('.reading-column')
    .getByRole('button', { name: /^Set aside/ })
    .click()
  await page.getByRole('menuitem', { name: 'Until a time ...' }).click()
  const sheet = page.getByRole('dialog', { name: 'Set aside' })
  await expect(sheet.getByLabel('Day and time')).toBeVisible()
  await accessible(page)
  await sheet.getByRole('button', { name: 'Set aside' }).click()
  await settledCount(page, (n) => n === 1)
})

test('a lead’s word is asked, given with a change, and the answer goes out in its writer’s name', async ({
  page,
  browser,
}) => {
  await asCustomer(`${lanternpage}/pages/skerrivane/messages`, {
    name: 'Lysandra Pell',
    content: 'Could the glockenspiel travel on the upper deck?',
  })
  await signIn(page, 'tamsin')
  await page.goto(`${address}/inbox?words=glockenspiel&given=anybody`)
  await settledCount(page, (n) => n === 1)
  await page.reload()
  await writer(page).fill('Yes, your glockenspiel may travel on the upper deck.')
  await page.getByRole('button', { name: 'Ask for approval' }).click()
  await page.getByRole('dialog').getByLabel('A word to them').fill('Do we still allow that?')
  await page.getByRole('dialog').getByRole('button', { name: 'Ask', exact: true }).click()
  await expect(page.getByTestId('approval')).toContainText('You asked for approval')
  await expect(writer(page)).toHaveValue('')
  const lead = await asWell(browser, 'wynn', `${address}/today`)
  await lead.getByTestId('approval-waits').getByRole('link').click()
  const card = lead.getByTestId('approval')
  await expect(card).toContainText('Do we still allow that?')
  await accessible(lead)
  await card
    .getByLabel('The answer, which you may change')
    .fill('Yes, your glockenspiel may travel on the upper deck, well covered.')
  await card.getByRole('button', { name: 'Approve and send' }).click()
  await expect(card).toContainText('Wynn Adair approved this with changes')
  await page.goto(`${address}/inbox?words=glockenspiel&given=anybody&state=any`)
  await expect(page.getByTestId('action')).toHaveText('sent')
  await expect(page.locator('.reading-column')).toContainText('well covered')
  await expect(page.getByTestId('approval')).toContainText('Wynn Adair approved this with changes')
})
