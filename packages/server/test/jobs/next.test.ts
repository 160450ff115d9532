import { describe, expect, test } from 'vitest'
import { GivenUp, nextStep, Postponed, type WorkOutcome } from '../../src/jobs/due/next.ts'
import type { WorkRules } from '../../src/jobs/due/kinds.ts'

const rules: WorkRules = {
  atOnce: 1,
  perOwner: 1,
  longestMs: 1000,
  tries: 3,
  firstWaitMs: 100,
  longestWaitMs: 1000,
}
const step = (outcome: WorkOutcome | { error: unknown }, attempts = 1, askedAgain = false) =>
  nextStep(outcome, { attempts, askedAgain, rules }, 1)

describe('what follows the end of a piece of work', () => {
  test('done: it is removed; asked for again meanwhile, it runs once more at once', () => {
    expect(step('done')).toEqual({ kind: 'remove' })
    expect(step('done', 1, true)).toMatchObject({ kind: 'later', waitMs: 0, attempts: 0 })
  })
  test('what recurs waits for its time, unless it was asked for', () => {
    expect(step({ againInMs: 5000 }, 2)).toMatchObject({
      kind: 'later',
      waitMs: 5000,
      attempts: 0,
      proven: true,
    })
    expect(step({ againInMs: 5000 }, 2, true)).toMatchObject({ waitMs: 0 })
  })
  test.each([
    [1, { kind: 'later', waitMs: 100, attempts: 1, proven: false, error: 'no' }],
    [2, { kind: 'later', waitMs: 200, attempts: 2, proven: false, error: 'no' }],
    [3, { kind: 'fail', error: 'no' }],
  ])('a failure at try %i', (attempts, expected) =>
    expect(step({ error: new Error('no') }, attempts)).toEqual(expected),
  )
  test('a wait that was asked for is no try; what is given up is not tried again', () => {
    expect(step({ error: new Postponed('full', 7000) }, 3)).toEqual({
      kind: 'later',
      waitMs: 7000,
      attempts: 2,
      proven: false,
      error: 'full',
    })
    expect(step({ error: new GivenUp('never') })).toEqual({ kind: 'fail', error: 'never' })
  })
  test('what is tried for ever waits no longer than the longest wait', () =>
    expect(
      nextStep({ error: 'x' }, { attempts: 500, askedAgain: false, rules: { ...rules, tries: Infinity } }, 1),
    ).toMatchObject({ kind: 'later', waitMs: 1000 }))
})
