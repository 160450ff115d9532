import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import {
  presenceOf,
  shiftsTried,
  simulateWeek,
  tryShifts,
  usualShare,
  weekRates,
  withShift,
  type WeekInputs,
} from '@murrabel/core/staffing'
import { poissonOf, randomFrom } from '@murrabel/core/measures'

const hour = 3_600_000
/** Everything is due so long after it came. */
const typeDue = (hours: number, afterMs: number) => ({
  weight: 1,
  dueMs: Array.from({ length: hours + 1 }, (_, i) => i * hour + afterMs),
})
/** A sample of times with an exponential distribution, by its quantiles. */
const exponential = (meanMs: number, n = 2000) =>
  Array.from({ length: n }, (_, i) => -meanMs * Math.log(1 - (i + 0.5) / n))
const always = (hours: number, n = 1) =>
  Array.from({ length: n }, () => ({ presence: Array.from({ length: hours }, () => 1) }))

describe('against what is known of queues', () => {
  // Whoever is served in the order they come, with Poisson arrivals and exponential times, stays for an exponential time (M/M/1).
  test.each([
    [6, 6, 0.5],
    [8, 5, 1],
    [4, 10, 0.5],
  ])('%i an hour, %i minutes each, due after %d hours', (perHour, minutes, dueHours) => {
    const hours = 400
    const rate = 60 / minutes
    const inputs: WeekInputs = {
      arrivals: Array.from({ length: hours }, () => perHour),
      types: [typeDue(hours, dueHours * hour)],
      people: always(hours),
      serviceMs: exponential(minutes * 60_000),
      openDueMs: [],
    }
    const { late } = simulateWeek(inputs, { runs: 40 })
    expect(late.mean).toBeCloseTo(Math.exp(-(rate - perHour) * dueHours), 1)
    expect(late.low).toBeLessThanOrEqual(late.mean)
    expect(late.high).toBeGreaterThanOrEqual(late.mean)
  })

  test('two who share the work (M/M/2) wait less than each alone with half of it', () => {
    const hours = 400
    const inputs = (perHour: number, n: number): WeekInputs => ({
      arrivals: Array.from({ length: hours }, () => perHour),
      types: [typeDue(hours, hour / 2)],
      people: always(hours, n),
      serviceMs: exponential(8 * 60_000),
      openDueMs: [],
    })
    const two = simulateWeek(inputs(12, 2), { runs: 20 }).late.mean
    expect(two).toBeLessThan(simulateWeek(inputs(6, 1), { runs: 20 }).late.mean)
    // Erlang's C for two with a load of 1.6.
    const load = 1.6
    const wait = (load ** 2 / 2) * (2 / (2 - load))
    const chance = wait / (1 + load + wait)
    const mu = 7.5
    // Sojourn beyond t, of M/M/c.
    const d = 2 * mu - 12
    const t = 0.5
    const beyond = Math.exp(-mu * t) * (1 + (chance * (1 - Math.exp(-(d - mu) * t))) / ((d - mu) / mu))
    expect(two).toBeCloseTo(beyond, 1)
  })
})

