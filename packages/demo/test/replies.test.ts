import { expect, test } from 'vitest'
import { checkPattern, fillPattern, patternKey, slotValues, textIn } from '@murrabel/core/replies'
import { patternSchema } from '@murrabel/contract'
import { demoPatterns } from '../src/replies.ts'

const texts = (language: string) => (name: string) => {
  const found = demoPatterns.find((each) => patternKey(each.name) === patternKey(name))
  return found && textIn(found.texts, language)?.text
}

test.each(demoPatterns)('$name can be kept, and reads well with nothing known', (pattern) => {
  expect(patternSchema.isValidSync(pattern)).toBe(true)
  for (const { language, text } of pattern.texts) {
    expect(checkPattern({ name: pattern.name, text }, texts(language))).toEqual([])
    const values = slotValues(
      { name: null, place: null, visit: null, colleague: 'Tamsin Kerr' },
      { language, zone: 'Europe/London', now: Date.UTC(2026, 10, 27) },
    )
    const filled = fillPattern(text, values, texts(language))
    expect(filled).not.toMatch(/[{}|]| ,| {2}/)
    expect(filled).toMatch(/^\p{Lu}/u)
  }
})
