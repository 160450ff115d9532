import { expect, test } from '@playwright/test'
import { accessible, address, asCustomer, mailroom, openNets, signIn, textmast } from './support/world.ts'

test.describe.configure({ mode: 'serial' })

test('an account on a searched network: who names us is answered there; what they change and delete is seen', async ({
  page,
}) => {
  const skimmer = openNets[0]!
  await signIn(page, 'wynn')
  await page.goto(`${address}/set-up/profiles`)
  await page.getByRole('button', { name: 'Connect on Skimmer' }).click()
  await page.getByRole('button', { name: 'Grant access' }).click()
  await expect(page.getByText('1 profile connected')).toBeVisible()
  const account = page.getByRole('row', { name: /Skerrivane Ferries short posts · Skimmer/ })
  await expect(account.getByTestId('status')).toHaveText('connected')
  await accessible(page)
  const posted = await fetch(`${skimmer}/posts`, {
    method: 'POST',
    body: new URLSearchParams({ name: 'Thea Quist', content: '@skerrivane do you lend umbrellas?' }),
    redirect: 'manual',
  })
  const post = skimmer + (posted.headers.get('location') ?? '')
  await page.goto(`${address}/inbox?order=newest`)
  const row = page.locator('[data-thread]').filter({ hasText: 'do you lend umbrellas?' })
  await row.click()
  await expect(page.getByText('Public answer as Skerrivane Ferries')).toBeVisible()
  await page.getByLabel('Write an answer').fill('We do, at every desk.')
  await page.getByRole('button', { name: 'Send and finish' }).click()
  await expect.poll(async () => (await fetch(post)).text()).toContain('We do, at every desk.')
  await page.goto(`${address}/inbox?order=newest&state=any`)
  await row.click()
  await page.getByRole('button', { name: 'Edit', exact: true }).click()
  await page.getByLabel('New words for this answer').fill('We do, at every desk, for free.')
  await page.getByRole('button', { name: 'Change it there' }).click()
  await expect.poll(async () => (await fetch(post)).text()).toContain('at every desk, for free.')
  await expect(page.locator('article.ours')).toContainText('We do, at every desk, for free.')
  await asCustomer(`${post}/edit`, { content: '@skerrivane do you lend umbrellas? Edit: found one.' })
  const theirs = page.locator('article:not(.ours)')
  await theirs.getByTestId('edited').click()
  await expect(theirs.getByTestId('before')).toContainText('do you lend umbrellas?')
  await accessible(page)
  await asCustomer(`${post}/delete`, {})
  await expect(page.getByTestId('deleted')).toBeVisible()
  await expect(page.getByText('What was said here was deleted')).toBeVisible()
})

test('a text message is answered as one, counted in parts, and arrives; who says STOP gets no more', async ({
  page,
}) => {
  await signIn(page, 'wynn')
  await page.goto(`${address}/set-up/profiles`)
  await page.getByRole('button', { name: 'Connect on Textmast' }).click()
  await page.getByRole('button', { name: 'Grant access' }).click()
  await expect(page.getByText('1 profile connected')).toBeVisible()
  const line = `${textmast}/numbers/${encodeURIComponent('+441632960100')}`
  await asCustomer(line, { from: '+44 7700 900999', text: 'Do you lend umbrellas on the Little Auk?' })
  await page.goto(`${address}/inbox?order=newest&channel=texts&state=any`)
  const row = page.locator('[data-thread]').filter({ hasText: 'on the Little Auk?' })
  await row.click()
  await expect(page.getByText('Private answer as Sound of Orrin line')).toBeVisible()
  const box = page.getByLabel('Write an answer')
  await box.fill('We do, at every desk. ⛴')
  await expect(page.getByText('1 text message, 47 characters left; special')).toBeVisible()
  await accessible(page)
  await page.getByRole('button', { name: 'Send', exact: true }).click()
  await expect(page.locator('article.ours').getByTestId('action')).toContainText('delivered')
  await expect.poll(async () => (await fetch(line)).text()).toContain('We do, at every desk.')
  await asCustomer(line, { from: '+44 7700 900999', text: 'Stop, thank you' })
  await expect(page.getByText('They asked to hear nothing more from you here')).toBeVisible()
  await expect(box).toHaveCount(0)
})

