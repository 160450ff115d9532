import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import {
  alertReader,
  falseCalls,
  freshAlert,
  hourMs,
  rehearseAlert,
  stepAlert,
  stepEntries,
  type AlertCondition,
  type AlertSeries,
} from '@murrabel/core/alerts'
import { poisson, seeded } from '../support/random.ts'

const day = 24
const start = Date.parse('2026-08-01T00:00:00Z')
const mood = (negative: number, positive = 0) => ({ positive, neutral: 0, negative, unread: 0 })
const seriesOf = (
  hours: { positive: number; neutral: number; negative: number; unread: number }[],
): AlertSeries => ({
  start,
  hours,
  weekHours: hours.map((_, i) => (i + 5 * day) % 168),
  entries: [],
})
/** Sixty days of about one an hour, half glad. */
function ordinary(seed = 1): AlertSeries['hours'][number][] {
  const random = seeded(seed)
  return Array.from({ length: 60 * day }, () => mood(poisson(0.5, random), poisson(0.5, random)))
}

describe('one event is told once, and its end', () => {
  const quietMinutes = 60
  test.each([
    ['begins', { ...freshAlert }, true, 0, 'begin'],
    ['goes on', { ...freshAlert, open: true, firedAt: 0 }, true, 9, null],
    ['ends', { ...freshAlert, open: true, firedAt: 0 }, false, 9, 'end'],
    ['rests', { ...freshAlert, firedAt: 0 }, true, 59, null],
    ['begins again after the quiet time', { ...freshAlert, firedAt: 0 }, true, 60, 'begin'],
    ['is quiet', { ...freshAlert }, false, 0, null],
  ] as const)('%s', (_, state, on, minutes, tell) =>
    expect(stepAlert(state, { on }, { now: minutes * 60_000, quietMinutes }).tell).toBe(tell),
  )

  test('in any course, begins and ends take turns and begins keep the quiet time', () =>
    fc.assert(
      fc.property(
        fc.array(fc.boolean(), { maxLength: 80 }),
        fc.integer({ min: 0, max: 600 }),
        (course, quiet) => {
          let state = freshAlert
          const told: { tell: string; at: number }[] = []
          course.forEach((on, hour) => {
            const step = stepAlert(state, { on }, { now: hour * hourMs, quietMinutes: quiet })
            state = step.state
            if (step.tell) told.push({ tell: step.tell, at: hour * hourMs })
          })
          expect(told.map((t) => t.tell)).toEqual(told.map((_, i) => (i % 2 ? 'end' : 'begin')))
          const begins = told.filter((t) => t.tell === 'begin')
          begins
            .slice(1)
            .forEach((b, i) => expect(b.at - begins[i]!.at).toBeGreaterThanOrEqual(quiet * 60_000))
        },
      ),
    ))
})

describe('single entries', () => {
  test('what comes in the quiet time is told together after it, nothing twice', () => {
    const first = stepEntries(freshAlert, [{ id: 5 }], { now: 0, quietMinutes: 30 })
    expect(first.told).toEqual([5])
    const early = stepEntries(first.state, [{ id: 6 }], { now: 60_000, quietMinutes: 30 })
    expect(early.told).toEqual([])
    expect(
      stepEntries(early.state, [{ id: 6 }, { id: 9 }], { now: 30 * 60_000, quietMinutes: 30 }).told,
    ).toEqual([6, 9])
  })
  test.each<[AlertCondition, number, number]>([
    [{ kind: 'any' }, 0, 4],
    [{ kind: 'any' }, 120, 3],
    [{ kind: 'reach', above: 1000 }, 0, 1],
    [{ kind: 'reach', above: 1001 }, 0, 0],
  ])('%j, quiet for %s minutes, tells %s times', (condition, quietMinutes, times) => {
    const entries = [0, 1, 90, 200].map((minutes, i) => ({
      id: 10 - i,
      at: start + minutes * 60_000,
      reach: i === 2 ? 1000 : 10,
    }))
    const series = { ...seriesOf(ordinary().slice(0, 48)), entries }
    const firings = rehearseAlert(condition, series, { from: start, quietMinutes })
    expect(firings).toHaveLength(times)
    // Whatever the quiet time, every entry that fits is told once.
    const told = firings.flatMap((t) => t.entries).sort()
    const fit = entries.filter(
      (e) => condition.kind === 'any' || e.reach >= (condition as { above: number }).above,
    )
    expect(told).toEqual(fit.map((e) => e.id).sort())
  })
})

