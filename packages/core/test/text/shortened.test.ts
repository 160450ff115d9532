import fc from 'fast-check'
import { expect, test } from 'vitest'
import { shortened } from '@murrabel/core/text'

test.each([
  ['The ferry was late', 40, 'The ferry was late'],
  ['The ferry was late again', 15, 'The ferry was…'],
  ['The ferry, late again', 11, 'The ferry…'],
  ['Late\n\nand   wet', 40, 'Late and wet'],
  ['Skerrivaneferries', 8, 'Skerriv…'],
  ['渡輪又遲到了真是的', 5, '渡輪又遲…'],
  ['ab 🚢🚢🚢', 5, 'ab…'],
  ['ab 🚢🚢🚢', 6, 'ab 🚢…'],
  ['', 5, ''],
])('%j in %i letters is %j', (text, most, expected) => expect(shortened(text, most)).toBe(expected))

test('never longer than asked, a beginning of what was written, whole where it fits, and never half a character', () =>
  fc.assert(
    fc.property(fc.string({ unit: 'grapheme' }), fc.integer({ min: 3, max: 60 }), (text, most) => {
      const line = text.replace(/\s+/g, ' ').trim()
      const short = shortened(text, most)
      expect(short.length).toBeLessThanOrEqual(most)
      if (line.length <= most) expect(short).toBe(line)
      else expect(line.startsWith(short.slice(0, -1))).toBe(true)
      if (Buffer.from(text).toString() === text) expect(Buffer.from(short).toString()).toBe(short)
    }),
  ))
