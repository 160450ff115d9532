import { expect, test } from '@playwright/test'
import { accessible, address, ferrysite, signIn } from './support/world.ts'

test('another program hears what happens; each message is listed and sent again', async ({ page }) => {
  await signIn(page, 'wynn')
  await page.goto(`${address}/set-up/keys`)
  const hooks = page.getByTestId('hooks')
  await hooks.getByRole('button', { name: 'Add an address' }).click()
  const sheet = page.getByRole('dialog', { name: 'Add an address' })
  await sheet.getByRole('button', { name: 'Save' }).click()
  await expect(sheet.getByRole('alert').first()).toBeVisible()
  await sheet.getByLabel('Name').fill('Board in the crew room')
  await sheet.getByLabel('Address').fill(`${ferrysite}/keeper/board`)
  await sheet.getByText('a follow-up made').click()
  await sheet.getByText('a thread finished').click()
  await accessible(page)
  await sheet.getByRole('button', { name: 'Save' }).click()
  await expect(hooks.getByTestId('shown-once')).toContainText('whsec_')
  const row = hooks.getByRole('listitem').filter({ hasText: 'Board in the crew room' })
  await expect(row).toContainText('nothing has arrived yet')
  await row.getByRole('button', { name: 'Messages' }).click()
  await row.getByRole('button', { name: 'Send a test' }).click()
  const message = page.getByTestId('deliveries').getByRole('listitem').first()
  await expect(message).toContainText('arrived')
  await accessible(page)
  const heard = async () =>
    (await (await fetch(`${ferrysite}/keeper/board.json`)).json()) as { id: string; body: string }[]
  expect(JSON.parse((await heard())[0]!.body)).toMatchObject({
    type: 'test',
    data: { brand: { name: 'Skerrivane Ferries' } },
  })
  await message.getByRole('button', { name: 'Send again' }).click()
  await expect(message).toContainText('arrived')
  await message.getByText('a test').click()
  await expect(message.locator('pre')).toContainText('"type": "test"')
  await row.getByRole('button', { name: 'Remove' }).click()
  await expect(row).toHaveCount(0)
})

test('the log tells who did what, is narrowed by its lens, and leads to the thread', async ({ page }) => {
  await signIn(page, 'wynn')
  await page.goto(`${address}/set-up/log`)
  const log = page.getByTestId('log')
  await expect(log.getByRole('listitem').first()).toContainText('Wynn Adair')
  await accessible(page)
  await page.getByRole('button', { name: 'anything' }).click()
  await page.getByText('colleagues', { exact: true }).click()
  await page.getByRole('button', { name: 'Show', exact: true }).click()
  await expect(page).toHaveURL(/concerns=colleague/)
  await expect(log.getByRole('listitem').filter({ hasText: 'signed in' }).first()).toBeVisible()
  await expect(log.getByRole('listitem').filter({ hasText: 'finished a thread' })).toHaveCount(0)
  const table = page.waitForEvent('download')
  await page.getByRole('link', { name: 'Export as CSV' }).click()
  expect((await table).suggestedFilename()).toBe('murrabel-log.csv')
})
