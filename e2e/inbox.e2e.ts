import { readFileSync } from 'node:fs'
import { expect, test } from '@playwright/test'
import {
  accessible,
  address,
  asCustomer,
  countOf,
  lanternpage,
  press,
  settledCount,
  signIn,
  wherabout,
} from './support/world.ts'

test.describe.configure({ mode: 'serial' })

test('signing in: a wrong password is told, what was typed stays, the way goes on to where one wanted to be', async ({
  page,
}) => {
  await page.goto(`${address}/set-up/profiles`)
  await expect(page).toHaveURL(/sign-in/)
  await accessible(page)
  await page.getByRole('button', { name: 'Sign in' }).click()
  await expect(page.getByText('enter your e-mail address')).toBeVisible()
  await page.getByLabel('E-mail address').fill('wynn@skerrivane.example')
  await page.getByLabel('Password', { exact: true }).fill('wrong')
  await page.getByRole('button', { name: 'Sign in' }).click()
  await expect(page.getByRole('alert')).toContainText('do not belong together')
  await expect(page.getByLabel('E-mail address')).toHaveValue('wynn@skerrivane.example')
  await page.getByLabel('Password', { exact: true }).fill('sound-of-orrin')
  await page.getByRole('button', { name: 'Sign in' }).click()
  await expect(page).toHaveURL(/set-up\/profiles/)
})

test('an empty inbox says what it lacks and leads there', async ({ page }) => {
  await signIn(page, 'wynn')
  await expect(page.getByText('No profile is connected yet, so nothing can come in.')).toBeVisible()
  await page.getByRole('link', { name: 'Connect a profile' }).click()
  await expect(page).toHaveURL(/set-up\/profiles/)
})

test('connecting a profile: over the network’s consent page and back, its history comes in with a figure', async ({
  page,
}) => {
  await signIn(page, 'wynn')
  await page.goto(`${address}/set-up/profiles`)
  await page.getByRole('button', { name: 'Connect on Lanternpage' }).click()
  await expect(page.getByRole('heading', { name: 'Murrabel asks for access' })).toBeVisible()
  await page.getByRole('button', { name: 'Refuse' }).click()
  await expect(page.getByRole('alert')).toContainText('did not grant access')
  await page.getByRole('button', { name: 'Connect on Lanternpage' }).click()
  await page.getByRole('button', { name: 'Grant access' }).click()
  await expect(page.getByText('2 profiles connected')).toBeVisible()
  await page.getByRole('button', { name: 'Connect on Wherabout' }).click()
  await page.getByRole('button', { name: 'Grant access' }).click()
  await expect(page.getByText('5 profiles connected')).toBeVisible()
  await expect(page.getByTestId('status').filter({ hasText: /^connected$/ })).toHaveCount(7)
  const dunmarrow = page.getByRole('row', { name: /Skerrivane Ferries, Dunmarrow/ })
  await expect(dunmarrow.getByRole('cell').nth(1)).toHaveText('Dunmarrow')
  await expect
    .poll(async () => Number(await dunmarrow.getByRole('cell').nth(2).innerText()))
    .toBeGreaterThan(20)
  await accessible(page)
})

test('feeds are added by address; a bad one is refused with its reason and stays in the field', async ({
  page,
}) => {
  await signIn(page, 'wynn')
  await page.goto(`${address}/set-up/profiles`)
  const field = page.getByLabel('Address of an RSS, Atom or JSON feed')
  for (const [bad, reason] of [
    ['http://10.0.0.1/feed', 'only public addresses'],
    [`${press}/`, 'is not RSS, Atom or JSON Feed'],
  ] as const) {
    await field.fill(bad)
    await page.getByRole('button', { name: 'Add', exact: true }).click()
    await expect(page.getByRole('alert')).toContainText(reason)
    await expect(field).toHaveValue(bad)
  }
  for (const feed of ['sound-courier', 'orrin-gazette', 'wool-and-wind']) {
    await field.fill(`${press}/${feed}/feed`)
    await page.getByRole('button', { name: 'Add', exact: true }).click()
    await expect(field).toHaveValue('')
  }
  await expect(page.getByTestId('status').filter({ hasText: /^connected$/ })).toHaveCount(10)
})