test('a mail is read without its quotes, answered with a file, and its answer comes back into the thread', async ({
  page,
}) => {
  await signIn(page, 'wynn')
  await page.goto(`${address}/set-up/profiles`)
  await page.getByRole('button', { name: 'Connect an address' }).click()
  const sheet = page.getByRole('dialog', { name: 'E-mail address' })
  await sheet.getByLabel('Address', { exact: true }).fill('hello@skerrivane.example')
  await sheet.getByLabel('Name that customers see').fill('Skerrivane Ferries')
  const at = Number(new URL(textmast).port) - 10
  for (const [i, port] of [at + 11, at + 8].entries()) {
    await sheet.getByLabel('Server', { exact: true }).nth(i).fill('127.0.0.1')
    await sheet.getByLabel('Port', { exact: true }).nth(i).fill(String(port))
    await sheet.getByText('encrypted from the first byte').nth(i).click()
  }
  await sheet.getByLabel('Password').first().fill('wrong')
  await sheet.getByRole('button', { name: 'Try and connect' }).click()
  await expect(sheet.getByText('The server refused the user name or password').first()).toBeVisible()
  await accessible(page)
  await sheet.getByLabel('Password').first().fill('sound-of-orrin')
  await sheet.getByRole('button', { name: 'Try and connect' }).click()
  await expect(sheet).toHaveCount(0)
  const profile = page.getByRole('row').filter({ hasText: 'hello@skerrivane.example' })
  await expect(profile).toContainText('connected')
  const write = (more: Record<string, string>) =>
    asCustomer(`${mailroom}/write`, {
      from: 'Perpetua Quill <perpetua@post.example>',
      to: 'hello@skerrivane.example',
      subject: 'Umbrellas on the Little Auk',
      answered: '',
      ...more,
    })
  await write({ text: 'Do you sell umbrellas on board?\n\nKind regards,\nPerpetua' })
  await profile.getByRole('button', { name: 'Check now' }).click()
  await page.goto(`${address}/inbox?order=newest&channel=email&state=any`)
  const row = page.locator('[data-thread]').filter({ hasText: 'sell umbrellas on board' })
  await row.click()
  await expect(page.locator('article.lead .said')).toHaveText('Do you sell umbrellas on board?')
  await page.getByTestId('folded').click()
  await expect(page.getByText('Kind regards,')).toBeVisible()
  await page.getByTestId('add-files').setInputFiles({
    name: 'prices.txt',
    mimeType: 'text/plain',
    buffer: Buffer.from('Umbrella: 6.50'),
  })
  await expect(page.getByTestId('files')).toContainText('prices.txt')
  const words = page.getByRole('textbox', { name: 'Write an answer' })
  await words.click()
  // The editor comes meanwhile, and no key is lost.
  await page.keyboard.type('We do; the ')
  const bold = page.getByRole('button', { name: 'Bold' })
  await bold.click()
  await page.keyboard.type('prices')
  await bold.click()
  await page.keyboard.type(' are beside this.')
  await expect(words.locator('strong')).toHaveText('prices')
  await expect(words).toHaveText('We do; the prices are beside this.')
  await page.keyboard.press('Control+End')
  await page.keyboard.press('Enter')
  await page.getByRole('button', { name: 'List', exact: true }).click()
  await page.keyboard.type('small')
  await page.keyboard.press('Enter')
  await page.keyboard.type('large, at ')
  await page.getByRole('button', { name: 'Link', exact: true }).click()
  await page.getByLabel('Address of the page').fill('javascript:alert(1)')
  await page.keyboard.press('Enter')
  await expect(page.getByText('This is no address of a page')).toBeVisible()
  await page.getByLabel('Address of the page').fill('skerrivane.example/shop')
  await page.keyboard.press('Enter')
  await expect(words.locator('li a')).toHaveText('skerrivane.example/shop')
  await accessible(page)
  // Kept on the server with its layout, and its file beside it.
  const thread = `${address}/api/threads/${await row.getAttribute('data-thread')}`
  await expect
    .poll(
      async () =>
        ((await (await page.request.get(thread)).json()) as { draft: { text: string } }).draft?.text,
    )
    .toContain('[skerrivane.example/shop]')
  await page.evaluate(() => localStorage.clear())
  await page.reload()
  await expect(words.locator('strong')).toHaveText('prices')
  await expect(words.locator('li')).toHaveCount(2)
  await expect(page.getByTestId('files')).toContainText('prices.txt')
  await page.getByRole('button', { name: 'Send and finish' }).click()
  const sent = async () => {
    const mails = (await (await fetch(`${mailroom}/api/mails?to=perpetua@post.example`)).json()) as {
      messageId: string
      files: string[]
      html: string
    }[]
    return mails[0]
  }
  await expect.poll(async () => (await sent())?.files).toEqual(['prices.txt, 14'])
  expect((await sent())!.html.replaceAll('\n', '')).toBe(
    '<p>We do; the <strong>prices</strong> are beside this.</p><ul><li>small</li><li>large, at <a href="https://skerrivane.example/shop">skerrivane.example/shop</a></li></ul>',
  )
  await write({
    subject: 'Re: Umbrellas on the Little Auk',
    text: 'Two, please.',
    answered: (await sent())!.messageId,
  })
  await page.goto(`${address}/set-up/profiles`)
  await profile.getByRole('button', { name: 'Check now' }).click()
  await page.goto(`${address}/inbox?order=newest&channel=email`)
  await page.locator('[data-thread]').filter({ hasText: 'Two, please.' }).click()
  await expect(page.locator('article')).toHaveCount(3)
  await expect(page.locator('article.ours')).toContainText('prices.txt')
  await expect(page.locator('article.ours .marked li')).toHaveText([
    'small',
    'large, at skerrivane.example/shop',
  ])
})