describe('what must be so', () => {
  const inputsArbitrary = fc
    .record({
      arrivals: fc.array(fc.double({ min: 0, max: 5, noNaN: true }), { minLength: 1, maxLength: 48 }),
      people: fc.integer({ min: 0, max: 3 }),
      chance: fc.double({ min: 0, max: 1, noNaN: true }),
      after: fc.double({ min: 0.1, max: 20, noNaN: true }),
      service: fc.array(fc.integer({ min: 1000, max: 3 * hour }), { minLength: 1, maxLength: 5 }),
      open: fc.array(fc.integer({ min: -20 * hour, max: 60 * hour }), { maxLength: 20 }),
    })
    .map(({ arrivals, people, chance, after, service, open }): WeekInputs => ({
      arrivals,
      types: [typeDue(arrivals.length, after * hour)],
      people: Array.from({ length: people }, () => ({ presence: arrivals.map(() => chance) })),
      serviceMs: service,
      openDueMs: open,
    }))

  test('late ones are some of those due, and the hours add up to them; the same seed tells the same', () => {
    fc.assert(
      fc.property(inputsArbitrary, (inputs) => {
        const told = simulateWeek(inputs, { runs: 5 })
        expect(told.lateCount).toBeLessThanOrEqual(told.due + 1e-9)
        expect(told.byHour.reduce((a, b) => a + b, 0)).toBeCloseTo(told.lateCount, 6)
        expect(told.byHour).toHaveLength(inputs.arrivals.length)
        expect(simulateWeek(inputs, { runs: 5 })).toEqual(told)
      }),
      { numRuns: 150 },
    )
  })

  test('with nobody there everything due is late; with enough, and time, nothing is', () => {
    fc.assert(
      fc.property(inputsArbitrary, (inputs) => {
        const nobody = simulateWeek({ ...inputs, people: [] }, { runs: 3 })
        expect(nobody.lateCount).toBeCloseTo(nobody.due, 6)
        const crowd = simulateWeek(
          {
            ...inputs,
            types: [typeDue(inputs.arrivals.length, 10 * hour)],
            people: always(inputs.arrivals.length, 200),
            serviceMs: [60_000],
            openDueMs: inputs.openDueMs.filter((due) => due > hour),
          },
          { runs: 3 },
        )
        expect(crowd.lateCount).toBe(0)
      }),
      { numRuns: 60 },
    )
  })

  test('what is past due already is not counted, but takes its time', () => {
    const inputs: WeekInputs = {
      arrivals: [0, 0],
      types: [],
      people: always(2),
      serviceMs: [30 * 60_000],
      openDueMs: [-hour, -hour, 50 * 60_000],
    }
    expect(simulateWeek(inputs, { runs: 1 })).toMatchObject({ due: 1, lateCount: 1 })
    expect(simulateWeek({ ...inputs, openDueMs: [50 * 60_000] }, { runs: 1 })).toMatchObject({
      due: 1,
      lateCount: 0,
    })
  })
})

describe('shifts', () => {
  const hours = 48
  const clocks = Array.from({ length: hours }, (_, h) => h % 24)
  const inputs: WeekInputs = {
    arrivals: Array.from({ length: hours }, (_, h) => (h % 24 >= 8 && h % 24 < 20 ? 4 : 0.2)),
    types: [typeDue(hours, 2 * hour)],
    // Nobody comes on the second day.
    people: [{ presence: Array.from({ length: hours }, (_, h) => (h >= 8 && h < 20 ? 1 : 0)) }],
    serviceMs: exponential(8 * 60_000, 200),
    openDueMs: [],
  }
  test('one more helps most where nobody is, and never harms', () => {
    const before = simulateWeek(inputs, { runs: 60 })
    const tried = tryShifts(
      inputs,
      shiftsTried({ clocks, begins: [0, 3, 6, 9, 12, 15, 18], length: 6, people: 1 }),
      { runs: 60 },
    )
    expect(tried[0]!.shift.from).toBeGreaterThanOrEqual(30)
    expect(tried[0]!.shift.from).toBeLessThanOrEqual(39)
    expect(tried[0]!.forecast.lateCount).toBeLessThan(before.lateCount * 0.75)
    for (const { forecast } of tried) expect(forecast.lateCount).toBeLessThanOrEqual(before.lateCount + 0.5)
  })
  test('one less takes away whoever would be there', () => {
    const less = withShift(inputs, { from: 8, hours: 6, people: -1 })
    expect(less.people[0]!.presence.slice(8, 14)).toEqual([0, 0, 0, 0, 0, 0])
    expect(less.people[0]!.presence[14]).toBe(1)
    expect(simulateWeek(less, { runs: 60 }).lateCount).toBeGreaterThan(
      simulateWeek(inputs, { runs: 60 }).lateCount,
    )
    expect(withShift({ ...inputs, people: [] }, { from: 8, hours: 6, people: -1 }).people).toEqual([])
  })
  test('are ended when nobody waits for them any more', () => {
    expect(
      tryShifts(inputs, shiftsTried({ clocks, begins: [0, 3, 6, 9, 12, 15, 18], length: 6, people: 1 }), {
        runs: 1,
        told: (n) => n < 3,
      }),
    ).toHaveLength(3)
  })
})

