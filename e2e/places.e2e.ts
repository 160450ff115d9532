import { expect, test } from '@playwright/test'
import sharp from 'sharp'
import { accessible, address, signIn } from './support/world.ts'

test('a place without hours is named where it is felt, gets hours and holidays, and goes again', async ({
  page,
}) => {
  await signIn(page, 'ivo')
  await page.goto(`${address}/set-up/places`)
  await expect(page.getByRole('listitem').filter({ hasText: 'Port Ellery' })).toContainText('06:00–22:00')
  await accessible(page)
  await page.getByRole('button', { name: 'Add a place' }).click()
  const added = page.getByRole('dialog', { name: 'Add a place' })
  await added.getByLabel('Name', { exact: true }).fill('Tern Skerry')
  await added.getByText('Not known: due times run day and night').click()
  await added.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByTestId('gap')).toContainText(
    'Tern Skerry has no opening hours, so its due times run day and night.',
  )

  const row = page.getByRole('listitem').filter({ hasText: 'Tern Skerry' })
  await row.getByRole('button', { name: 'Edit' }).click()
  const sheet = page.getByRole('dialog', { name: 'Tern Skerry' })
  await sheet.getByText('These hours').click()
  await sheet.getByLabel('Monday').fill('from nine')
  await sheet.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(sheet.getByRole('alert')).toContainText('These hours cannot be read')
  for (const day of ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday'])
    await sheet.getByLabel(day).fill('9-12.30, 14:00–17:00')
  await sheet.getByLabel('Saturday').fill('22:00–02:00')
  const year = new Date().getFullYear() + 1
  await sheet.getByTestId('holidays').setInputFiles({
    name: 'holidays.ics',
    mimeType: 'text/calendar',
    buffer: Buffer.from(
      `BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:x\r\nBEGIN:VEVENT\r\nUID:1\r\nDTSTART;VALUE=DATE:${year}0105\r\nSUMMARY:Day of the Heron\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n`,
    ),
  })
  await expect(sheet.getByRole('status').filter({ hasText: '1 day found' })).toBeVisible()
  await accessible(page)
  await sheet.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(row).toContainText('Mon–Fri 09:00–12:30, 14:00–17:00')
  await expect(row).toContainText('Sat 22:00–02:00')
  await expect(row).toContainText('1 special day')
  await expect(page.getByTestId('gap')).toHaveCount(0)

  await row.getByRole('button', { name: 'Edit' }).click()
  await sheet.getByRole('button', { name: 'Remove the place' }).click()
  await expect(row).toHaveCount(0)
})

test('due times: an exception is added, kept, and taken out again', async ({ page }) => {
  await signIn(page, 'ivo')
  await page.goto(`${address}/set-up/places`)
  await page.getByRole('button', { name: 'Add an exception' }).click()
  await page.getByRole('textbox', { name: 'Hours' }).fill('0,5')
  await page.getByRole('main').getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByText('Saved. What is open gets its new due times in a moment.')).toBeVisible()
  await page.reload()
  await expect(page.getByRole('textbox', { name: 'Hours' })).toHaveValue('0.5')
  await accessible(page)
  await page.getByRole('main').getByRole('button', { name: 'Remove' }).click()
  await page.getByRole('main').getByRole('button', { name: 'Save', exact: true }).click()
  await page.reload()
  await expect(page.getByRole('button', { name: 'Add an exception' })).toBeVisible()
  await expect(page.getByRole('textbox', { name: 'Hours' })).toHaveCount(0)
})

test('what the public sees: a colour and a logo, with a sample', async ({ page }) => {
  await signIn(page, 'ivo')
  await page.goto(`${address}/set-up/places`)
  const look = page.getByTestId('look')
  await look.getByLabel('Colour').fill('#aa3311')
  await expect(look.locator('.sample .opener')).toHaveCSS('background-color', 'rgb(170, 51, 17)')
  await look.getByRole('button', { name: 'Save the colour' }).click()
  await page.reload()
  await expect(look.getByText('#aa3311')).toBeVisible()
  const logo = await sharp({ create: { width: 300, height: 120, channels: 3, background: '#aa3311' } })
    .png()
    .toBuffer()
  await look.getByLabel('Logo').setInputFiles({ name: 'logo.png', mimeType: 'image/png', buffer: logo })
  await expect(look.getByRole('img', { name: 'Logo' })).toBeVisible()
  await accessible(page)
  await look
    .getByLabel('Logo')
    .setInputFiles({ name: 'x.png', mimeType: 'image/png', buffer: Buffer.from('no') })
  await expect(look.getByRole('alert')).toContainText('This is no picture that can be shown')
  await look.getByRole('button', { name: 'Remove the logo' }).click()
  await expect(look.getByRole('img', { name: 'Logo' })).toHaveCount(0)
  await look.getByRole('button', { name: 'Murrabel’s own' }).click()
  await look.getByRole('button', { name: 'Save the colour' }).click()
})
