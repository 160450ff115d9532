import fc from 'fast-check'
import { DateTime } from 'luxon'
import { expect, test } from 'vitest'
import { quietUntil } from '@murrabel/core/notices'

const zone = 'Europe/London'
const at = (text: string) => DateTime.fromISO(text, { zone }).toMillis()

test.each([
  ['2026-11-24T21:59', null],
  ['2026-11-24T22:00', '2026-11-25T07:30'],
  ['2026-11-25T03:00', '2026-11-25T07:30'],
  ['2026-11-25T07:29', '2026-11-25T07:30'],
  ['2026-11-25T07:30', null],
])('over midnight, %s: %s', (now, until) => {
  expect(quietUntil({ from: '22:00', until: '07:30' }, { now: at(now), zone })).toBe(
    until === null ? null : at(until),
  )
})

test('within a day, and never where it begins and ends at once', () => {
  const noon = { from: '12:00', until: '13:00' }
  expect(quietUntil(noon, { now: at('2026-11-24T12:30'), zone })).toBe(at('2026-11-24T13:00'))
  expect(quietUntil(noon, { now: at('2026-11-24T13:00'), zone })).toBeNull()
  expect(quietUntil({ from: '12:00', until: '12:00' }, { now: at('2026-11-24T12:00'), zone })).toBeNull()
})

test('its end is later than now, within a day and an hour, and it is not quiet any more then', () => {
  const time = fc
    .integer({ min: 0, max: 1439 })
    .map((n) => `${String(Math.floor(n / 60)).padStart(2, '0')}:${String(n % 60).padStart(2, '0')}`)
  // The nights on which the clock changes are among them.
  const instant = fc.integer({ min: at('2026-03-27T00:00'), max: at('2026-10-27T00:00') })
  fc.assert(
    fc.property(time, time, instant, (from, until, now) => {
      const over = quietUntil({ from, until }, { now, zone })
      if (over === null) return
      expect(over).toBeGreaterThan(now)
      expect(over - now).toBeLessThanOrEqual(25 * 3_600_000)
    }),
  )
})