test('counts have the mean and the variance of Poisson', () => {
  for (const mean of [0, 0.3, 4, 75]) {
    const random = randomFrom(5)
    const drawn = Array.from({ length: 20_000 }, () => poissonOf(mean, random))
    const average = drawn.reduce((a, b) => a + b, 0) / drawn.length
    const variance = drawn.reduce((sum, n) => sum + (n - average) ** 2, 0) / drawn.length
    expect(Math.abs(average - mean)).toBeLessThanOrEqual(0.05 + mean * 0.02)
    expect(Math.abs(variance - mean)).toBeLessThanOrEqual(0.05 + mean * 0.05)
  }
})

describe('what is expected in each hour of the week', () => {
  test('is the shape of the weeks, and keeps their sum', () => {
    const weeks = 8
    const shape = Array.from({ length: 168 }, (_, h) =>
      h % 24 >= 8 && h % 24 < 18 ? (h < 120 ? 3 : 1) : 0.1,
    )
    const random = randomFrom(3)
    const counts = shape.map((mean) =>
      Array.from({ length: weeks }, () => poissonOf(mean, random)).reduce((a, b) => a + b, 0),
    )
    const rates = weekRates(
      counts,
      Array.from({ length: 168 }, () => weeks),
    )
    const sum = (of: readonly number[]) => of.reduce((a, b) => a + b, 0)
    expect(Math.abs(sum(rates) - sum(counts) / weeks)).toBeLessThan(0.03 * sum(rates))
    const off = (of: readonly number[]) => sum(of.map((rate, h) => (rate - shape[h]!) ** 2))
    // Nearer to the truth than the bare means.
    expect(off(rates)).toBeLessThan(off(counts.map((n) => n / weeks)))
  })
  test('is nothing where nothing came, and is told where an hour was never seen', () => {
    expect(weekRates(Array(168).fill(0), Array(168).fill(8))).toEqual(Array(168).fill(0))
    const hours = Array.from({ length: 168 }, (_, h) => (h === 10 ? 0 : 8))
    const rates = weekRates(
      hours.map((n) => n * 2),
      hours,
    )
    expect(rates[10]).toBeGreaterThan(1)
    expect(rates.every(Number.isFinite)).toBe(true)
  })
})

describe('the chance that somebody is there', () => {
  test.each([
    ['between two answers', [9, 12], 1, [0, 1, 1, 1, 1, 0]],
    ['not over a long break', [9, 14], 1, [0, 1, 0, 0, 0, 0]],
    ['in one week of two', [9], 2, [0, 0.5, 0, 0, 0, 0]],
    ['before the first week', [-100], 1, [0, 0, 0, 0, 0, 0]],
  ])('%s', (_, answered, weeks, expected) => {
    expect(presenceOf(answered, weeks).slice(8, 14)).toEqual(expected)
  })
  test('not over midnight', () => expect(presenceOf([23, 26], 1).slice(23, 27)).toEqual([1, 0, 0, 1]))
})

describe('the share that is usual', () => {
  test.each([
    [
      'of steady weeks',
      Array.from({ length: 6 }, () => ({ good: 90, n: 100 })),
      { low: 0.84, high: 0.96, weeks: 6 },
    ],
    [
      'is no share below 0',
      Array.from({ length: 4 }, () => ({ good: 0, n: 10 })),
      { low: 0, high: 0, weeks: 4 },
    ],
    ['of too few weeks', Array.from({ length: 3 }, () => ({ good: 9, n: 10 })), null],
    ['of weeks with too little', Array.from({ length: 6 }, () => ({ good: 1, n: 2 })), null],
  ])('%s', (_, weeks, expected) => {
    const told = usualShare(weeks)
    if (expected === null) expect(told).toBeNull()
    else {
      expect(told!.low).toBeCloseTo(expected.low, 6)
      expect(told!.high).toBeCloseTo(expected.high, 6)
      expect(told!.weeks).toBe(expected.weeks)
    }
  })
  test('holds nineteen weeks of twenty where nothing happens', () => {
    const random = randomFrom(9)
    const week = () => ({
      good: Array.from({ length: 80 }, () => Number(random() < 0.8)).reduce((a, b) => a + b, 0),
      n: 80,
    })
    let inside = 0
    for (let i = 0; i < 1000; i++) {
      const usual = usualShare(Array.from({ length: 6 }, week))!
      const { good, n } = week()
      if (good / n >= usual.low && good / n <= usual.high) inside++
    }
    expect(inside / 1000).toBeGreaterThan(0.9)
  })
})
