import fc from 'fast-check'
import { DateTime } from 'luxon'
import { describe, expect, test } from 'vitest'
import {
  addBusinessMinutes,
  businessMinutesBetween,
  hoursProblem,
  isOpenAt,
  type BusinessHours,
  type DayHours,
} from '@murrabel/core/places'

const minute = 60_000
const zones = [
  'UTC',
  'Europe/London',
  'America/St_Johns',
  'Asia/Kolkata',
  'Australia/Lord_Howe',
  'Pacific/Chatham',
  'America/Santiago',
]

/** Whether the clock on the wall says open: of the day itself, or of the night before. No instants, no spans. */
function wallSaysOpen(at: number, { week, specialDays, zone }: BusinessHours): boolean {
  // An hour that the clock shows twice is open both times.
  const local = DateTime.fromMillis(at, { zone })
  const on = (day: DateTime, minutes: number) =>
    (specialDays[day.toISODate()!] ?? week?.[day.weekday - 1] ?? (week ? [] : [[0, 1440]])).some(
      ([open, close]) => minutes >= open! && minutes < close!,
    )
  const minutes = local.hour * 60 + local.minute
  return on(local, minutes) || on(local.minus({ days: 1 }), minutes + 1440)
}

/** Often in the hours in which clocks change: what opens or closes then does so twice, or at no time that there is. */
const boundary = fc.oneof(
  fc.integer({ min: 0, max: 287 }).map((n) => n * 5),
  fc.integer({ min: 0, max: 48 }).map((n) => n * 5),
)
const dayHours: fc.Arbitrary<DayHours> = fc.oneof(
  { weight: 2, arbitrary: fc.constant([]) },
  { weight: 1, arbitrary: fc.constant([[0, 1440]] as const) },
  {
    weight: 5,
    arbitrary: fc
      .uniqueArray(boundary, { minLength: 2, maxLength: 4 })
      .map((all) => all.sort((a, b) => a - b))
      .map((all) =>
        Array.from({ length: all.length >> 1 }, (_, i) => [all[2 * i]!, all[2 * i + 1]!] as const),
      ),
  },
  // From the evening over midnight into the morning.
  {
    weight: 2,
    arbitrary: fc
      .tuple(fc.integer({ min: 1200, max: 1435 }), fc.integer({ min: 1445, max: 1800 }))
      .map((span) => [span]),
  },
)
const hoursArbitrary: fc.Arbitrary<BusinessHours> = fc.record({
  week: fc.oneof(
    { weight: 1, arbitrary: fc.constant(null) },
    { weight: 6, arbitrary: fc.array(dayHours, { minLength: 7, maxLength: 7 }) },
  ),
  specialDays: fc.dictionary(
    fc.constantFrom('2026-03-28', '2026-03-29', '2026-04-05', '2026-10-25', '2026-11-01', '2026-12-25'),
    dayHours,
    { maxKeys: 3 },
  ),
  zone: fc.constantFrom(...zones),
})
/** Around changes of the clock, north and south, and an ordinary day. */
const fromArbitrary = fc
  .tuple(
    fc.constantFrom(
      '2026-03-28',
      '2026-04-04',
      '2026-09-05',
      '2026-10-24',
      '2026-10-31',
      '2026-12-24',
      '2026-06-10',
    ),
    fc.integer({ min: 0, max: 2880 }),
  )
  .map(([date, minutes]) => Date.parse(`${date}T00:00:00Z`) + minutes * minute)

