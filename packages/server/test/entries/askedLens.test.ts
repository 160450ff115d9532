import { describe, expect, test } from 'vitest'
import { lensOf } from '../../src/services/lens/askedLens.ts'
import { Refusal } from '../../src/problem.ts'

describe('the lens of an address', () => {
  test('stands on the blank one', () => {
    expect(lensOf({ unit: 'threads', state: 'open', limit: '5' })).toMatchObject({
      unit: 'threads',
      state: 'open',
      kinds: [],
    })
  })
  test('a part that is given twice is not understood', () => {
    expect(() => lensOf({ unit: 'entries', state: ['open', 'done'] })).toThrow(Refusal)
  })
})
