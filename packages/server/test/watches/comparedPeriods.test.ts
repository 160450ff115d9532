import { describe, expect, test } from 'vitest'
import type { Change } from '@murrabel/core/measures'
import { comparedPeriods } from '../../src/services/watches/shownRange.ts'
import { isMissed, knownPeriods, missedHours, missedPart } from '../../src/services/watches/outages.ts'
import { judgedTogether, usualOf } from '../../src/services/watches/usual.ts'

const zone = 'Europe/London'
const at = (text: string) => Date.parse(text)
const shown = (from: string, to: string, now: string, before = 2) => {
  const {
    edges,
    at: places,
    periods,
  } = comparedPeriods({ from: at(from), to: at(to) }, before, { zone, now: at(now) })
  const iso = (ms: number) => new Date(ms).toISOString().slice(5, 16)
  // What stands between the periods is no part of any.
  expect(places.map((place) => edges[place])).toEqual(periods.map((period) => period.from))
  expect([...edges].sort((a, b) => a - b)).toEqual(edges)
  return periods.map((period) => `${iso(period.from)} ${iso(period.to)}`)
}

describe('what a period is compared with', () => {
  test('is as many days before it, one after the other', () =>
    expect(shown('2026-11-01T00:00Z', '2026-11-08T00:00Z', '2026-11-20T10:00Z')).toEqual([
      '10-17T23:00 10-24T23:00',
      '10-24T23:00 11-01T00:00',
      '11-01T00:00 11-08T00:00',
    ]))
  test('of a period that is not over ends at the hour it is now', () =>
    expect(shown('2026-11-09T00:00Z', '2026-11-23T00:00Z', '2026-11-22T10:20Z')).toEqual([
      '10-11T23:00 10-25T10:00',
      '10-26T00:00 11-08T10:00',
      '11-09T00:00 11-22T10:00',
    ]))
  test('of a day is the same day of the weeks before, by the clock on the wall', () =>
    expect(shown('2026-10-26T00:00Z', '2026-10-27T00:00Z', '2026-10-26T15:05Z')).toEqual([
      '10-11T23:00 10-12T14:00',
      '10-18T23:00 10-19T14:00',
      '10-26T00:00 10-26T15:00',
    ]))
  test('of some days is those days', () =>
    expect(shown('2026-11-06T00:00Z', '2026-11-09T00:00Z', '2026-11-20T10:00Z')).toEqual([
      '10-22T23:00 10-26T00:00',
      '10-30T00:00 11-02T00:00',
      '11-06T00:00 11-09T00:00',
    ]))
  test('nothing, before its first hour is over, and what lies before anything was collected', () => {
    const compared = (now: string) =>
      comparedPeriods({ from: at('2026-11-20T00:00Z'), to: at('2026-11-21T00:00Z') }, 6, {
        zone,
        now: at(now),
      })
    const before = (now: string, first: string | null) =>
      knownPeriods(compared(now), { first: first === null ? null : at(first), missed: [] })
        .slice(0, -1)
        .filter(Boolean).length
    expect(before('2026-11-20T00:40Z', '2026-01-01T00:00Z')).toBe(0)
    expect(before('2026-11-20T09:40Z', '2026-01-01T00:00Z')).toBe(6)
    expect(before('2026-11-20T09:40Z', '2026-10-31T00:00Z')).toBe(2)
    expect(before('2026-11-20T09:40Z', null)).toBe(0)
  })
})

