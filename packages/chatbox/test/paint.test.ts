import { expect, test } from 'vitest'
import { paintOf } from '../src/paint.ts'

test('a colour paints the box, and what is none leaves it as it is', () => {
  expect(paintOf('#ffee00')).toMatchObject({ '--fill': '#ffee00', '--on-fill': '#000000' })
  expect(paintOf('#14505c')).toMatchObject({ '--fill': '#14505c', '--on-fill': '#ffffff' })
  for (const none of [null, undefined, '', 'red', 'url(x)', '#fff']) expect(paintOf(none)).toEqual({})
})