test('an expired key is told and renewed; a profile is disconnected and connected again', async ({
  page,
}) => {
  await signIn(page, 'wynn')
  await fetch(`${wherabout}/switchboard`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: '{"expireKeys":true}',
  })
  await fetch(`${wherabout}/switchboard`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: '{"expireKeys":false}',
  })
  await page.goto(`${address}/set-up/profiles`)
  const row = page.getByRole('row', { name: /Skerrivane Ferries, Inchgarth/ })
  await row.getByRole('button', { name: 'Check now' }).click()
  await expect(row.getByTestId('status')).toHaveText('key expired')
  await row.getByRole('button', { name: 'Renew the key' }).click()
  await page.getByRole('button', { name: 'Grant access' }).click()
  await expect(row.getByTestId('status')).toHaveText('connected')
  const feed = page.getByRole('row', { name: /Orrin Gazette/ })
  const entries = await feed.getByRole('cell').nth(2).innerText()
  await feed.getByRole('button', { name: 'Disconnect' }).click()
  await page.getByRole('dialog').getByRole('button', { name: 'Disconnect' }).click()
  await expect(feed.getByTestId('status')).toHaveText('disconnected')
  await expect(feed.getByRole('cell').nth(2)).toHaveText(entries)
  await feed.getByRole('button', { name: 'Connect again' }).click()
  await expect(feed.getByTestId('status')).toHaveText('connected')
})

test('a watch is tried before it is saved, then read: words marked, bars open their entries, a mood is put right', async ({
  page,
}) => {
  await signIn(page, 'tamsin')
  await page.getByRole('link', { name: 'Watch' }).click()
  await page.getByRole('button', { name: 'New watch' }).first().click()
  await page.getByRole('button', { name: 'Try it' }).click()
  await expect(page.getByRole('alert')).toContainText('nothing to look for')
  const any = page.getByLabel('Any of these')
  await any.fill('*')
  await any.press('Enter')
  await page.getByRole('button', { name: 'Try it' }).click()
  await expect(page.getByText('holds no letter, figure or emoji')).toBeVisible()
  await page.getByRole('button', { name: 'Remove *' }).click()
  await any.fill('storm petrel')
  await any.press('Enter')
  await page.getByRole('button', { name: 'Try it' }).click()
  const trial = page.getByTestId('trial')
  await expect(trial.locator('mark').first()).toHaveText(/storm petrel/i)
  const hits = Number(/([\d,]+) hits/.exec(await trial.innerText())?.[1])
  expect(hits).toBeGreaterThan(10)
  await page.getByLabel('Name').fill('Storm Petrel')
  await page.getByRole('button', { name: 'Save watch' }).click()
  await expect(page.getByRole('heading', { name: 'Storm Petrel' })).toBeVisible()
  await page.goto(`${page.url()}&time=last-90`)
  await settledCount(page, (n) => n === hits)
  await expect(page.getByTestId('mentions')).toHaveText(String(hits))
  await expect(page.getByTestId('mention').first().locator('mark').first()).toHaveText(/storm petrel/i)
  await accessible(page)

  await page.getByRole('button', { name: 'Figures', exact: true }).click()
  const bars = page.getByTestId('volume-bar')
  const totalsNow = () =>
    bars.evaluateAll((list) => list.map((bar) => Number(bar.getAttribute('data-total'))))
  await expect.poll(async () => (await totalsNow()).reduce((a, b) => a + b, 0)).toBe(hits)
  const totals = await totalsNow()
  const loudest = totals.indexOf(Math.max(...totals))
  await bars.nth(loudest).click()
  await settledCount(page, (n) => n === totals[loudest])
  await expect(page).toHaveURL(/time=\d{4}-\d\d-\d\d_/)
  await page.goBack()
  await settledCount(page, (n) => n === hits)
  await page.getByRole('button', { name: 'Mentions', exact: true }).click()
  await expect(page.getByTestId('mention').first()).toBeVisible()

  await page.keyboard.press('j')
  const row = page.getByTestId('mention').first()
  await expect(row).toHaveClass(/selected/)
  const before = await row.getByRole('img').first().getAttribute('aria-label')
  const [key, label] = before === 'positive' ? (['-', 'negative'] as const) : (['+', 'positive'] as const)
  await page.keyboard.press(key)
  await expect(row.getByRole('img', { name: label }).first()).toBeVisible()
  await page.keyboard.press('u')
  await expect(row.getByRole('img', { name: before ?? '' }).first()).toBeVisible()
})

