import { simulateWeek, type WeekForecast, type WeekInputs } from './simulateWeek.ts'

/** Some hours in which there is one more, or one less. */
export interface Shift {
  /** Hour from the begin. */
  from: number
  hours: number
  people: 1 | -1
}

export interface ShiftTried {
  shift: Shift
  forecast: WeekForecast
}

/** The people with a shift more; with one less, whoever is there most surely in these hours stays away. */
export function withShift(inputs: WeekInputs, { from, hours, people }: Shift): WeekInputs {
  const isIn = (hour: number) => hour >= from && hour < from + hours
  if (people > 0)
    return {
      ...inputs,
      people: [...inputs.people, { presence: inputs.arrivals.map((_, hour) => (isIn(hour) ? 1 : 0)) }],
    }
  const there = inputs.people.map(({ presence }) =>
    presence.reduce((sum, chance, hour) => sum + (isIn(hour) ? chance : 0), 0),
  )
  const away = there.indexOf(Math.max(...there))
  return {
    ...inputs,
    people: inputs.people.map((person, i) =>
      i === away ? { presence: person.presence.map((chance, hour) => (isIn(hour) ? 0 : chance)) } : person,
    ),
  }
}

/**
 * Shifts of so many hours that lie in the time and begin at one of some hours of the day.
 *
 * @param options.clocks hour of the day, 0 to 23, of each hour of the time
 * @param options.begins hours of the day at which somebody may begin
 * @example shiftsTried({ clocks: [8, 9, 10], begins: [9], length: 2, people: 1 }) // [{ from: 1, hours: 2, people: 1 }]
 */
export const shiftsTried = ({
  clocks,
  begins,
  length,
  people,
}: {
  clocks: readonly number[]
  begins: readonly number[]
  length: number
  people: 1 | -1
}): Shift[] =>
  clocks.flatMap((clock, from) =>
    begins.includes(clock) && from + length <= clocks.length ? [{ from, hours: length, people }] : [],
  )

/**
 * What each shift would change, the one that leaves the fewest late first. All are tried on the same arrivals.
 *
 * @param options.told called after each shift with how many are done; answering false ends it
 */
export function tryShifts(
  inputs: WeekInputs,
  shifts: readonly Shift[],
  { runs, seed = 1, told = () => true }: { runs: number; seed?: number; told?: (done: number) => boolean },
): ShiftTried[] {
  const tried: ShiftTried[] = []
  for (const shift of shifts) {
    tried.push({ shift, forecast: simulateWeek(withShift(inputs, shift), { runs, seed }) })
    if (!told(tried.length)) break
  }
  return tried.sort((a, b) => a.forecast.lateCount - b.forecast.lateCount || a.shift.from - b.shift.from)
}
