import { expect, test } from 'vitest'
import { dateFormat, localDay, localHour } from '../src/composables/formats.ts'

test('a format is made once', () => {
  expect(dateFormat('en-GB', { timeZone: 'UTC' })).toBe(dateFormat('en-GB', { timeZone: 'UTC' }))
  expect(dateFormat('en-GB', { timeZone: 'UTC' })).not.toBe(dateFormat('fr', { timeZone: 'UTC' }))
})

test.each([
  ['2026-08-27T23:30:00Z', 'Europe/London', '2026-08-28', '2026-08-28T00'],
  ['2026-03-29T01:00:00Z', 'Europe/London', '2026-03-29', '2026-03-29T02'],
  ['2026-01-01T03:15:00Z', 'America/St_Johns', '2025-12-31', '2025-12-31T23'],
])('%s in %s', (at, zone, day, hour) => {
  expect(localDay(at, zone)).toBe(day)
  expect(localHour(at, zone)).toBe(hour)
})
