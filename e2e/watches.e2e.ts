import { expect, test, type Locator, type Page } from '@playwright/test'
import RssParser from 'rss-parser'
import {
  accessible,
  address,
  asCustomer,
  lanternpage,
  mailroom,
  openNets,
  press,
  settledCount,
  signIn,
} from './support/world.ts'

test.describe.configure({ mode: 'serial' })

/** Whether a text of the demo world speaks of the pattern or the song, and not of the ferries. */
const isTrap = (text: string) =>
  /knit|wool|yarn|needle|skein|swatch|gauge|sleeve|yoke|steek|nephew|kitchen floor|chart|song|sang|sung|verse|choir|chorus|tune|melody|fiddle|concertina|chords|session last night/i.test(
    text,
  )

/** Everything under a lens, as the server gives it to whoever is signed in on the page. */
async function textsOf(page: Page, lens: string): Promise<string[]> {
  const texts: string[] = []
  for (let after = ''; ;) {
    const answer = await page.request.get(`${address}/api/entries?unit=entries&limit=100&${lens}${after}`)
    const { rows, next } = (await answer.json()) as {
      rows: { title: string | null; text: string }[]
      next: string | null
    }
    texts.push(...rows.map(({ title, text }) => `${title ?? ''} ${text}`))
    if (next === null) return texts
    after = `&after=${next}`
  }
}

/** Chooses an option of a select by its label. */
async function choose(page: Page, label: string, option: string): Promise<void> {
  const box = page.getByLabel(label, { exact: true })
  await box.locator('xpath=ancestor::div[contains(@class, "el-select__wrapper")]').click()
  const list = await box.getAttribute('aria-controls')
  await page.locator(`[id="${list}"]`).getByRole('option', { name: option, exact: true }).click()
}

const watchNamed = async (page: Page, name: string): Promise<number> =>
  ((await (await page.request.get(`${address}/api/watches`)).json()) as { id: number; name: string }[]).find(
    (watch) => watch.name === name,
  )!.id

async function makeWatch(page: Page, name: string, terms: readonly string[]): Promise<void> {
  await page.goto(`${address}/watch`)
  await page.getByRole('button', { name: 'New watch' }).first().click()
  for (const term of terms) {
    await page.getByLabel('Any of these').fill(term)
    await page.getByLabel('Any of these').press('Enter')
  }
  await page.getByLabel('Name').fill(name)
  await page.getByRole('button', { name: 'Try it' }).click()
  await expect(page.getByTestId('trial')).toBeVisible()
}

test('feeds come from a list, and open networks are searched for what the watches ask', async ({ page }) => {
  await signIn(page, 'wynn')
  await page.goto(`${address}/set-up/profiles`)
  const outlines = ['northmoor-notes', 'islands-daily', 'slow-boat', 'five-harbours', 'reel-and-air']
    .map((id) => `<outline type="rss" text="${id}" xmlUrl="${press}/${id}/feed"/>`)
    .join('')
  const connected = page.getByTestId('status').filter({ hasText: /^connected$/ })
  await expect(connected.first()).toBeVisible()
  const before = await connected.count()
  await page.locator('input[type=file]').setInputFiles({
    name: 'feeds.opml',
    mimeType: 'text/x-opml',
    buffer: Buffer.from(`<opml version="2.0"><head/><body>${outlines}</body></opml>`),
  })
  await expect(connected).toHaveCount(before + 5)
  for (const name of ['Skimmer', 'Framelet', 'Reelbarn', 'Talkstead'])
    await page.getByRole('button', { name: `Search ${name}` }).click()
  await expect(page.getByTestId('status').filter({ hasText: /^connected$/ })).toHaveCount(before + 9, {
    timeout: 60_000,
  })
  await accessible(page)
})

/** What was said in rows, without who said it where. */
const wordsOf = (rows: Locator): Promise<string[]> =>
  rows.evaluateAll((list) =>
    list.map((row) => [...row.querySelectorAll('.title, .text')].map((part) => part.textContent).join(' ')),
  )

