import { expect, test, type Page } from '@playwright/test'
import { accessible, address, asCustomer, lanternpage, settledCount, signIn } from './support/world.ts'

test.describe.configure({ mode: 'serial' })

/** Chooses from the menu of the card. */
async function menu(page: Page, item: string): Promise<void> {
  await page.getByRole('article').getByRole('button', { name: 'More' }).click()
  await page.getByRole('menuitem', { name: item }).click()
}

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

  await menu(page, 'What is known of them')
  const sheet = page.getByRole('dialog', { name: 'What is known of them' })
  await sheet.getByLabel('Note').fill('Plays on Thursdays')
  await accessible(page)
  await sheet.getByRole('button', { name: 'Save' }).click()
  await expect(card).toContainText('Plays on Thursdays')
  await expect(page.locator('[data-person]').filter({ hasText: 'Ottilie' })).toContainText(
    'Plays on Thursdays',
  )

  await menu(page, 'Add an address or number')
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
  await page.getByRole('status').getByRole('button', { name: 'Undo' }).click()
  await expect(proposal).toHaveCount(1)
  await proposal.getByRole('button', { name: 'Not the same' }).click()
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

const inDays = (days: number) => new Date(Date.now() + days * 86_400_000).toISOString().slice(0, 10)

test('customers and their visits: brought in from a table, found by their visits, a visit noted by hand', async ({
  page,
}) => {
  await signIn(page, 'tamsin')
  await page.goto(`${address}/inbox/people`)
  await page.getByRole('link', { name: 'Bring in' }).click()
  await expect(page.getByLabel('Customers and their visits from a table (CSV)')).toBeChecked()
  const table = [
    'Customer no,Name,E-mail,Phone,Booking,Departure,Route,Ship,Passengers,Paid',
    `Z1,Ottilie Brackwater,ottilie@brackwater.example,+44 7700 900187,ZK1,${inDays(-2)},Dunmarrow to Port Ellery,Grey Heron,2,£31`,
    `Z2,Zadok Brackwater,zadok@brackwater.example,07700 900188,ZK2,${inDays(-1)},Inchgarth to Port Ellery,Little Auk,34,£306`,
  ].join('\n')
  await page.getByTestId('file').setInputFiles({
    name: 'bookings.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(table),
  })
  await expect(page.locator('[data-field="at"]')).toContainText('Departure')
  await accessible(page)
  await page.getByRole('button', { name: 'Import 2 rows' }).click()
  await expect(page.getByTestId('sent-back')).toContainText('1 row cannot be used')
  await expect(page.getByText('the number has no country')).toBeVisible()
  await page.getByTestId('phone-country').click()
  await page.getByRole('option', { name: 'United Kingdom' }).click()
  await page.getByRole('button', { name: 'Import 2 rows' }).click()
  await expect(page.getByTestId('import-result')).toContainText('2 added, 0 already there, 0 refused')
  await page.getByRole('link', { name: 'See them' }).click()
  await page.locator('[data-field="named"]').click()
  await page.getByLabel('Name, handle, address or number').fill('brackwater')
  await page.getByRole('button', { name: 'Show' }).click()
  await settledCount(page, (n) => n === 2)

  // Her number joins her with the one who wrote, and the visit goes with her.
  const row = page.locator('[data-person]').filter({ hasText: 'Ottilie' })
  await expect(row).toContainText('1 visit · last on')
  await row.click()
  const card = page.getByRole('article', { name: 'Ottilie Brackwater' })
  await expect(card).toContainText('Dunmarrow to Port Ellery, Grey Heron, 2 people, £31')
  await expect(card).toContainText('Who plays the harmonium')
  await accessible(page)

  await menu(page, 'Add a visit')
  const sheet = page.getByRole('dialog', { name: 'Add a visit' })
  await sheet.getByLabel('When').fill(`${inDays(9)}T09:20`)
  await sheet.getByLabel('Route, stay or purchase').fill('Port Ellery to Selwick Quay')
  await sheet.getByLabel('People').fill('many')
  await sheet.getByText('booked', { exact: true }).click()
  await sheet.getByRole('button', { name: 'Save' }).click()
  await expect(sheet.getByRole('alert').first()).toBeVisible()
  await sheet.getByLabel('People').fill('12')
  await accessible(page)
  await sheet.getByRole('button', { name: 'Save' }).click()
  await expect(card).toContainText('Port Ellery to Selwick Quay, 12 people')
  await expect(row).toContainText('party of 12 on')
})

