import { expect, test } from '@playwright/test'
import { accessible, address, asCustomer, lanternpage, settledCount, signIn } from './support/world.ts'

test.describe.configure({ mode: 'serial' })

test('people: found by name, known by what colleagues say of them, reached by what they gave', async ({
  page,
}) => {
  await asCustomer(`${lanternpage}/pages/skerrivane/messages`, {
    name: 'Ottilie Brackwater',
    content: 'Who plays the harmonium in the upper saloon, and may I?',
  })
  await signIn(page, 'tamsin')
  await page.getByRole('link', { name: 'People' }).click()
  await settledCount(page, (n) => n > 10)
  await accessible(page)
  await page.locator('[data-field="named"]').click()
  await page.getByLabel('Name, handle, address or number').fill('brackwat')
  await page.getByRole('button', { name: 'Show' }).click()
  await settledCount(page, (n) => n === 1)
  const card = page.getByRole('article', { name: 'Ottilie Brackwater' })
  await expect(card).toContainText('Who plays the harmonium')

  await card.getByRole('button', { name: 'Edit' }).click()
  const sheet = page.getByRole('dialog', { name: 'What is known of them' })
  await sheet.getByLabel('Note').fill('Plays on Thursdays')
  await accessible(page)
  await sheet.getByRole('button', { name: 'Save' }).click()
  await expect(card).toContainText('Plays on Thursdays')
  await expect(page.locator('[data-person]').filter({ hasText: 'Ottilie' })).toContainText(
    'Plays on Thursdays',
  )

  await card.getByRole('button', { name: 'Add an address or number' }).click()
  const way = page.getByRole('dialog', { name: 'Add an address or number' })
  await way.getByText('Telephone number').first().click()
  await way.getByLabel('Telephone number', { exact: true }).last().fill('07700 900')
  await way.getByText('Yes', { exact: true }).click()
  await way.getByLabel('How they said so').fill('at the desk')
  await way.getByRole('button', { name: 'Save' }).click()
  await expect(way).toContainText('This is no telephone number with its country')
  await way.getByLabel('Telephone number', { exact: true }).last().fill('+44 7700 900187')
  await way.getByRole('button', { name: 'Save' }).click()
  await expect(card).toContainText('+447700900187')
  await expect(card).toContainText('may be written to by text (at the desk')
  // Found by the number as it is dialled at home.
  await page.goto(`${address}/inbox/people?named=07700+900187`)
  await settledCount(page, (n) => n === 1)
})

test('two who may be the same: why, joined by a person, undone, and told apart for good', async ({
  page,
}) => {
  await asCustomer(`${lanternpage}/pages/skerrivane/messages`, {
    name: 'Otilie Brackwater',
    content: 'Still no answer about the harmonium in the saloon.',
  })
  await signIn(page, 'tamsin')
  await page.goto(`${address}/inbox/people?named=brackwater`)
  await settledCount(page, (n) => n === 2)
  await page.locator('[data-person]').filter({ hasText: 'Otilie' }).click()
  const card = page.getByRole('article')
  const proposal = card.getByTestId('proposal')
  await expect(proposal).toContainText('names alike to 0.9')
  await expect(proposal).toContainText('both spoke of “harmonium” and “saloon”')
  await accessible(page)
  await proposal.getByRole('button', { name: 'Join them' }).click()
  await settledCount(page, (n) => n === 1)
  await expect(card).toContainText('Joined from 2 people')
  await expect(card).toContainText('by Tamsin Kerr')
  const said = card.getByRole('list', { name: 'What they said' }).getByRole('listitem')
  await expect(said).toHaveCount(2)
  await page.getByRole('status').getByRole('button', { name: 'Undo' }).click()
  await settledCount(page, (n) => n === 2)

  await page.locator('[data-person]').filter({ hasText: 'Otilie' }).click()
  await proposal.getByRole('button', { name: 'Not the same' }).click()
  await expect(page.getByRole('status')).toContainText('are kept apart')
  await expect(proposal).toHaveCount(0)
  await page.reload()
  await settledCount(page, (n) => n === 2)
  await expect(card).toBeVisible()
  await expect(proposal).toHaveCount(0)
})

test('from the thread to the person and back', async ({ page }) => {
  await signIn(page, 'tamsin')
  await page.goto(`${address}/inbox/people?named=ottilie`)
  const card = page.getByRole('article', { name: 'Ottilie Brackwater' })
  await card.getByRole('link', { name: /harmonium/ }).click()
  await expect(page).toHaveURL(/\/inbox\/\d+/)
  await page.getByRole('complementary').getByRole('link', { name: 'Ottilie Brackwater' }).click()
  await expect(page).toHaveURL(/\/inbox\/people\/\d+/)
  await expect(card).toContainText('Plays on Thursdays')
})

test('a follow-up: made from a thread, in the list of mine and on the person, done with a word, undone', async ({
  page,
}) => {
  await signIn(page, 'tamsin')
  await page.goto(`${address}/inbox/people?named=ottilie`)
  await page
    .getByRole('article')
    .getByRole('link', { name: /harmonium/ })
    .click()
  const panel = page.getByRole('complementary')
  await panel.getByRole('button', { name: 'New follow-up' }).click()
  const sheet = page.getByRole('dialog', { name: 'New follow-up' })
  await sheet.getByRole('button', { name: 'Save' }).click()
  await expect(sheet).toContainText('say what is to be done')
  await sheet.getByLabel('What is to be done').fill('Ask the captain about Thursdays')
  await accessible(page)
  await sheet.getByRole('button', { name: 'Save' }).click()
  await expect(panel.getByTestId('follow-up')).toContainText('Ask the captain about Thursdays')

  await page.getByRole('link', { name: /^Follow-ups\s*1$/ }).click()
  await settledCount(page, (n) => n === 1)
  const row = page.getByTestId('follow-up')
  await expect(row).toContainText('Ottilie Brackwater')
  await accessible(page)
  await row.getByRole('button', { name: 'Done' }).click()
  await row.getByLabel('What came of it?').fill('she may, after six')
  await row.getByRole('button', { name: 'It is done' }).click()
  await settledCount(page, (n) => n === 0)
  await page.getByRole('status').getByRole('button', { name: 'Undo' }).click()
  await settledCount(page, (n) => n === 1)

  await row.getByRole('button', { name: 'Edit' }).click()
  const edit = page.getByRole('dialog', { name: 'Follow-up' })
  await edit.getByText('Lead', { exact: true }).click()
  await edit.getByLabel('What it may bring').fill('240')
  await edit.getByRole('button', { name: 'Save' }).click()
  await expect(row).toContainText('€240')
  await row.getByRole('link', { name: 'Ottilie Brackwater' }).click()
  await expect(page.getByRole('article').getByTestId('follow-up')).toContainText('Ask the captain')
})

test('my calendar: a secret address that a calendar program reads, until it is switched off', async ({
  page,
}) => {
  await signIn(page, 'tamsin')
  await page.goto(`${address}/inbox/follow-ups`)
  await page.getByRole('button', { name: 'Make a secret address' }).click()
  const calendar = await page.getByLabel('Secret address').inputValue()
  const events = await (await fetch(calendar)).text()
  expect(events).toContain('SUMMARY:Ask the captain about Thursdays (Ottilie Brackwater)')
  await page.getByRole('button', { name: 'Switch it off' }).click()
  await expect(page.getByLabel('Secret address')).toHaveCount(0)
  expect((await fetch(calendar)).status).toBe(404)
})