/** The best proposal that loses nothing marked on topic, and of which a look shows nothing but traps. */
async function harmless(page: Page): Promise<Locator | 'again' | null> {
  for (const item of await page.getByTestId('exclusion').all()) {
    if (!(await item.innerText()).includes(', 0 marked on topic')) continue
    const look = item.getByRole('button', { name: 'See what it would remove' })
    if (!(await look.count())) return item
    await look.click()
    const shown = await item.getByTestId('mention').all()
    let harmful = false
    for (const row of shown)
      if (!isTrap((await wordsOf(row))[0]!)) {
        harmful = true
        await row.getByRole('button', { name: 'On topic' }).click()
      }
    // What a look has marked changes what is proposed.
    if (harmful) return 'again'
    await look.click()
    return item
  }
  return null
}

/** Tries the watch and waits for what it finds. */
async function tryIt(page: Page): Promise<void> {
  const found = page.waitForResponse((response) => response.url().endsWith('/api/watches/tuner'))
  await page.getByRole('button', { name: 'Try it' }).click()
  await found
  await expect(page.getByRole('button', { name: 'Try it' })).toBeEnabled()
}

test('the traps of a name are tuned away by marks and proposals, and nothing that belongs is lost', async ({
  page,
}) => {
  test.setTimeout(180_000)
  // How many the world has depends on the hour at which it is made; on each network these come last.
  const written = [
    'Our choir sang Skerrivane for the last time this year',
    'Blocked my Skerrivane at last, the wool gave me an inch',
    'A fiddle, a flute and the tune of Skerrivane by the fire',
    'The sleeves of my Skerrivane are knitted, the yoke comes next',
  ]
  for (const [i, content] of written.entries())
    await asCustomer(`${openNets[i]}/posts`, { name: 'Yvaine Arkle', title: 'Skerrivane', content })
  await signIn(page, 'tamsin')
  await makeWatch(page, 'Skerrivane', ['skerrivane'])
  await page.getByRole('button', { name: 'Save watch' }).click()
  await expect(page.getByRole('heading', { name: 'Skerrivane' })).toBeVisible()
  const id = await watchNamed(page, 'Skerrivane')
  // The open networks are searched for the new word; what they bring is looked at in the same form.
  await expect
    .poll(
      async () => {
        const texts = await textsOf(page, `watch=${id}&time=all`)
        return written.filter((each) => texts.some((text) => text.includes(each))).length
      },
      { timeout: 60_000 },
    )
    .toBe(written.length)
  const before = await textsOf(page, `watch=${id}&time=last-90`)
  expect(before.filter(isTrap).length).toBeGreaterThanOrEqual(written.length)

  await page.getByRole('button', { name: 'Tune' }).click()
  await tryIt(page)
  const sample = page.getByTestId('sample')
  const hits = async () => Number(/([\d,]+) hits?/.exec(await page.getByTestId('trial').innerText())?.[1])
  // Until a second sample of what nobody has marked shows none of the others any more.
  for (let clean = 0, round = 0; clean < 2 && round < 20; round++) {
    const texts = await wordsOf(sample.getByRole('listitem'))
    await sample.focus()
    for (const text of texts) await page.keyboard.press(isTrap(text) ? 'n' : 'y')
    await expect(page.getByText(`${texts.length} of ${texts.length} marked`)).toBeVisible()
    await tryIt(page)
    await expect(page.getByTestId('verdict')).toContainText(/on topic \(/)
    let chosen = await harmless(page)
    while (chosen === 'again') {
      await tryIt(page)
      chosen = await harmless(page)
    }
    clean = chosen || texts.some(isTrap) ? 0 : clean + 1
    if (!chosen) continue
    const effect = Number(/removes ([\d,]+) of/.exec(await chosen.innerText())?.[1])
    const had = await hits()
    const found = page.waitForResponse((response) => response.url().endsWith('/api/watches/tuner'))
    await chosen.getByRole('button', { name: 'Exclude' }).click()
    await found
    await expect.poll(hits).toBe(had - effect)
  }
  await page.getByRole('button', { name: 'Save watch' }).click()
  await expect(page.locator('.watch-sheet')).toBeHidden()
  await expect
    .poll(async () => (await textsOf(page, `watch=${id}&time=last-90`)).filter(isTrap).length, {
      timeout: 60_000,
    })
    .toBe(0)
  const after = await textsOf(page, `watch=${id}&time=last-90`)
  const relevant = (texts: readonly string[]) => texts.filter((text) => !isTrap(text)).sort()
  expect(relevant(after)).toEqual(relevant(before))
})

test('copies of one story are one row, which opens them all', async ({ page }) => {
  await signIn(page, 'tamsin')
  const id = await watchNamed(page, 'Skerrivane')
  await page.goto(`${address}/watch?watch=${id}&view=mentions&channel=news&time=last-90`)
  const all = await settledCount(page, (n) => n > 5)
  const fold = page.getByRole('button', { name: /stories folded|copy of a story folded/ })
  await expect(fold).toBeVisible()
  const copied = page.getByTestId('copies').first()
  const copies = Number(/and (\d+) cop/.exec(await copied.innerText())?.[1])
  expect(copies).toBeGreaterThan(2)
  await fold.click()
  await expect(page.getByTestId('copies')).toHaveCount(0)
  await page.getByRole('button', { name: 'fold copies' }).click()
  await expect(copied).toBeVisible()
  await copied.click()
  await settledCount(page, (n) => n === copies + 1)
  await expect(page.getByRole('button', { name: 'copies of one story' })).toBeVisible()
  await page.goBack()
  await settledCount(page, (n) => n === all)
})

test('from the spike of the engine failure to its cause', async ({ page }) => {
  await signIn(page, 'tamsin')
  const id = await watchNamed(page, 'Storm Petrel')
  await page.goto(`${address}/watch?watch=${id}&view=spikes`)
  const spike = page.getByTestId('spike').first()
  await expect(spike).toContainText(/entries, about \d+ expected/)
  await expect(spike).toContainText('First')
  await accessible(page)
  const phrases = spike.locator('.phrases').first().getByRole('button')
  const told = await phrases.allInnerTexts()
  expect(told.join(' ')).toMatch(/engine|tow|adrift|stranded|breakdown/i)
  const chosen = phrases.filter({ hasText: /engine|tow|adrift|stranded|breakdown/i }).first()
  const n = Number(/(\d+)\s*$/.exec(await chosen.innerText())?.[1])
  await chosen.click()
  await settledCount(page, (count) => count === n)
  await expect(page).toHaveURL(/phrase=/)
  await expect(page.getByTestId('mention').first()).toContainText(/engine|tow|adrift|stranded|breakdown/i)
  await page.goBack()
  await page.getByTestId('spike').first().getByRole('button', { name: 'See the entries' }).click()
  expect(await settledCount(page, (count) => count >= n)).toBeGreaterThanOrEqual(n)
})

test('figures and their tables, voices, rivals: pages without barriers, counts that agree', async ({
  page,
}) => {
  await signIn(page, 'ivo')
  const id = await watchNamed(page, 'Skerrivane')
  await page.goto(`${address}/watch?watch=${id}&view=figures&time=last-90`)
  const all = await settledCount(page, (n) => n > 10)
  await expect(page.getByTestId('mentions')).toHaveText(String(all))
  await accessible(page)
  await page.goto(`${address}/watch?watch=${id}&view=voices&time=last-90`)
  const voice = page.getByTestId('voice').first()
  const entries = Number(await voice.getByRole('cell').nth(2).innerText())
  await accessible(page)
  await voice.getByRole('button').nth(1).click()
  await settledCount(page, (n) => n === entries)
  for (const path of ['rivals', 'alerts', 'teach', 'side-by-side']) {
    await page.goto(`${address}/watch/${path}`)
    await expect(page.getByRole('heading', { level: 2 })).toBeVisible()
    await accessible(page)
  }
})

test('a rival’s public page is looked at by its address; a wrong one stays in the field with its reason', async ({
  page,
}) => {
  await signIn(page, 'tamsin')
  await makeWatch(page, 'Bluefathom Line', ['bluefathom'])
  await page.getByRole('button', { name: 'Save watch' }).click()
  await expect(page.getByRole('heading', { name: 'Bluefathom Line' })).toBeVisible()
  const group = await page.request.post(`${address}/api/groups`, {
    headers: { origin: address },
    data: { name: 'Rivals', kind: 'rivals' },
  })
  await page.reload()
  await page.getByRole('button', { name: 'More', exact: true }).click()
  await page.getByRole('menuitem', { name: 'Rivals' }).click()
  expect(group.ok()).toBe(true)
  await page.getByRole('link', { name: 'Rivals' }).click()
  const field = page.getByLabel('Address of a public profile')
  await field.fill('http://10.0.0.1/pages/x')
  await choose(page, 'Company', 'Bluefathom Line')
  await page.getByRole('button', { name: 'Add' }).click()
  await expect(page.getByRole('alert')).toContainText('This is no address on')
  await expect(field).toHaveValue('http://10.0.0.1/pages/x')
  await field.fill(`${lanternpage}/pages/bluefathom`)
  await page.getByRole('button', { name: 'Add' }).click()
  const side = page.getByTestId('public-side').filter({ hasText: 'Bluefathom Line' })
  await expect(side).toContainText(/audience \+/)
})

test('mentions are chosen with others, tagged and kept, and found again by the lens', async ({ page }) => {
  await signIn(page, 'tamsin')
  const id = await watchNamed(page, 'Skerrivane')
  await page.goto(`${address}/watch?watch=${id}&view=mentions&time=last-90`)
  await settledCount(page, (n) => n > 10)
  await expect(page.getByTestId('mention').nth(1)).toBeVisible()
  await page.keyboard.press('j')
  await page.keyboard.press('x')
  await page.keyboard.press('j')
  await page.keyboard.press('x')
  await expect(page.getByTestId('chosen')).toContainText('2')
  await page.keyboard.press('t')
  const sheet = page.getByRole('dialog')
  await expect(sheet.getByLabel('Tagged')).toBeFocused()
  await sheet.getByLabel('Tagged').fill('festival')
  await sheet.getByRole('button', { name: 'Save tags' }).click()
  await expect(sheet).toBeHidden()
  await expect(page.getByTestId('mention').first()).toContainText('festival')
  await page.keyboard.press('b')
  await expect(page.getByTestId('mention').first()).toContainText('kept')
  await page.goto(`${address}/watch?watch=${id}&view=mentions&time=last-90&kept=yes`)
  await settledCount(page, (n) => n === 2)
  await expect(page.getByRole('button', { name: 'kept', exact: true })).toBeVisible()
})

test('an alert is tried on the past, saved, tells by mail and by its feed, once', async ({ page }) => {
  await signIn(page, 'tamsin')
  const id = await watchNamed(page, 'Storm Petrel')
  await page.goto(`${address}/watch?watch=${id}`)
  await page.getByRole('link', { name: 'New alert' }).click()
  const sheet = page.getByRole('dialog')
  await expect(sheet.getByRole('button', { name: 'Save alert' })).toBeDisabled()
  await sheet.getByRole('button', { name: 'Test on past data' }).click()
  await expect(sheet.getByTestId('alert-trial')).toContainText(/Would have alerted you \d+ times? in 90 days/)
  await accessible(page)
  await choose(page, 'Alert when there is', 'Any mention')
  await expect(sheet).toContainText('Changed since the last test.')
  await choose(page, 'Then stay quiet for', '12 hours')
  await choose(page, 'Sentiment', 'positive')
  await page.keyboard.press('Escape')
  await sheet.getByLabel('By e-mail to').fill('tamsin@skerrivane.example')
  await sheet.getByLabel('By e-mail to').press('Enter')
  await sheet.getByLabel('Name').fill('Praise for the Petrel')
  await sheet.getByRole('button', { name: 'Test on past data' }).click()
  await expect(sheet).not.toContainText('Changed since the last test.')
  await sheet.getByRole('button', { name: 'Save alert' }).click()
  await expect(page.getByTestId('alert').filter({ hasText: 'Praise for the Petrel' })).toBeVisible()

  const mails = async () =>
    (
      (await (await fetch(`${mailroom}/api/mails`)).json()) as {
        to: string[]
        subject: string
        text: string
      }[]
    ).filter(({ subject }) => subject.includes('Praise for the Petrel'))
  expect(await mails()).toEqual([])
  for (const name of ['Idris Vale', 'Oona Reed'])
    await asCustomer(`${lanternpage}/pages/skerrivane/messages`, {
      name,
      content: 'What a lovely crossing on the Storm Petrel, the kind crew made our day!',
    })
  await expect.poll(async () => (await mails()).length, { timeout: 60_000 }).toBe(1)
  const [mail] = await mails()
  expect(mail!.to).toEqual(['tamsin@skerrivane.example'])
  expect(mail!.text).toContain(`${address}/watch?`)
  await expect(page.getByRole('button', { name: 'Alerts: 1 new' })).toBeVisible()

  await page.getByTestId('alert').getByRole('button', { name: 'Edit' }).click()
  const atom = await page
    .getByRole('dialog')
    .getByRole('link', { name: /\.atom$/ })
    .getAttribute('href')
  const feed = await new RssParser().parseURL(atom ?? '')
  expect(feed.items).toHaveLength(1)
  expect(feed.title).toContain('Praise for the Petrel')
  expect(feed.items[0]!.title).toMatch(/entr(?:y|ies) new/)
})

test('a watch’s own feed is read by an ordinary feed reader, as long as its address is not made anew', async ({
  page,
}) => {
  await signIn(page, 'tamsin')
  const id = await watchNamed(page, 'Storm Petrel')
  await page.goto(`${address}/watch?watch=${id}&time=all`)
  const mentions = await settledCount(page, (n) => n > 5)
  const make = async () => {
    await page.getByRole('button', { name: 'More', exact: true }).click()
    await page.getByRole('menuitem', { name: 'Feed addresses' }).click()
    const before = await page.getByTestId('feeds').getByRole('link').allInnerTexts()
    await page.getByRole('button', { name: /^(Switch on|New addresses)$/ }).click()
    await expect.poll(() => page.getByTestId('feeds').getByRole('link').allInnerTexts()).not.toEqual(before)
    return page
      .getByTestId('feeds')
      .getByRole('link', { name: /\.atom$/ })
      .getAttribute('href')
  }
  const first = (await make()) ?? ''
  const feed = await new RssParser().parseURL(first)
  expect(feed.items.length).toBe(Math.min(50, mentions))
  expect(feed.items[0]!.content ?? feed.items[0]!.title).toMatch(/petrel/i)
  await page.reload()
  const second = await make()
  expect(second).not.toBe(first)
  await expect(new RssParser().parseURL(first)).rejects.toThrow('404')
})

test('ten corrections teach: the figures of what was learnt are shown', async ({ page }) => {
  await signIn(page, 'tamsin')
  const id = await watchNamed(page, 'Storm Petrel')
  await page.goto(`${address}/watch?watch=${id}&view=mentions&time=last-365`)
  await settledCount(page, (n) => n > 20)
  // The count can be there before the rows are.
  await expect(page.getByTestId('mention').first()).toBeVisible()
  // Ten different texts: two customers wrote the same words.
  for (let i = 0; i < 12; i++) {
    await page.keyboard.press('j')
    await page.keyboard.press('x')
  }
  await expect(page.getByTestId('chosen')).toContainText('12')
  await page.keyboard.press('0')
  await expect(
    page.getByTestId('mention').first().getByRole('img', { name: 'neutral' }).first(),
  ).toBeVisible()
  await page.getByRole('link', { name: 'Teach' }).click()
  await expect(page.getByTestId('learning')).toContainText(
    /\d+ of \d+ later readings right, \d+ without it|\d+ are needed to see what learning would break/,
    {
      timeout: 60_000,
    },
  )
  // A doubt is settled, taken back, and settled again.
  const doubt = page.locator('.doubt').first()
  await expect(doubt).toContainText(/\d+% sure/)
  await doubt.getByRole('button', { name: 'set sentiment to negative' }).click()
  await expect(doubt).toContainText('Judged negative')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(doubt).toContainText(/\d+% sure/)
  await doubt.getByRole('button', { name: 'set sentiment to negative' }).click()
  await expect(page.getByTestId('reliability')).toContainText('1 judged so far')
  await page.getByRole('button', { name: 'A sample of all' }).click()
  await expect(page.locator('.doubt').first()).toContainText(/\d+% sure/)
  await page.getByLabel('Try a sentence').fill('The crossing was grand')
  await page.getByRole('button', { name: 'Check' }).click()
  await expect(page.getByTestId('reading')).toContainText(/positive|neutral|negative|sentiment unknown/)
})