test('the inbox: answer the most pressing, see it on the public page, land on the next', async ({ page }) => {
  // What lies open depends on the hour at which the world is made; these three do not.
  for (const [name, rating, text] of [
    ['Petros Vance', '1', 'Waited ninety minutes and nobody came.'],
    ['Dilys Farrow', '2', 'The galley was closed at noon.'],
    ['Corin Teague', '4', 'Kind crew, late boat.'],
  ] as const)
    await asCustomer(`${wherabout}/businesses/inchgarth`, { name, rating, text })
  await signIn(page, 'tamsin')
  // In English: an answer in another language than theirs is asked about first.
  await page.goto(`${address}/inbox?given=anybody&channel=maps&kind=review&language=en`)
  const before = await settledCount(page, (n) => n > 2)
  const rows = page.getByRole('listitem').getByRole('button')
  const author = await rows.first().locator('b').first().innerText()
  const next = await rows.nth(1).locator('b').first().innerText()
  await expect(page.locator('article b').first()).toHaveText(author)
  const original = await page.getByRole('link', { name: 'See it on Wherabout' }).first().getAttribute('href')
  await page.keyboard.press('w')
  const text = `Thank you for writing, ${author.split(' ')[0]}. We read every word.`
  await page.getByLabel('Write an answer').fill(text)
  await page.reload()
  await expect(page.getByLabel('Write an answer')).toHaveValue(text)
  await page.getByLabel('Write an answer').press('Control+Enter')
  await expect(page.getByText('Answer on its way, thread finished')).toBeVisible()
  await expect(page.locator('article b').first()).toHaveText(next)
  await settledCount(page, (n) => n === before - 1)
  await expect.poll(async () => (await fetch(original ?? '')).text()).toContain(text)
  await accessible(page)
})

test('finish, set aside, give, undo: by keys, each with the way back', async ({ page }) => {
  await signIn(page, 'tamsin')
  await page.goto(`${address}/inbox?given=anybody`)
  const before = await settledCount(page, (n) => n > 2)
  const name = await page.locator('article b').first().innerText()
  const path = new URL(page.url()).pathname
  await page.keyboard.press('f')
  await settledCount(page, (n) => n === before - 1)
  await expect.poll(() => new URL(page.url()).pathname).not.toBe(path)
  await page.keyboard.press('u')
  await settledCount(page, (n) => n === before)
  await expect.poll(() => new URL(page.url()).pathname).toBe(path)
  await expect(page.locator('article b').first()).toHaveText(name)
  await page.keyboard.press('s')
  await page.getByRole('menuitem', { name: 'For 3 hours' }).click()
  await settledCount(page, (n) => n === before - 1)
  await page.getByRole('button', { name: /^Undo/ }).click()
  await settledCount(page, (n) => n === before)
  await expect(page.locator('article b').first()).toHaveText(name)
  await page.keyboard.press('g')
  await page.getByRole('menuitem', { name: 'Ivo Oduya' }).click()
  await expect(page.getByRole('button', { name: /^Ivo Oduya/ })).toBeVisible()
  await page.goto(`${address}/inbox`)
  await settledCount(page, (n) => n === before - 1)
})