describe('conditions on the past', () => {
  const trouble = ordinary()
  for (let h = 50 * day; h < 51 * day; h++) trouble[h] = mood(8)
  const from = start + 30 * day * hourMs
  test.each<[AlertCondition]>([
    [{ kind: 'spike' }],
    [{ kind: 'more', hours: 24 }],
    [{ kind: 'net', below: -0.4, days: 3 }],
  ])('%j tells of the bad day once, begin and end', (condition) => {
    const firings = rehearseAlert(condition, seriesOf(trouble), { from, quietMinutes: 720 })
    expect(firings.map((t) => t.kind)).toEqual(['begin', 'end'])
    const begin = (firings[0]!.at - start) / hourMs
    expect(begin).toBeGreaterThan(50 * day)
    expect(begin).toBeLessThanOrEqual(51 * day)
  })
  test.each<[AlertCondition]>([[{ kind: 'spike' }], [{ kind: 'net', below: -0.5, days: 7 }]])(
    '%j keeps still on ordinary days',
    (condition) => {
      for (const seed of [2, 3, 4])
        expect(rehearseAlert(condition, seriesOf(ordinary(seed)), { from, quietMinutes: 0 })).toEqual([])
    },
  )
  // Hours and weekdays as different as they come, and nothing else.
  const season = (seed: number, rate: number) => {
    const random = seeded(seed)
    const hours = Array.from({ length: 160 * day }, (_, h) => {
      const weight = (h % 24 < 7 ? 0.1 : 1.4) * (Math.floor(h / 24) % 7 > 4 ? 1.8 : 0.7)
      return mood(poisson((rate * weight) / 2, random), poisson((rate * weight) / 2, random))
    })
    return { start, hours, weekHours: hours.map((_, h) => h % 168), entries: [] }
  }
  test.each([6, 24, 72])('more than usual in %s hours hardly ever begins in a mere season', (hours) => {
    let begins = 0
    for (const seed of [5, 6, 7])
      begins += rehearseAlert({ kind: 'more', hours }, season(seed, 4), {
        from: start + 70 * day * hourMs,
        quietMinutes: 60,
      }).filter(({ kind }) => kind === 'begin').length
    // Nine months.
    expect(begins).toBeLessThanOrEqual(6)
  })
  test('a mood that stays above the mark hardly ever begins one', () => {
    const random = seeded(12)
    const hours = Array.from({ length: 90 * day }, () => {
      const bad = random() < 0.35
      return random() < 10 / 24 ? mood(bad ? 1 : 0, bad ? 0 : 1) : mood(0)
    })
    const begins = rehearseAlert({ kind: 'net', below: 0.2, days: 1 }, seriesOf(hours), {
      from: start,
      quietMinutes: 60,
    })
    expect(begins.filter(({ kind }) => kind === 'begin').length).toBeLessThanOrEqual(4)
  })
  test('more than usual is told by the clock on the wall, also after it changed', () => {
    // From the 70th day on all happens an hour earlier of UTC: the clock went forward.
    const hours = Array.from({ length: 100 * day }, (_, h) =>
      mood((h + (h >= 70 * day ? 1 : 0)) % 24 === 12 ? 30 : 1),
    )
    const clock = hours.map((_, h) => (h + (h >= 70 * day ? 1 : 0)) % 168)
    const begins = (weekHours: readonly number[]) =>
      rehearseAlert(
        { kind: 'more', hours: 1 },
        { start, hours, weekHours, entries: [] },
        { from: start + 65 * day * hourMs, quietMinutes: 0 },
      ).length
    expect(begins(clock)).toBe(0)
    expect(begins(hours.map((_, h) => h % 168))).toBeGreaterThan(0)
  })
  test('how often it begins for nothing is said before', () => {
    const condition: AlertCondition = { kind: 'net', below: 0, days: 1 }
    const said = falseCalls(condition, season(3, 0.5), { quietMinutes: 60, learning: 1 })!
    let begins = 0
    for (const seed of [8, 9, 10, 11])
      begins += rehearseAlert(condition, season(seed, 0.5), { from: start, quietMinutes: 60 }).filter(
        ({ kind }) => kind === 'begin',
      ).length
    const met = begins / ((4 * 160) / 30)
    expect(said).toBeGreaterThan(met / 2)
    expect(said).toBeLessThan(met * 2)
    expect(
      falseCalls({ kind: 'net', below: -0.8, days: 7 }, season(3, 2), { quietMinutes: 60, learning: 7 }),
    ).toBe(0)
  })
  test('of single entries, and of too few days, nothing is said', () => {
    const asked = { quietMinutes: 60, learning: 1 }
    expect(falseCalls({ kind: 'any' }, season(3, 2), asked)).toBeNull()
    const short = season(3, 2)
    expect(
      falseCalls(
        { kind: 'net', below: 0, days: 1 },
        { ...short, hours: short.hours.slice(0, 14 * day), weekHours: short.weekHours.slice(0, 14 * day) },
        asked,
      ),
    ).toBeNull()
  })
  test('days of a spike are no ordinary days', () => {
    const calm = season(4, 4)
    const hours = calm.hours.map((each, h) => (h >= 150 * day && h < 151 * day ? mood(60) : each))
    const asked = { quietMinutes: 60, learning: 63 }
    expect(falseCalls({ kind: 'more', hours: 6 }, { ...calm, hours }, asked)).toBeLessThan(1)
  })
  test('little is never a mood, nor a crowd', () => {
    const few = Array.from({ length: 40 * day }, (_, h) => mood(h % 24 === 0 ? 1 : 0))
    expect(
      rehearseAlert({ kind: 'net', below: 0, days: 7 }, seriesOf(few), { from, quietMinutes: 0 }),
    ).toEqual([])
    const burst = Array.from({ length: 40 * day }, (_, h) => mood(h === 35 * day ? 4 : 0))
    expect(rehearseAlert({ kind: 'more', hours: 24 }, seriesOf(burst), { from, quietMinutes: 0 })).toEqual([])
  })
  test('what was not collected is no measure of what is usual, and no ordinary day', () => {
    const calm = seriesOf(ordinary(5))
    const gap = (h: number) => h >= 36 * day && h < 50 * day
    const unknown = calm.hours.map((_, h) => gap(h))
    const hours = calm.hours.map((each, h) => (gap(h) ? mood(0) : each))
    const begins = (series: AlertSeries) =>
      rehearseAlert({ kind: 'more', hours: 24 }, series, { from: start + 50 * day * hourMs, quietMinutes: 0 })
        .length
    const read = (series: AlertSeries) =>
      alertReader({ kind: 'more', hours: 24 }, series)(59 * day, true).expected!
    expect(Math.abs(read({ ...calm, hours, unknown }) - read(calm))).toBeLessThan(4)
    expect(read({ ...calm, hours }) - read(calm)).toBeGreaterThan(8)
    expect(begins({ ...calm, hours, unknown })).toBe(0)
    // A stretch that was not collected itself is counted as it is, and begins nothing.
    expect(
      alertReader({ kind: 'more', hours: 24 }, { ...calm, hours, unknown })(45 * day, false),
    ).toMatchObject({
      on: false,
      count: 0,
    })
  })
  test('what is read at an hour does not hang on later hours', () => {
    for (const condition of [
      { kind: 'spike' },
      { kind: 'more', hours: 6 },
      { kind: 'net', below: 0, days: 2 },
    ] as AlertCondition[]) {
      const whole = alertReader(condition, seriesOf(trouble))
      for (const hour of [40 * day, 50 * day + 5, 50 * day + 12])
        expect(alertReader(condition, seriesOf(trouble.slice(0, hour + 1)))(hour, false).on).toBe(
          whole(hour, false).on,
        )
    }
  })
  test('with less than four stretches of history nothing is more than usual', () =>
    expect(
      alertReader({ kind: 'more', hours: 24 }, seriesOf(trouble.slice(50 * day - 24, 50 * day + 20)))(
        40,
        false,
      ).on,
    ).toBe(false))
})
