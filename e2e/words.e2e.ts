import { expect, test, type Page } from '@playwright/test'
import { en } from '../packages/web/src/messages/en.ts'
import { fr } from '../packages/web/src/messages/fr.ts'
import { screens } from './support/screens.ts'
import { address, signIn } from './support/world.ts'

/** Texts of the interface under their names, plurals apart. */
function textsOf(node: object, at = ''): [name: string, text: string][] {
  return Object.entries(node).flatMap(([key, value]): [string, string][] =>
    typeof value === 'object' ? textsOf(value as object, `${at}${key}.`) : [[`${at}${key}`, String(value)]],
  )
}
const french = new Set(textsOf(fr).flatMap(([, text]) => text.split(' | ')))
const escaped = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')
/** A text as it can stand on a page: figures for counts, anything for names. */
const patternOf = (text: string) => {
  const parts = text.split(/(\{\w+\})/).map((part) => {
    if (part === '{n}') return '[\\d\\s.,]+'
    return /^\{\w+\}$/.test(part) ? '.+' : escaped(part)
  })
  return new RegExp(`^${parts.join('')}$`, 'su')
}

/** English sentences and words that are another thing in French; what is nothing but figures is the same everywhere. */
const english = textsOf(en)
  .flatMap(([name, text]) => text.split(' | ').map((each) => [name, each] as const))
  .filter(([, text]) => !french.has(text) && /\p{L}{3}/u.test(text.replace(/\{\w+\}/g, '')))
  .map(([name, text]) => ({ name, pattern: patternOf(text) }))

/** Everything a page says, but what people wrote: texts, labels, titles, placeholders. */
const saidOn = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const said = new Set<string>()
    const written = '.words, [data-test="mention"] .said, td .words, [lang]:not(html)'
    const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT)
    for (let node = walk.nextNode(); node; node = walk.nextNode()) {
      const text = node.textContent?.trim()
      if (text && node.parentElement?.checkVisibility() && !node.parentElement.closest(written))
        said.add(text)
    }
    for (const name of ['aria-label', 'title', 'placeholder'])
      for (const element of document.querySelectorAll(`[${name}]`))
        if (element.checkVisibility()) said.add(element.getAttribute(name)!.trim())
    return [...said].filter(Boolean)
  })

/** Names that people gave, which are the same in every language. */
async function namesGiven(page: Page): Promise<Set<string>> {
  const answer = await page.request.get(`${address}/api/brand`)
  if (!answer.ok()) return new Set()
  const { watches, groups, tags, aspects, places } = (await answer.json()) as Record<
    string,
    { name: string }[]
  >
  return new Set(
    [watches, groups, tags, aspects, places].flatMap((list) => list?.map(({ name }) => name) ?? []),
  )
}

async function expectFrench(page: Page, where: string): Promise<void> {
  // Drawn, and with something to say.
  await expect.poll(async () => (await saidOn(page)).length).toBeGreaterThan(5)
  const names = await namesGiven(page)
  const said = (await saidOn(page)).filter((text) => !names.has(text))
  const found = said.flatMap((text) =>
    english.filter(({ pattern }) => pattern.test(text)).map(({ name }) => `${where}: ${name}: ${text}`),
  )
  expect(found).toEqual([])
}

test.use({ locale: 'fr-FR' })

test('whoever reads French meets no English', async ({ page }) => {
  await page.goto(`${address}/sign-in`)
  await expect(page.locator('html')).toHaveAttribute('lang', 'fr')
  await expectFrench(page, 'sign-in')
  await signIn(page, 'wynn')
  const settled = () => expect(page.getByTestId('shapes')).toHaveCount(0)
  for (const path of await screens(page)) {
    await page.goto(`${address}${path}`)
    await settled()
    await expectFrench(page, path)
  }
})

test('sheets, menus and the calendar are in French, too', async ({ page }) => {
  await page.goto(`${address}/sign-in`)
  await signIn(page, 'wynn')
  await page.getByTestId('count').waitFor()
  await page.locator('[data-field="range"]').click()
  await page.locator('.el-popper .el-date-editor input').first().click()
  await expect(page.locator('.el-picker-panel')).toContainText(
    /janv|févr|mars|avr|mai|juin|juil|août|sept|oct|nov|déc/i,
  )
  await expectFrench(page, 'calendar')
  await page.keyboard.press('Escape')
  await page.keyboard.press('Escape')
  await page.goto(`${address}/watch`)
  // Keys are heard once the page is there.
  await expect(page.getByTestId('count')).not.toBeEmpty()
  await page.keyboard.press('?')
  await expect(page.getByRole('dialog')).toBeVisible()
  await expectFrench(page, 'shortcuts')
})