test('a thread is said to be about a visit, and the word is taken back', async ({ page }) => {
  await asCustomer(`${lanternpage}/pages/skerrivane/messages`, {
    name: 'Ottilie Brackwater',
    content: 'The Grey Heron left Dunmarrow without us, although we were booked.',
  })
  await signIn(page, 'tamsin')
  await page.goto(`${address}/inbox/people?named=brackwater&visited=yes&time=all`)
  await page.locator('[data-person]').filter({ hasText: 'Ottilie' }).click()
  await page
    .getByRole('article', { name: 'Ottilie Brackwater' })
    .getByText('left Dunmarrow without us')
    .click()
  const visit = page.getByTestId('thread-visit')
  await expect(visit).toContainText('Dunmarrow to Port Ellery, Grey Heron')
  await expect(visit).toContainText('names Grey Heron')
  await visit.getByRole('button', { name: 'It is about this visit' }).click()
  await expect(visit.getByRole('button', { name: 'It is not about this visit' })).toBeVisible()
  await page.reload()
  await visit.getByRole('button', { name: 'It is not about this visit' }).click()
  await expect(visit.getByRole('button', { name: 'It is about this visit' })).toBeVisible()
})

test('another program brings a customer with a key, until the key is removed', async ({ page, request }) => {
  await signIn(page, 'ivo')
  await page.goto(`${address}/set-up/keys`)
  await accessible(page)
  const form = page.getByRole('main').locator('form').first()
  await form.getByLabel('Name').fill('The till at Dunmarrow')
  await form.getByText('bring in files and customers').click()
  await form.getByRole('button', { name: 'Make a key' }).click()
  const key = await page.getByTestId('shown-once').textContent()
  const bring = () =>
    request.post(`${address}/api/customers`, {
      headers: { authorization: `Bearer ${key}` },
      data: {
        customers: [{ reference: 'T1', name: 'Quentin Mossgrove', email: 'quentin@mossgrove.example' }],
      },
    })
  expect((await bring()).status()).toBe(200)
  await page
    .getByRole('listitem')
    .filter({ hasText: 'The till at Dunmarrow' })
    .getByRole('button', { name: 'Remove' })
    .click()
  await expect(page.getByRole('listitem').filter({ hasText: 'The till at Dunmarrow' })).toHaveCount(0)
  expect((await bring()).status()).toBe(401)
})

test('somebody’s data is handed out as one file, then erased, and both are on record', async ({ page }) => {
  await signIn(page, 'ivo')
  await page.goto(`${address}/inbox/people?named=brackwater&visited=yes&time=all`)
  await page.locator('[data-person]').filter({ hasText: 'Ottilie' }).click()
  await menu(page, 'Hand out their data')
  const hand = page.getByRole('dialog', { name: 'Hand out their data' })
  await hand.getByLabel('Who asked for it, and how').fill('Ottilie, at the desk')
  await accessible(page)
  await hand.getByRole('button', { name: 'Make the file' }).click()
  const loading = page.waitForEvent('download')
  await hand.getByRole('link', { name: 'Load the ZIP file' }).click()
  expect((await loading).suggestedFilename()).toMatch(/^murrabel-person-\d+\.zip$/)
  await page.keyboard.press('Escape')

  await menu(page, 'Erase their data')
  const erase = page.getByRole('dialog', { name: 'Erase their data' })
  await erase.getByLabel('Who asked for it, and how').fill('Ottilie, by mail')
  await expect(erase.getByRole('button', { name: 'Erase for good' })).toBeDisabled()
  await erase.getByLabel('Type “Ottilie Brackwater” to go on').fill('Ottilie Brackwater')
  await erase.getByRole('button', { name: 'Erase for good' }).click()
  await expect(page.getByText(/^Erased, with \d+ entr/)).toBeVisible()
  await expect(page.getByRole('article')).toContainText('Their data was erased on')
  await page.goto(`${address}/inbox?words=harmonium&state=any&given=anybody&time=all`)
  await expect(page.getByText('Who plays the harmonium')).toHaveCount(0)
  await page.goto(`${address}/set-up/personal-data`)
  await accessible(page)
  await expect(page.getByRole('row').filter({ hasText: 'Ottilie, at the desk' })).toContainText('handed out')
  await expect(page.getByRole('row').filter({ hasText: 'Ottilie, by mail' })).toContainText('erased')
})