test('what a colleague does while one writes is told, and the text is kept', async ({ page, browser }) => {
  for (const name of ['Anouk Strand', 'Rafi Calder'])
    await asCustomer(`${lanternpage}/pages/skerrivane/messages`, {
      name,
      content: 'Is the late boat running?',
    })
  await signIn(page, 'tamsin')
  await page.goto(`${address}/inbox?given=anybody&channel=pages&words=late+boat`)
  await settledCount(page, (n) => n > 0)
  await page.getByLabel('Write an answer').fill('We are looking into it.')
  const path = new URL(page.url()).pathname
  const other = await browser.newPage({ locale: 'en-GB' })
  await signIn(other, 'ivo')
  await other.goto(`${address}${path}?given=anybody&state=any`)
  await expect(other.getByLabel('Write an answer')).toBeVisible()
  await other.keyboard.press('f')
  await expect(other.getByText('Finished', { exact: true })).toBeVisible()
  await other.close()
  await page.getByRole('button', { name: 'Send', exact: true }).click()
  // What the answer says nothing to is told first; sent once more as it is, it goes.
  await expect(page.getByTestId('doubts')).toContainText('Is the late boat running?')
  await accessible(page)
  await page.getByRole('button', { name: 'Send', exact: true }).click()
  await expect(page.getByRole('alert')).toContainText('A colleague acted on this thread')
  await expect(page.getByLabel('Write an answer')).toHaveValue('We are looking into it.')
  await page.getByRole('button', { name: 'Send anyway' }).click()
  await expect(page.getByText('Answer on its way')).toBeVisible()
})

test('a reply that does not go out comes back on top, stands in the bell, and goes out when it is tried again', async ({
  page,
}) => {
  const faults = (refusals: number) =>
    fetch(`${lanternpage}/switchboard`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ refusals }),
    })
  await asCustomer(`${lanternpage}/pages/skerrivane/messages`, {
    name: 'Brede Halloran',
    content: 'My voucher for the harbour sauna never came, can you send it again?',
  })
  await signIn(page, 'tamsin')
  await page.goto(`${address}/inbox?given=anybody&words=harbour+sauna+voucher`)
  await settledCount(page, (n) => n === 1)
  await faults(1)
  await page.getByLabel('Write an answer').fill('Here it is again, Brede.')
  await page.getByLabel('Write an answer').press('Control+Enter')
  // Who leaves the page at once takes the answer with them.
  await expect(page.getByText('Answer on its way')).toBeVisible()
  await page.goto(`${address}/inbox?given=anybody&channel=pages`)
  const first = page.getByRole('listitem').getByRole('button').first()
  await expect(first).toContainText('reply not sent')
  await expect(first).toContainText('Brede Halloran')
  await page.getByTestId('bell').click()
  await page.getByTestId('not-sent').first().click()
  const action = page.getByTestId('action')
  await expect(action).toContainText('not sent')
  await expect(action).toContainText('The network does not take this')
  await accessible(page)
  await action.getByRole('button', { name: 'Try again' }).click()
  await expect(page.getByTestId('action')).toHaveText('sent, tried 2 times')
  await page.goto(`${address}/inbox?given=anybody&channel=pages`)
  await expect(page.getByText('reply not sent')).toHaveCount(0)
})

test('a new entry appears by itself', async ({ page }) => {
  await signIn(page, 'ivo')
  await page.goto(`${address}/inbox?given=anybody&order=newest`)
  const before = await settledCount(page, (n) => n > 0)
  await asCustomer(`${lanternpage}/pages/skerrivane/messages`, {
    name: 'Hester Quill',
    content: 'Did anybody find a small blue teddy called Herring?',
  })
  await expect(page.getByRole('listitem').filter({ hasText: 'Hester Quill' })).toBeVisible({
    timeout: 10_000,
  })
  expect(await settledCount(page, (n) => n === before + 1)).toBe(before + 1)
})

