import { expect, test } from '@playwright/test'
import { Secret, TOTP } from 'otpauth'
import { accessible, address, mailroom, signIn } from './support/world.ts'

const email = 'ailith@skerrivane.example'
/** The link of the latest mail to somebody. */
async function linkTo(to: string): Promise<string> {
  let link = ''
  await expect
    .poll(async () => {
      const mails = (await (await fetch(`${mailroom}/api/mails?to=${to}`)).json()) as { text: string }[]
      link = /(\/(?:join|new-password)\/[\w-]+)/.exec(mails.at(-1)?.text ?? '')?.[1] ?? ''
      return link
    })
    .not.toBe('')
  return link
}

test('a colleague is invited by mail, joins, is limited, forgets the password, and leaves', async ({
  page,
  browser,
}) => {
  await signIn(page, 'ivo')
  await page.goto(`${address}/set-up/colleagues`)
  await accessible(page)
  await page.getByRole('button', { name: 'Invite somebody' }).click()
  const sheet = page.getByRole('dialog', { name: 'Invite somebody' })
  await sheet.getByRole('button', { name: 'Send the invitation' }).click()
  await expect(sheet.getByRole('alert').first()).toBeVisible()
  await sheet.getByLabel('E-mail address').fill(email)
  await accessible(page)
  await sheet.getByRole('button', { name: 'Send the invitation' }).click()
  await expect(page.getByRole('listitem').filter({ hasText: email })).toContainText('Specialist')

  const guest = await (await browser.newContext()).newPage()
  await guest.goto(address + (await linkTo(email)))
  await expect(guest.getByRole('heading')).toHaveText('Join Skerrivane Ferries')
  await accessible(guest)
  await guest.getByLabel('Your name').fill('Ailith Rowe')
  await guest.getByLabel('New password').fill('short')
  await guest.getByRole('button', { name: 'Join' }).click()
  await expect(guest.getByText('A password has at least 10 characters.')).toBeVisible()
  await guest.getByLabel('New password').fill('galley and bacon rolls')
  await guest.getByRole('button', { name: 'Join' }).click()
  await expect(guest).toHaveURL(/\/today/)

  const row = page.getByRole('listitem').filter({ hasText: 'Ailith Rowe' })
  await expect(row).toContainText('sees all of it')
  await row.getByRole('button', { name: 'Edit' }).click()
  const edit = page.getByRole('dialog', { name: 'Ailith Rowe' })
  await edit.getByText(/^Reader/).click()
  await edit.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(row).toContainText('Reader')

  await guest.goto(`${address}/set-up/account`)
  await expect(guest.getByText('this device')).toBeVisible()
  await accessible(guest)
  const forgetful = await (await browser.newContext()).newPage()
  await forgetful.goto(`${address}/sign-in`)
  await forgetful.getByRole('link', { name: 'Password forgotten?' }).click()
  // The page for signing in has such a field as well.
  await expect(forgetful.getByRole('heading', { name: 'Password forgotten?' })).toBeVisible()
  await forgetful.getByLabel('E-mail address').fill(email)
  await forgetful.getByRole('button', { name: 'Send me a link' }).click()
  await expect(forgetful.getByRole('main').getByRole('status')).toContainText('a link is on its way')
  await expect.poll(() => linkTo(email)).toContain('/new-password/')
  await forgetful.goto(address + (await linkTo(email)))
  await forgetful.getByLabel('New password').fill('a wholly new one')
  await forgetful.getByRole('button', { name: 'Change the password' }).click()
  await expect(forgetful.getByRole('main').getByRole('status')).toContainText('Your password is changed')
  // Every device is signed out.
  await guest.goto(`${address}/inbox`)
  await expect(guest).toHaveURL(/\/sign-in/)

  await row.getByRole('button', { name: 'Edit' }).click()
  await edit.getByRole('button', { name: 'They work here no longer' }).click()
  await edit.getByRole('button', { name: 'Let Ailith Rowe go' }).click()
  await expect(row).toHaveCount(0)
})

test('whoever works on two brands goes over to the other and back', async ({ page }) => {
  await signIn(page, 'ivo')
  await page.getByRole('button', { name: 'Brand menu' }).click()
  await page.getByRole('menuitem', { name: 'Go to Orrin Sound Kayaks' }).click()
  await expect(page.getByRole('button', { name: 'Brand menu' })).toContainText('Orrin Sound Kayaks2 places')
  await page.goto(`${address}/set-up/places`)
  await expect(page.getByTestId('gap')).toContainText('Port Ellery Slip has no opening hours')
  await page.getByRole('button', { name: 'Brand menu' }).click()
  await page.getByRole('menuitem', { name: 'Go to Skerrivane Ferries' }).click()
  await expect(page.getByRole('button', { name: 'Brand menu' })).toContainText('Skerrivane Ferries')
})

