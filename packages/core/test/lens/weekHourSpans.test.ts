import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { weekHourOf } from '../../src/lens/index.ts'
import { weekHourSpans } from '../../src/lens/weekHourSpans.ts'

const hourMs = 3_600_000
const utc = (text: string) => Date.parse(text)
const iso = (spans: { from: number; to: number }[]) =>
  spans.map(({ from, to }) => [new Date(from).toISOString(), new Date(to).toISOString()])

describe('the stretches of an hour of the week', () => {
  test('one a week, in the zone', () => {
    const window = { from: utc('2026-11-01T00:00Z'), to: utc('2026-11-15T00:00Z') }
    // Friday, 16 h in New York.
    expect(iso(weekHourSpans(4 * 24 + 16, window, 'America/New_York'))).toEqual([
      ['2026-11-06T21:00:00.000Z', '2026-11-06T22:00:00.000Z'],
      ['2026-11-13T21:00:00.000Z', '2026-11-13T22:00:00.000Z'],
    ])
  })
  test('the hour that comes twice is one stretch; the one left out has none', () => {
    const autumn = { from: utc('2026-10-24T00:00Z'), to: utc('2026-10-27T00:00Z') }
    expect(iso(weekHourSpans(6 * 24 + 1, autumn, 'Europe/London'))).toEqual([
      ['2026-10-25T00:00:00.000Z', '2026-10-25T02:00:00.000Z'],
    ])
    const spring = { from: utc('2026-03-28T00:00Z'), to: utc('2026-03-31T00:00Z') }
    expect(weekHourSpans(6 * 24 + 1, spring, 'Europe/London')).toEqual([])
  })
  test('hold exactly the instants of that hour', () => {
    const zones = ['UTC', 'Europe/London', 'America/St_Johns', 'Asia/Kathmandu', 'Australia/Lord_Howe']
    fc.assert(
      fc.property(
        fc.integer({ min: utc('2026-01-01T00:00Z'), max: utc('2027-01-01T00:00Z') }),
        fc.constantFrom(...zones),
        fc.nat(167),
        fc.integer({ min: -400, max: 400 }),
        (from, zone, hour, quarters) => {
          const to = from + 30 * 24 * hourMs
          const spans = weekHourSpans(hour, { from, to }, zone)
          const isIn = (at: number) => spans.some((span) => at >= span.from && at < span.to)
          // Around the middle, and at the edges of what was found.
          const instants = [
            from + 15 * 24 * hourMs + quarters * 900_000,
            // The nights on which these clocks change.
            ...[
              '2026-03-29T01:00Z',
              '2026-04-04T15:00Z',
              '2026-10-03T15:30Z',
              '2026-10-25T01:00Z',
              '2026-11-01T04:30Z',
            ].map((change) => utc(change) + (quarters % 12) * 900_000),
            ...spans.flatMap((span) => [span.from - 1, span.from, span.to - 1, span.to]),
          ].filter((at) => at >= from && at < to)
          return instants.every((at) => isIn(at) === (weekHourOf(at, zone) === hour))
        },
      ),
      { numRuns: 1000 },
    )
  })
})
