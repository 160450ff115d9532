import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import {
  actionStates,
  actionTransition,
  stands,
  type ActionEvent,
  type ActionPosition,
} from '@murrabel/core/actions'

const at = (state: ActionPosition['state'], uncertain = false): ActionPosition => ({ state, uncertain })
const moved = (from: ActionPosition, event: ActionEvent) => {
  const result = actionTransition(from, event)
  return result.changed ? `${result.next.state}${result.next.uncertain ? ', uncertain' : ''}` : result.reason
}

describe('the states of an outside action', () => {
  test.each<[ActionPosition, ActionEvent, string]>([
    [at('waiting'), { kind: 'begin' }, 'sending'],
    [at('sending'), { kind: 'begin' }, 'sending, uncertain'],
    [at('failed'), { kind: 'begin' }, 'ended'],
    [at('cancelled'), { kind: 'begin' }, 'ended'],
    [at('sending'), { kind: 'confirm' }, 'sent'],
    [at('failed', true), { kind: 'confirm' }, 'sent'],
    [at('cancelled', true), { kind: 'confirm' }, 'sent'],
    [at('sent'), { kind: 'confirm' }, 'alreadyThere'],
    [at('sent'), { kind: 'undelivered' }, 'failed'],
    [at('waiting'), { kind: 'undelivered' }, 'ended'],
    [at('cancelled', true), { kind: 'undelivered' }, 'ended'],
    [at('sending'), { kind: 'defer', uncertain: false }, 'waiting'],
    [at('sending'), { kind: 'defer', uncertain: true }, 'waiting, uncertain'],
    [at('sending', true), { kind: 'fail', uncertain: false }, 'failed, uncertain'],
    [at('cancelled'), { kind: 'fail', uncertain: true }, 'ended'],
    [at('failed'), { kind: 'retry' }, 'waiting'],
    [at('sending'), { kind: 'retry' }, 'sending'],
    [at('cancelled'), { kind: 'retry' }, 'ended'],
    [at('waiting'), { kind: 'cancel', anyway: false }, 'cancelled'],
    [at('waiting', true), { kind: 'cancel', anyway: false }, 'maybeSent'],
    [at('failed', true), { kind: 'cancel', anyway: true }, 'cancelled, uncertain'],
    [at('sending'), { kind: 'cancel', anyway: true }, 'sending'],
    [at('cancelled'), { kind: 'cancel', anyway: false }, 'alreadyThere'],
  ])('%j, %j: %s', (from, event, expected) => expect(moved(from, event)).toBe(expected))

  const anyEvent = fc.oneof(
    fc.constantFrom<ActionEvent>({ kind: 'begin' }, { kind: 'confirm' }, { kind: 'retry' }),
    fc.record({
      kind: fc.constantFrom('defer', 'fail'),
      uncertain: fc.boolean(),
    }) as fc.Arbitrary<ActionEvent>,
    fc.record({ kind: fc.constant('cancel' as const), anyway: fc.boolean() }),
  )
  const run = (events: readonly ActionEvent[]) =>
    events.reduce<ActionPosition>((from, event) => {
      const result = actionTransition(from, event)
      return result.changed ? result.next : from
    }, at('waiting'))

  test('what stands outside stays sent, whatever happens after', () => {
    fc.assert(
      fc.property(fc.array(anyEvent), fc.array(anyEvent), (before, after) => {
        expect(run([...before, { kind: 'confirm' }, ...after])).toEqual(at('sent'))
      }),
    )
  })
  test('what is uncertain is never called back without a word, and only the network makes it certain', () => {
    fc.assert(
      fc.property(fc.array(anyEvent, { maxLength: 30 }), (events) => {
        let from = at('waiting')
        for (const event of events) {
          const result = actionTransition(from, event)
          if (!result.changed) continue
          if (from.uncertain && event.kind !== 'confirm') expect(result.next.uncertain).toBe(true)
          if (from.uncertain && event.kind === 'cancel') expect(event.anyway).toBe(true)
          from = result.next
        }
      }),
    )
  })
  test('an answer that failed or was called back answers nobody', () =>
    expect(actionStates.filter(stands)).toEqual(['waiting', 'sending', 'sent']))
})