test('the lens: phrases, the address, back and forward, the tide line by drag and by keys', async ({
  page,
}) => {
  await signIn(page, 'ivo')
  await page.goto(`${address}/inbox?given=anybody&state=any&time=last-90`)
  const all = await settledCount(page, (n) => n > 20)
  await page.getByRole('button', { name: 'any sentiment' }).click()
  await page.locator('.el-checkbox', { hasText: 'negative' }).click()
  await page.getByRole('button', { name: 'Show', exact: true }).click()
  await expect(page).toHaveURL(/sentiment=negative/)
  const negative = await settledCount(page, (n) => n < all)
  await page.getByRole('button', { name: 'all places' }).click()
  await page.locator('.el-checkbox', { hasText: 'Dunmarrow' }).click()
  await page.getByRole('button', { name: 'Show', exact: true }).click()
  const both = await settledCount(page, (n) => n < negative)
  await page.goBack()
  await settledCount(page, (n) => n === negative)
  await page.goBack()
  await settledCount(page, (n) => n === all)
  await page.goForward()
  await page.goForward()
  await settledCount(page, (n) => n === both)

  await page.goto(`${address}/inbox?given=anybody&state=any&time=last-90`)
  const strip = page.getByRole('group', { name: 'Volume over time' })
  await expect(page.getByTestId('bar')).toHaveCount(90)
  const box = (await strip.boundingBox())!
  await page.mouse.move(box.x + box.width * 0.5, box.y + 30)
  await page.mouse.down()
  await page.mouse.move(box.x + box.width * 0.7, box.y + 30, { steps: 4 })
  await page.mouse.up()
  await expect(page).toHaveURL(/time=\d{4}-\d\d-\d\d_\d{4}/)
  const dragged = page.url()
  await settledCount(page, (n) => n < all)
  const first = page.getByRole('slider', { name: 'First day of the range' })
  const last = page.getByRole('slider', { name: 'Last day of the range' })
  const days = async () =>
    Number(await last.getAttribute('aria-valuenow')) - Number(await first.getAttribute('aria-valuenow'))
  const wide = await days()
  await last.focus()
  await page.keyboard.press('ArrowRight')
  await expect.poll(days).toBe(wide + 1)
  await page.keyboard.press('Shift+ArrowLeft')
  await expect.poll(() => page.url()).not.toBe(dragged)
  expect(await days()).toBe(wide + 1)
  // The end that was taken keeps the focus, and can be dragged as well.
  await expect(last).toBeFocused()
  const end = (await last.boundingBox())!
  await page.mouse.move(end.x + 6, end.y + 30)
  await page.mouse.down()
  await page.mouse.move(end.x - box.width * 0.1, end.y + 30, { steps: 4 })
  await page.mouse.up()
  await expect.poll(days).toBeLessThan(wide)
  await last.focus()
  await page.keyboard.press('Escape')
  await expect(page).toHaveURL(/time=all/)

  await page.getByRole('searchbox').fill('teddy')
  await page.keyboard.press('Enter')
  await settledCount(page, (n) => n >= 1)
  await expect(page.getByRole('button', { name: 'with "teddy"' })).toBeVisible()
})

test('what is wanted: a word in the row, a phrase of the lens, the words it rests on', async ({ page }) => {
  await signIn(page, 'ivo')
  await page.goto(`${address}/inbox?given=anybody&state=any&time=last-90`)
  const all = await settledCount(page, (n) => n > 20)
  await page.getByRole('button', { name: 'any wish' }).click()
  await page.locator('.el-checkbox', { hasText: /^questions$/ }).click()
  await page.locator('.el-checkbox', { hasText: 'complaints' }).click()
  await page.getByRole('button', { name: 'Show', exact: true }).click()
  await expect(page).toHaveURL(/wish=question,complaint|wish=question%2Ccomplaint/)
  await settledCount(page, (n) => n > 0 && n < all)
  await expect(page.getByRole('button', { name: 'questions and complaints' })).toBeVisible()
  const wishes = page.locator('.row').getByTestId('wish')
  await expect(wishes.first()).toHaveText(/^(?:question|complaint)$/)
  expect(new Set(await wishes.allTextContents())).toEqual(
    new Set(
      (await wishes.allTextContents()).filter((text) => ['question', 'complaint'].includes(text.trim())),
    ),
  )
  // Of one or the other it is the whole that tells, and no word of it: among some there are words.
  let opened = 0
  await expect(async () => {
    await page
      .locator('.row')
      .nth(opened++ % 8)
      .click()
    await expect(page.locator('.judge').first().getByTestId('wish')).toHaveText(
      /Read as (?:question|complaint), \d+% sure: “.+”.*An answer is wanted: \d+%/,
      { timeout: 3000 },
    )
  }).toPass()
})

test('an address that is not understood says so and shows the usual lens', async ({ page }) => {
  await signIn(page, 'ivo')
  await page.goto(`${address}/inbox?sentiment=angry`)
  await expect(page.getByRole('alert')).toContainText('sentiment=angry')
  await page.getByRole('alert').getByRole('button').click()
  await expect(page).not.toHaveURL(/sentiment=/)
  await page.goto(`${address}/nowhere`)
  await expect(page.getByText('There is nothing at this address')).toBeVisible()
})