test('mails are taken apart where another thing begins, and brought together again', async ({ page }) => {
  await signIn(page, 'wynn')
  await page.goto(`${address}/inbox?order=newest&channel=email&given=anybody&state=any`)
  await page.locator('[data-thread]').filter({ hasText: 'Two, please.' }).click()
  await expect(page.locator('article')).toHaveCount(3)
  await page.getByRole('button', { name: 'Split from here' }).click()
  await expect(page.getByText('Split into a thread of its own')).toBeVisible()
  await expect(page.locator('[data-thread]').filter({ hasText: 'Do you sell umbrellas' })).toBeVisible()
  await page.locator('[data-thread]').filter({ hasText: 'Two, please.' }).click()
  await expect(page.locator('article')).toHaveCount(1)

  await page.keyboard.press('m')
  await page.getByRole('menuitem', { name: 'Merge with another thread' }).click()
  const sheet = page.getByRole('dialog', { name: 'Merge with another thread' })
  await expect(sheet.getByRole('listitem')).toContainText(['Do you sell umbrellas on board?'])
  await accessible(page)
  await sheet
    .getByRole('listitem')
    .filter({ hasText: 'Do you sell umbrellas' })
    .getByRole('button', { name: 'Merge' })
    .click()
  await expect(page.getByText('Threads merged')).toBeVisible()
  await expect(page.locator('article')).toHaveCount(3)
  await page.getByRole('button', { name: /^Undo/ }).click()
  await expect(page.getByText('Undone', { exact: true })).toBeVisible()
  await expect(page.locator('article')).toHaveCount(1)
})

test('a comment stands under its post with the picture, is answered with one, and elsewhere by e-mail', async ({
  page,
}) => {
  await signIn(page, 'wynn')
  const { rows } = (await (
    await page.request.get(
      `${address}/api/entries?unit=entries&channel=pages&kind=comment&state=any&time=all&language=en&limit=200`,
    )
  ).json()) as { rows: { threadId: number; text: string }[] }
  let thread = 0
  // The page of the network shows its newest posts alone; this one may be older, and has a page of its own.
  let postPage = ''
  // What is answered below says nothing to a question, which would be asked about first.
  for (const { threadId } of rows.filter(({ text }) => !text.includes('?'))) {
    const answer = await page.request.get(`${address}/api/threads/${threadId}`)
    const { post } = (await answer.json()) as {
      post: { pictures: unknown[]; others: number; url: string } | null
    }
    if (post?.pictures.length && post.others) {
      thread = threadId
      postPage = post.url
      break
    }
  }
  await page.goto(`${address}/inbox/${thread}?channel=pages&state=any&given=anybody&time=all`)
  const post = page.getByTestId('post')
  const picture = post.getByRole('img').first()
  await expect.poll(() => picture.evaluate((img: HTMLImageElement) => img.naturalWidth)).toBeGreaterThan(100)
  await expect(picture).toHaveAttribute('src', /^\/api\/pictures\/\d+\/preview$/)
  await post.getByText(/other answers? under it/).click()
  await expect(post.getByRole('link').last()).toBeVisible()
  await accessible(page)

  const dot = Buffer.from(
    'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
    'base64',
  )
  await page.getByTestId('add-files').setInputFiles({ name: 'deck.png', mimeType: 'image/png', buffer: dot })
  await expect(page.getByTestId('pictures')).toBeVisible()
  await page.getByLabel('Write an answer').fill('This is how the deck looks now.')
  await page.getByRole('button', { name: 'Send', exact: true }).click()
  await expect
    .poll(async () => (await fetch(postPage)).text())
    .toMatch(/<img src="\/media\/\w+"[^>]*><p>This is how the deck looks now\./)

  await page.goto(`${address}/inbox/${thread}?channel=pages&state=any&given=anybody&time=all`)
  await page.getByTestId('other-way').click()
  const sheet = page.getByRole('dialog', { name: 'Answer by e-mail' })
  await sheet.getByLabel('Their e-mail address').fill('nowhere')
  await sheet.getByRole('button', { name: 'Answer there' }).click()
  await expect(sheet.getByText('this is not an e-mail address')).toBeVisible()
  await accessible(page)
  await sheet.getByLabel('Their e-mail address').fill('aster@post.example')
  await sheet.getByRole('button', { name: 'Answer there' }).click()
  await expect(page.getByTestId('handed-off')).toHaveText('Goes to aster@post.example')
  await page.getByLabel('Write an answer').fill('More about it here, where there is room.')
  await page.getByRole('button', { name: 'Send', exact: true }).click()
  await expect
    .poll(async () => (await fetch(`${mailroom}/api/mails?to=aster@post.example`)).text())
    .toContain('More about it here')
})
