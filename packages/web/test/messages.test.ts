import { createI18n } from 'vue-i18n'
import { expect, test, vi } from 'vitest'
import { en } from '../src/messages/en.ts'
import { fr } from '../src/messages/fr.ts'

/** Every text under its key; what stands in lists is taken one by one. */
function* textsOf(texts: object, before = ''): Generator<string> {
  for (const [key, value] of Object.entries(texts) as [string, unknown][])
    if (typeof value === 'string') yield before + key
    else if (typeof value === 'object' && value !== null && !Array.isArray(value))
      yield* textsOf(value, `${before}${key}.`)
}

test.each([
  ['en', en],
  ['fr', fr],
] as const)('every text can be read by what puts figures and names into it: %s', (locale, texts) => {
  const warned = vi.spyOn(console, 'warn').mockImplementation(() => {})
  const { global } = createI18n({
    legacy: false,
    locale,
    messages: { [locale]: texts },
  } as never) as unknown as {
    global: { t(key: string, count: number): string }
  }
  const broken: string[] = []
  let read = 0
  for (const key of textsOf(texts)) {
    read++
    try {
      global.t(key, 2)
    } catch {
      broken.push(key)
    }
  }
  expect(broken).toEqual([])
  expect(
    warned.mock.calls.map(([text]) => String(text)).filter((text) => /compil|linked/i.test(text)),
  ).toEqual([])
  expect(read).toBeGreaterThan(900)
  warned.mockRestore()
})
