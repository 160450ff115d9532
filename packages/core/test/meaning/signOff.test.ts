import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { readMeaning } from '../../src/meaning/index.ts'
import { saidUntil } from '../../src/meaning/signOff.ts'
import { timesAsLong } from '../support/timesAsLong.ts'

const signOff = (text: string) => text.slice(saidUntil(text))

describe('how a letter is signed', () => {
  test.each([
    ['Which is it?\n\nKind regards,\nPerrin Oakes', 'Kind regards,\nPerrin Oakes'],
    ['Which is it?\nKind and warm regards', 'Kind and warm regards'],
    ['Which is it?\nWith best wishes – Perrin', 'With best wishes – Perrin'],
    [
      'Which is it?\n\nYours\n\nPerrin Oakes\nOakes & Daughters\n+44 7700 900118',
      'Yours\n\nPerrin Oakes\nOakes & Daughters\n+44 7700 900118',
    ],
    ['Was gilt nun?\nMit freundlichen Grüßen\nAilsa Larkin', 'Mit freundlichen Grüßen\nAilsa Larkin'],
    ['Was gilt nun?\nViele liebe Grüsse Ailsa', 'Viele liebe Grüsse Ailsa'],
    ['Qui a raison ?\n\nBien cordialement,\nLucjan', 'Bien cordialement,\nLucjan'],
    [
      'Qui a raison ?\nJe vous prie d’agréer, Madame, l’expression de mes sentiments distingués.\nLucjan',
      'Je vous prie d’agréer, Madame, l’expression de mes sentiments distingués.\nLucjan',
    ],
    ['¿Quién tiene razón?\nUn cordial saludo,\nXimena', 'Un cordial saludo,\nXimena'],
    ['Thank you.\r\n\r\nKIND REGARDS\r\nPERRIN', 'KIND REGARDS\r\nPERRIN'],
  ])('%j', (text, signed) => {
    expect(signOff(text)).toBe(signed)
  })

  test.each([
    'Kind regards',
    'Kind regards,\nPerrin',
    '\n\nBest wishes\nPerrin',
    'It was fine.\nBest wishes for the summer, we loved it',
    'It was fine.\nyours was the best boat',
    'It was fine.\nBest regards from the islands',
    'It was fine.\nKind regards\nPerrin\nP.S. The tea was cold.',
    'It was fine.\nKind regards\nPerrin\nWe really would come again next year.',
    'It was fine. Kind regards, Perrin',
    'Rien ne va.\nVeuillez recevoir ma réclamation.',
    'Rien ne va.\nJe vous prie de croire que je suis déçu.',
    `It was fine.\nKind regards\n${'Perrin\n'.repeat(20)}`,
  ])('is no sign-off, or nothing is said before: %j', (text) => {
    expect(signOff(text)).toBe('')
  })

  test('says nothing of what is meant, and nothing of it is shown as a reason', () => {
    const said = 'The gate was shut at four, and nobody could say why.'
    const plain = readMeaning(said)
    expect(readMeaning(`${said}\n\nWith kind regards and joy\n`)).not.toEqual(plain)
    expect(readMeaning(`${said}\n\nWith kind regards,\nJoy Love`)).toEqual(readMeaning(`${said}\n\n`))
  })

  test('leaves a beginning of the text, and cuts the same again nowhere', () => {
    const lines = fc.array(
      fc.constantFrom('Kind regards', 'Viele Grüße', 'Perrin', '', 'It was cold.', 'Saludos,', 'p.s. x', ' '),
      { maxLength: 9 },
    )
    fc.assert(
      fc.property(lines, (all) => {
        const text = all.join('\n')
        const until = saidUntil(text)
        expect(until).toBeLessThanOrEqual(text.length)
        if (until < text.length) expect(text.slice(0, until).trim()).not.toBe('')
      }),
    )
  })

  test('twice the text takes about twice the time', () => {
    for (const piece of ['Kind regards ', '\n', 'mit freundlichen ', 'x\nKind regards\n', 'A '])
      expect([piece, timesAsLong((n) => `a\n${piece.repeat(n)}`, saidUntil) < 3]).toEqual([piece, true])
  })
})
