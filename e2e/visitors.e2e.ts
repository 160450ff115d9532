import AxeBuilder from '@axe-core/playwright'
import { expect, test, type Browser, type Page } from '@playwright/test'
import { accessible, address, ferrysite, signIn } from './support/world.ts'

test.describe.configure({ mode: 'serial' })

/** A visitor of the ferry company's own site, in a browser of their own. */
async function visitor(browser: Browser, path: string, locale = 'en-GB'): Promise<Page> {
  const context = await browser.newContext({ locale, viewport: { width: 1100, height: 760 } })
  const page = await context.newPage()
  await page.goto(`${ferrysite}${path}`)
  return page
}
const kept = (page: Page) =>
  page.evaluate(() => [document.cookie, Object.keys(localStorage).length, Object.keys(sessionStorage).length])

test('a chat box is made, its line goes into the pages, and a conversation runs both ways', async ({
  page,
  browser,
}) => {
  await signIn(page, 'ivo')
  await page.goto(`${address}/set-up/profiles`)
  await page.getByRole('button', { name: 'Add a box' }).click()
  const sheet = page.getByRole('dialog')
  await sheet.getByRole('button', { name: 'Make the box' }).click()
  await expect(sheet.getByRole('alert').first()).toBeVisible()
  await sheet.getByLabel('Address of the site').fill('not an address')
  await sheet.getByRole('button', { name: 'Make the box' }).click()
  await expect(sheet.getByText('this is not the address of a site')).toBeVisible()
  await sheet.getByLabel('Address of the site').fill(`${ferrysite}/timetable`)
  await sheet.getByLabel('Name, also the subject').fill('Sound of Orrin, on the web')
  await sheet.getByLabel('First line in the box').fill('Where would you like to go?')
  await sheet.getByRole('button', { name: 'Make the box' }).click()
  const tag = await sheet.getByTestId('chat-tag').innerText()
  expect(tag).toMatch(/^<script src="[^"]+\/chat\/box\.js" data-site="[\w-]+" async><\/script>$/)
  await accessible(page)
  const keeper = await visitor(browser, '/keeper')
  await keeper.getByLabel('Stands at the end of every page').fill(tag)
  await keeper.getByRole('button', { name: 'Save' }).click()

  const box = await page.request.get(/src="([^"]+)"/.exec(tag)![1]!, {
    headers: { 'accept-encoding': 'gzip' },
  })
  expect(box.headers()['content-encoding']).toBe('gzip')
  expect(Number(box.headers()['content-length'])).toBeLessThan(25_000)

  const there = await visitor(browser, '/fares')
  await there.getByRole('button', { name: 'Write to us' }).click()
  const field = there.getByLabel('Your message')
  await expect(field).toBeFocused()
  await expect(there.getByText('Where would you like to go?')).toBeVisible()
  await field.fill('Is there a fare for <b>groups</b>?')
  expect(await kept(there)).toEqual(['', 0, 0])
  await field.press('Enter')
  const log = there.getByRole('log', { name: 'Conversation' })
  await expect(log).toContainText('Is there a fare for <b>groups</b>?')
  await expect(log).not.toContainText('on its way')
  expect(await kept(there)).toEqual(['', 1, 0])
  const { violations } = await new AxeBuilder({ page: there }).include('div[lang="en"]').analyze()
  expect(violations.map(({ id, nodes }) => `${id}: ${nodes[0]?.target.join(' ')}`)).toEqual([])

  // Beside the thread the team sees where they are, and that they write.
  await page.goto(`${address}/inbox?channel=chat&given=anybody`)
  await expect(page.getByRole('list').getByText('Is there a fare for <b>groups</b>?')).toBeVisible()
  await expect(page.getByTestId('visitor')).toContainText('is there now')
  await expect(page.getByTestId('visitor')).toContainText('Fares · Skerrivane Ferries')
  await field.pressSequentially('We are twelve')
  await expect(page.getByTestId('typing')).toContainText('is writing')
  await field.press('Enter')
  await expect(page.locator('article').filter({ hasText: 'We are twelve' })).toBeVisible()
  await page.getByLabel('Write an answer').pressSequentially('Ten and more')
  await expect(log).toContainText('Somebody is writing')
  await page.getByLabel('Write an answer').pressSequentially(' travel for the price of nine.')
  await page.keyboard.press('Control+Enter')
  await expect(log).toContainText('Ten and more travel for the price of nine.')

  // The next page goes on with it, and says how many answers came while the box was shut.
  await there.getByRole('link', { name: 'Timetable' }).click()
  const opener = there.getByRole('button', { name: 'Write to us' })
  await expect(opener).toBeVisible()
  await page.goto(`${address}/inbox?channel=chat&given=anybody&state=any`)
  await page.getByLabel('Write an answer').fill('Shall I book it?')
  await page.getByRole('button', { name: 'Send', exact: true }).click()
  await expect(there.getByText('1 new answer')).toBeAttached()
  await opener.click()
  await expect(log).toContainText('We are twelve')
  await expect(log.getByText('Shall I book it?')).toHaveCount(1)
  await there.keyboard.press('Escape')
  await expect(opener).toBeFocused()
})

test('a lost line: what is written meanwhile goes out once when it is back, and so do the answers', async ({
  page,
  browser,
}) => {
  const there = await visitor(browser, '/bikes', 'fr-FR')
  await there.getByRole('button', { name: 'Écrivez-nous' }).click()
  const field = there.getByLabel('Votre message')
  await field.fill('Bonjour, faut-il réserver ?')
  await field.press('Enter')
  const log = there.getByRole('log', { name: 'Conversation' })
  await signIn(page, 'tamsin')
  await page.goto(`${address}/inbox?channel=chat&given=anybody`)
  await page.getByRole('list').getByText('Bonjour, faut-il réserver ?').click()
  await expect(page.getByTestId('visitor')).toContainText('French')

  await there.context().setOffline(true)
  await field.fill('Pour deux vélos')
  await field.press('Enter')
  await expect(log).toContainText('en route')
  await page.getByLabel('Write an answer').fill('Non, seulement à partir de six.')
  await page.getByRole('button', { name: 'Send', exact: true }).click()
  await there.context().setOffline(false)
  await expect(log).not.toContainText('en route')
  await expect(log.getByText('Non, seulement à partir de six.')).toHaveCount(1)
  await expect(log.getByText('Pour deux vélos')).toHaveCount(1)
  await expect(page.locator('article').filter({ hasText: 'Pour deux vélos' })).toHaveCount(1)
  await there.reload()
  await there.getByRole('button', { name: 'Écrivez-nous' }).click()
  await expect(log.getByText('Pour deux vélos')).toHaveCount(1)
})

test('a page that is not on the list gets no box that answers', async ({ browser }) => {
  const there = await visitor(browser, '/')
  // The same site under another name is another origin.
  await there.goto(ferrysite.replace('127.0.0.1', 'localhost'))
  await there.getByRole('button', { name: 'Write to us' }).click()
  await expect(there.getByRole('alert')).toContainText('The chat does not answer.')
})
