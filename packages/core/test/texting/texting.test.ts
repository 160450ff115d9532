import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { contactWish, countText, joinParts, missingPiece, splitText } from '@murrabel/core/texting'

describe('how many texts', () => {
  test.each([
    ['nothing', '', 'GSM-7', 0, 160],
    ['one of 160', 'a'.repeat(160), 'GSM-7', 1, 0],
    ['161', 'a'.repeat(161), 'GSM-7', 2, 153 - 8],
    ['306, two full parts', 'a'.repeat(306), 'GSM-7', 2, 0],
    ['307', 'a'.repeat(307), 'GSM-7', 3, 152],
    ['signs of two units', '€'.repeat(80), 'GSM-7', 1, 0],
    ['one more of them', '€'.repeat(81), 'GSM-7', 2, 153 - 10],
    ['the letters of the alphabet', 'Grüße à Øyvind, ¿qué?', 'GSM-7', 1, 139],
    ['a letter it does not have', 'fenêtre', 'UCS-2', 1, 63],
    ['70 of UCS-2', 'ê'.repeat(70), 'UCS-2', 1, 0],
    ['71', 'ê'.repeat(71), 'UCS-2', 2, 67 - 4],
    ['emoji, two units each', '⛴🌊'.repeat(10), 'UCS-2', 1, 40],
    ['a typographic apostrophe', 'it’s', 'UCS-2', 1, 66],
  ])('%s', (_, text, encoding, parts, left) =>
    expect(countText(text)).toMatchObject({ encoding, parts, left }),
  )
  test('parts are the text, none too long, no sign or emoji divided', () => {
    const unit = fc.constantFrom('a', 'é', '€', '[', '🌊', 'ê', ' ', 'ß')
    fc.assert(
      fc.property(fc.array(unit, { maxLength: 700 }), (units) => {
        const text = units.join('')
        const { encoding, parts } = splitText(text)
        expect(parts.join('')).toBe(text)
        const count = (part: string) =>
          encoding === 'UCS-2' ? part.length : part.length + (part.match(/[€[]/g) ?? []).length
        const most = parts.length > 1 ? { 'GSM-7': 153, 'UCS-2': 67 } : { 'GSM-7': 160, 'UCS-2': 70 }
        for (const part of parts) {
          expect(count(part)).toBeLessThanOrEqual(most[encoding])
          expect(part).not.toMatch(/^[\uDC00-\uDFFF]|[\uD800-\uDBFF]$/)
        }
        const counted = countText(text)
        expect([counted.parts, counted.encoding]).toEqual([parts.length, encoding])
        expect(counted.units).toBe(parts.reduce((sum, part) => sum + count(part), 0))
      }),
    )
  })
})

describe('who wants no more texts', () => {
  test.each([
    'STOP',
    'stop.',
    ' Stop! ',
    '“STOP”',
    'Stop please',
    'STOP ALL',
    'Unsubscribe',
    'ARRÊT',
    'Désabonner svp',
    'BAJA',
    'no más, gracias',
    'Bitte abmelden',
    'STOPP',
    'Cancellami per favore',
  ])('%s', (text) => expect(contactWish(text)).toBe('stop'))
  test.each(['START', 'unstop', 'Reprendre', 'ALTA', 'anmelden', 'Inizia'])('again: %s', (text) =>
    expect(contactWish(text)).toBe('start'),
  )
  test.each([
    'Does the ferry stop at Orrin?',
    'Stop the 9 o’clock from leaving without us',
    'stop?',
    'Please don’t stop',
    'The end of the pier is closed',
    'Can I cancel my booking?',
    'cancel my ticket',
    'start at 9',
    '',
    '!!!',
    `stop ${'please '.repeat(40)}`,
  ])('is a text like any other: %.30s', (text) => expect(contactWish(text)).toBeNull())
})

describe('texts that came in parts', () => {
  test('are whole in whatever order and however often they came', () => {
    fc.assert(
      fc.property(fc.string({ minLength: 1, maxLength: 900 }), fc.infiniteStream(fc.nat()), (text, order) => {
        const { parts } = splitText(text)
        const pieces = parts.flatMap((part, i) => [
          { number: i + 1, text: part },
          { number: i + 1, text: part },
        ])
        const keyed = pieces.map((piece) => ({ piece, key: order.next().value as number }))
        const mixed = keyed.sort((a, b) => a.key - b.key).map(({ piece }) => piece)
        expect(joinParts(mixed, parts.length)).toEqual({ text, missing: [] })
      }),
    )
  })
  test('show where something is missing, once for each gap', () => {
    const pieces = [1, 2, 5].map((number) => ({ number, text: `${number} ` }))
    expect(joinParts(pieces, 6)).toEqual({
      text: `1 2 ${missingPiece}5 ${missingPiece}`,
      missing: [3, 4, 6],
    })
    expect(joinParts([{ number: 2, text: 'b' }], 2).text).toBe(`${missingPiece}b`)
    expect(joinParts([{ number: 3, text: 'c' }], 3).text).toBe(`${missingPiece}c`)
  })
})