test('a second factor is switched on, asked for, and switched off', async ({ page, browser }) => {
  await signIn(page, 'rowan')
  await page.goto(`${address}/set-up/account`)
  const factor = page.getByTestId('second-factor')
  await factor.getByRole('button', { name: 'Switch it on' }).click()
  await factor.getByLabel('Enter your password first').fill('sound-of-orrin')
  await factor.getByRole('button', { name: 'Go on' }).click()
  await expect(factor.getByRole('img', { name: 'The key as a picture for the app' })).toBeVisible()
  await accessible(page)
  const key = (await factor.getByTestId('secret').textContent())!.replace(/\s/g, '')
  const app = new TOTP({ secret: Secret.fromBase32(key) })
  await factor.getByLabel('The code the app shows now').fill(app.generate())
  await factor.getByRole('button', { name: 'Switch on', exact: true }).click()
  await expect(factor).toContainText('10 recovery codes are left')
  const recovery = (await factor.getByTestId('shown-once').textContent())!.trim().split(/\s+/)[0]!

  const other = await (await browser.newContext()).newPage()
  await other.goto(`${address}/sign-in`)
  await other.getByLabel('E-mail address').fill('rowan@skerrivane.example')
  await other.getByLabel('Password', { exact: true }).fill('sound-of-orrin')
  await other.getByRole('button', { name: 'Sign in' }).click()
  const code = other.getByLabel('Code of your app, or a recovery code')
  await expect(code).toBeFocused()
  await code.fill('aaaaa-aaaaa')
  await other.getByRole('button', { name: 'Sign in' }).click()
  await expect(other.getByRole('alert')).toContainText('This code is not the one of now')
  await code.fill(recovery)
  await other.getByRole('button', { name: 'Sign in' }).click()
  await expect(other).toHaveURL(/\/today/)
  await other.goto(`${address}/set-up/account`)
  const there = other.getByTestId('second-factor')
  await expect(there).toContainText('9 recovery codes are left')
  await there.getByRole('button', { name: 'Switch it off' }).click()
  await there.getByLabel('Enter your password first').fill('sound-of-orrin')
  await there.getByRole('button', { name: 'Go on' }).click()
  await expect(there).toContainText('Off.')
})

test('a team is made, and takes over for somebody who is away', async ({ page, browser }) => {
  await signIn(page, 'wynn')
  await page.goto(`${address}/set-up/colleagues`)
  const teams = page.getByTestId('teams')
  await teams.getByRole('button', { name: 'Add a team' }).click()
  const sheet = page.getByRole('dialog', { name: 'Add a team' })
  await sheet.getByLabel('Name').fill('Guest care')
  await sheet.getByText('Tamsin Kerr').click()
  await accessible(page)
  await sheet.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(teams.getByRole('listitem').filter({ hasText: 'Guest care' })).toContainText('Tamsin Kerr')

  const row = page.getByRole('listitem').filter({ hasText: 'Ivo Oduya' })
  const ivo = await (await browser.newContext()).newPage()
  await signIn(ivo, 'ivo')
  await ivo.goto(`${address}/set-up/account`)
  const away = ivo.getByTestId('away')
  await away.getByRole('button', { name: 'Save the days' }).click()
  await expect(away.getByRole('alert').first()).toBeVisible()
  await away.getByPlaceholder('from').fill(new Date().toISOString().slice(0, 10))
  await away
    .getByPlaceholder('to', { exact: true })
    .fill(new Date(Date.now() + 4 * 86_400_000).toISOString().slice(0, 10))
  await away.getByPlaceholder('to', { exact: true }).press('Enter')
  await away.getByTestId('taker').click()
  await ivo.getByRole('option', { name: 'team Guest care' }).click()
  await accessible(ivo)
  await away.getByRole('button', { name: 'Save the days' }).click()
  await expect(away.getByRole('button', { name: 'There again' })).toBeVisible()
  await expect(row).toContainText('team Guest care takes over')
  await accessible(page)
  await away.getByRole('button', { name: 'There again' }).click()
  await expect(row).not.toContainText('away')
})