describe('opening hours', () => {
  test(
    'minutes between two instants are those at which the clock on the wall says open, one by one',
    { timeout: 30_000 },
    () =>
      fc.assert(
        fc.property(
          hoursArbitrary,
          fromArbitrary,
          fc.integer({ min: 0, max: 2500 }),
          (hours, from, length) => {
            let open = 0
            for (let i = 0; i < length; i++) if (wallSaysOpen(from + i * minute, hours)) open++
            expect(businessMinutesBetween(from, from + length * minute, hours)).toBe(open)
          },
        ),
        { numRuns: 60 },
      ),
  )

  test(
    'the instant after so many open minutes is the first with so many behind it, and the minute before it is open',
    { timeout: 30_000 },
    () =>
      fc.assert(
        fc.property(
          hoursArbitrary,
          fromArbitrary,
          fc.integer({ min: 1, max: 3000 }),
          (hours, from, minutes) => {
            const at = addBusinessMinutes(from, minutes, hours)
            const ever = !hours.week || hours.week.some((day) => day.length)
            if (!ever && !Object.values(hours.specialDays).some((day) => day.length)) {
              expect(at).toBe(from + minutes * minute)
              return
            }
            if (businessMinutesBetween(from, from + 400 * 86_400_000, hours) < minutes) return
            expect(businessMinutesBetween(from, at, hours)).toBe(minutes)
            expect(isOpenAt(at - 1, hours)).toBe(true)
          },
        ),
        { numRuns: 60 },
      ),
  )

  test.each<[string, Partial<BusinessHours>, string, number, string]>([
    [
      'over the weekend',
      { week: [...Array.from({ length: 5 }, () => [[540, 1020]] as DayHours), [], []] },
      '2026-11-27T16:30',
      120,
      '2026-11-30T10:30',
    ],
    [
      'over a night that ends after midnight',
      { week: Array.from({ length: 7 }, () => [[1320, 1560]] as DayHours) },
      '2026-11-27T23:00',
      240,
      '2026-11-28T23:00',
    ],
    [
      'begun after midnight, in the night of the day before',
      { week: Array.from({ length: 7 }, () => [[1320, 1560]] as DayHours) },
      '2026-11-28T01:00',
      90,
      '2026-11-28T22:30',
    ],
    [
      'over a closed special day',
      { week: Array.from({ length: 7 }, () => [[540, 1020]] as DayHours), specialDays: { '2026-12-25': [] } },
      '2026-12-24T16:00',
      120,
      '2026-12-26T10:00',
    ],
    [
      'on a special day with hours of its own',
      { week: Array.from({ length: 7 }, () => [] as DayHours), specialDays: { '2026-12-31': [[600, 720]] } },
      '2026-12-24T16:00',
      60,
      '2026-12-31T11:00',
    ],
    [
      'when the clock goes back',
      { week: null, specialDays: { '2027-01-01': [] } },
      '2026-10-25T00:30',
      180,
      '2026-10-25T02:30',
    ],
  ])('%s', (_, part, from, minutes, expected) => {
    const hours: BusinessHours = { week: null, specialDays: {}, zone: 'Europe/London', ...part }
    const at = DateTime.fromISO(from, { zone: hours.zone }).toMillis()
    expect(
      DateTime.fromMillis(addBusinessMinutes(at, minutes, hours), { zone: hours.zone }).toFormat(
        "yyyy-MM-dd'T'HH:mm",
      ),
    ).toBe(expected)
  })

  test.each<[string, DayHours, string, string, number]>([
    ['opens in an hour that is skipped', [[90, 180]], '2026-03-29T00:00Z', '2026-03-29T12:00Z', 60],
    ['closes in an hour that is skipped', [[30, 90]], '2026-03-29T00:00Z', '2026-03-29T12:00Z', 30],
    ['is open in an hour that is skipped alone', [[75, 105]], '2026-03-29T00:00Z', '2026-03-29T12:00Z', 0],
    ['is open in an hour that comes twice', [[75, 105]], '2026-10-25T00:00Z', '2026-10-25T12:00Z', 60],
    ['closes in an hour that comes twice', [[30, 90]], '2026-10-24T23:00Z', '2026-10-25T12:00Z', 90],
    [
      'is open all night when the clock goes back',
      [[1320, 1560]],
      '2026-10-24T12:00Z',
      '2026-10-25T12:00Z',
      300,
    ],
    [
      'is open all night when the clock goes forward',
      [[1320, 1560]],
      '2026-03-28T12:00Z',
      '2026-03-29T12:00Z',
      180,
    ],
  ])('a place that %s', (_, day, from, to, open) => {
    const hours = { week: Array.from({ length: 7 }, () => day), specialDays: {}, zone: 'Europe/London' }
    expect(businessMinutesBetween(Date.parse(from), Date.parse(to), hours)).toBe(open)
  })

  test('a night that goes on when the clock is set back after midnight comes again after what the day began with', () => {
    // 1:00 is 0:00 again on 1 November.
    const week = Array.from({ length: 7 }, (): DayHours => [
      [35, 50],
      [1300, 1470],
    ])
    const hours: BusinessHours = { week, specialDays: {}, zone: 'America/Havana' }
    const at = (clock: string) => Date.parse(`2026-11-01T${clock}Z`)
    expect(businessMinutesBetween(at('04:00'), at('07:00'), hours)).toBe(90)
    expect(addBusinessMinutes(at('04:00'), 60, hours)).toBe(at('05:15'))
  })

  test('what is no time zone is refused, also where nothing ever closes', () => {
    const hours: BusinessHours = { week: null, specialDays: {}, zone: 'Orrin/Dunmarrow' }
    expect(() => addBusinessMinutes(0, 90, hours)).toThrow('"Orrin/Dunmarrow" is no time zone.')
    expect(() => businessMinutesBetween(0, 1e9, hours)).toThrow(RangeError)
  })

  test('a place that never opens has the plain sum', () => {
    const hours: BusinessHours = { week: Array.from({ length: 7 }, () => []), specialDays: {}, zone: 'UTC' }
    expect(addBusinessMinutes(0, 90, hours)).toBe(90 * minute)
    expect(businessMinutesBetween(0, 1e12, hours)).toBe(0)
  })

  test.each<[DayHours, string | null]>([
    [[], null],
    [
      [
        [540, 720],
        [780, 1020],
      ],
      null,
    ],
    [[[1320, 1560]], null],
    [[[0, 1440]], null],
    [[[720, 540]], 'order'],
    [[[540, 540]], 'order'],
    [
      [
        [540, 800],
        [780, 1020],
      ],
      'overlap',
    ],
    [[[0, 1500]], 'order'],
    [[[1440, 1500]], 'range'],
    [[[-5, 60]], 'range'],
    [[[1.5, 60]], 'range'],
    [[[900, 2881]], 'range'],
  ])('%j is wrong by %s', (day, expected) => expect(hoursProblem(day)).toBe(expected))
})
