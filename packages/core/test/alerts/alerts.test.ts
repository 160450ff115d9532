import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import {
  alertReader,
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
  weekHour: 0,
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
  test('little is never a mood, nor a crowd', () => {
    const few = Array.from({ length: 40 * day }, (_, h) => mood(h % 24 === 0 ? 1 : 0))
    expect(
      rehearseAlert({ kind: 'net', below: 0, days: 7 }, seriesOf(few), { from, quietMinutes: 0 }),
    ).toEqual([])
    const burst = Array.from({ length: 40 * day }, (_, h) => mood(h === 35 * day ? 4 : 0))
    expect(rehearseAlert({ kind: 'more', hours: 24 }, seriesOf(burst), { from, quietMinutes: 0 })).toEqual([])
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