describe('what was not collected', () => {
  const missed = (from: string, to: string, share: number) => ({
    profileId: 1,
    name: 'Orrin Gazette',
    network: 'feed',
    goesOn: false,
    from: at(from),
    to: at(to),
    share,
  })
  const day = { from: at('2026-11-10T00:00Z'), to: at('2026-11-11T00:00Z') }

  test('is missed by its part of the time and of what usually comes', () => {
    expect(missedPart([missed('2026-11-09T00:00Z', '2026-11-10T12:00Z', 0.4)], day)).toBeCloseTo(0.2)
    expect(missedPart([missed('2026-11-09T00:00Z', '2026-11-12T00:00Z', 0.4)], day)).toBeCloseTo(0.4)
    expect(missedPart([missed('2026-11-11T00:00Z', '2026-11-12T00:00Z', 1)], day)).toBe(0)
    expect(isMissed([missed('2026-11-09T00:00Z', '2026-11-12T00:00Z', 0.05)], day)).toBe(false)
    expect(
      isMissed(
        [
          missed('2026-11-09T00:00Z', '2026-11-12T00:00Z', 0.06),
          missed('2026-11-09T00:00Z', '2026-11-12T00:00Z', 0.06),
        ],
        day,
      ),
    ).toBe(true)
  })

  test('hour by hour', () => {
    expect(missedHours([], day.from, 3)).toBeUndefined()
    const hours = missedHours([missed('2026-11-10T01:00Z', '2026-11-10T02:30Z', 0.5)], day.from, 4)
    expect(hours).toEqual([false, true, true, false])
  })

  test('says nothing of what is usual, and is not called unusual', () => {
    const compared = comparedPeriods({ from: at('2026-11-02T00:00Z'), to: at('2026-11-09T00:00Z') }, 6, {
      zone,
      now: at('2026-11-20T10:00Z'),
    })
    const first = at('2026-01-01T00:00Z')
    const empty = [missed('2026-10-19T00:00Z', '2026-10-25T00:00Z', 0.9)]
    const known = knownPeriods(compared, { first, missed: empty })
    expect(known).toEqual([true, true, true, true, false, true, true])
    const counts = [50, 51, 49, 52, 3, 50, 51]
    expect(usualOf(counts, known)).toMatchObject({ verdict: 'usual', periods: 5 })
    expect(usualOf([50, 51, 49, 52, 51, 50, 4], [true, true, true, true, true, true, false])).toMatchObject({
      verdict: 'notCollected',
      p: 1,
    })
    expect(usualOf([50, 51, 49, 52, 51, 50, 4], [true, true, true, true, true, true, true]).verdict).toBe(
      'below',
    )
  })
})

describe('what is shown together', () => {
  const row = (p: number, change: number | null = null) => ({
    usual: { verdict: p < 0.05 ? ('above' as const) : ('usual' as const), p, low: 1, high: 9, periods: 6 },
    changes: [
      change === null
        ? null
        : ({ p: change, enough: true, sure: change < 0.05, difference: 1, low: 0, high: 2 } satisfies Change),
    ],
  })
  test('one of many that chance would give is as usual', () => {
    const alone = judgedTogether([row(0.03)])
    expect(alone[0]!.usual.verdict).toBe('above')
    const many = judgedTogether([row(0.03), ...Array.from({ length: 29 }, () => row(0.5))])
    expect(many.map(({ usual }) => usual.verdict)).toEqual(Array.from({ length: 30 }, () => 'usual'))
    const some = judgedTogether([row(0.0001), row(0.001), ...Array.from({ length: 28 }, () => row(0.5))])
    expect(some.filter(({ usual }) => usual.verdict === 'above')).toHaveLength(2)
  })
  test('changes are judged beside changes, and what is too little to say is left out', () => {
    const rows = judgedTogether([row(0.5, 0.001), row(0.5, 0.04), row(0.5, 0.6), row(0.5)])
    expect(rows.map(({ changes }) => changes[0]?.sure)).toEqual([true, true, false, undefined])
    const few = judgedTogether([
      row(0.5, 0.04),
      { ...row(0.5), changes: [{ p: 0.0001, enough: false, sure: false, difference: 1, low: 0, high: 2 }] },
    ])
    expect(few.map(({ changes }) => changes[0]?.sure)).toEqual([true, false])
  })
})