test('importing reviews: mapping, bad rows by line and reason, the same file adds nothing; exporting what came in', async ({
  page,
}) => {
  await signIn(page, 'tamsin')
  await page.goto(`${address}/set-up/import`)
  const csv =
    '\ufeffWhen;Who;Stars;Opinion;Harbour\n3.11.2026;Hanne Lund;5;"Kind crew, warm galley";Inchgarth\n4.11.2026;Piet Vos;7;Too slow;Dunmarrow\n5.11.2026;Nora Feld;2;Cold soup;Dunmarrow\n'
  const map = async (field: string, column: string) => {
    const label = page.locator(`label[data-field="${field}"]`)
    await label.locator('.el-select').click()
    const list = await label.getByRole('combobox').getAttribute('aria-controls')
    await page.locator(`[id="${list}"]`).getByRole('option', { name: column, exact: true }).click()
  }
  const bring = async () => {
    await page
      .getByTestId('file')
      .setInputFiles({ name: 'autumn.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) })
    await expect(page.getByText('3 rows, separated by semicolons')).toBeVisible()
    await map('text', 'Opinion')
    await map('author', 'Who')
    await page.getByRole('button', { name: 'Import 3 rows' }).click()
    // Nothing is taken while a row stands in the way, until that is said.
    await expect(page.getByTestId('sent-back')).toContainText('1 row cannot be used')
    await page.getByRole('button', { name: 'Import the other 2 rows' }).click()
  }
  await bring()
  const result = page.getByTestId('import-result')
  await expect(result).toContainText('2 added, 0 already there, 1 refused')
  await expect(result.getByRole('row').nth(1)).toContainText('a rating is a number from 1 to 5')
  await expect(result.getByRole('row').nth(1).getByRole('cell').first()).toHaveText('3')
  await accessible(page)
  await bring()
  await expect(result).toContainText('0 added, 2 already there, 1 refused')
  await page.goto(`${address}/inbox?state=any&given=anybody&channel=import&time=all&order=newest`)
  await settledCount(page, (n) => n === 2)
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Export' }).click()
  await page.getByRole('menuitem', { name: 'As CSV' }).getByRole('link').click()
  const file = await (await download).path()
  const lines = readFileSync(file, 'utf8').trim().split('\r\n')
  expect(lines).toHaveLength(1 + (await countOf(page)))
  // What was mapped by hand has come in, also after rows were sent back.
  for (const words of ['Hanne Lund', '"Kind crew, warm galley"', 'Nora Feld', 'Cold soup'])
    expect(lines.join('\n')).toContain(words)
})

test('roles: a reader looks and changes nothing, a place manager sees one place', async ({ page }) => {
  await signIn(page, 'rowan')
  await page.goto(`${address}/inbox?given=anybody`)
  await settledCount(page, (n) => n > 0)
  await expect(page.getByLabel('Write an answer')).toHaveCount(0)
  await page.goto(`${address}/set-up/profiles`)
  await expect(page.getByText('Only owners and leads can connect profiles.')).toBeVisible()
  await signIn(page, 'ness')
  await page.goto(`${address}/inbox?given=anybody&state=any&time=all`)
  await settledCount(page, (n) => n > 0)
  const places = await page.getByRole('listitem').locator('.where').allInnerTexts()
  expect(places.every((place) => place.startsWith('Dunmarrow'))).toBe(true)
})

test('French, and a narrow window', async ({ page }) => {
  await signIn(page, 'ivo')
  await page.getByRole('button', { name: 'Your menu' }).click()
  await page.getByRole('menuitem', { name: 'Français' }).click()
  await expect(page.getByRole('link', { name: 'Veille' })).toBeVisible()
  await expect(page.locator('html')).toHaveAttribute('lang', 'fr')
  await page.setViewportSize({ width: 390, height: 800 })
  await page.goto(`${address}/inbox?given=anybody`)
  await page.getByRole('listitem').getByRole('button').first().click()
  await expect(page.locator('article').first()).toBeVisible()
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
})
