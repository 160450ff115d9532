import { bunchingOf, changeOfCount, direction, readUsual } from '../src/measures/index.ts'
import { bunched, normal } from './draws.ts'
import { drawing, percent, rate, type SimulatedFigure } from './figure.ts'

/** Of counts: variance over mean. */
const dispersions = [1, 3, 8]

const sum = (values: readonly number[]) => values.reduce((all, value) => all + value, 0)

/** Two periods of the same: how often their counts are called surely different. */
export function countFigures(runs = 4000): SimulatedFigure[] {
  const draw = drawing(12)
  const days = (n: number, mean: number, dispersion: number) =>
    Array.from({ length: n }, () => bunched(mean, dispersion, draw))
  return [0.5, 3, 20].flatMap((mean) =>
    dispersions.map((dispersion): SimulatedFigure => {
      const each = [7, 28].map((length) => {
        const wrong = rate(runs, () => {
          const [a, b] = [days(length, mean, dispersion), days(length, mean, dispersion)]
          return changeOfCount(
            { count: sum(a), days: length, bunching: bunchingOf(a) },
            { count: sum(b), days: length, bunching: bunchingOf(b) },
          ).sure
        })
        return `${percent(wrong)} over ${length} days`
      })
      const shared = rate(runs, () => {
        const before = Array.from({ length: 6 }, () => sum(days(7, mean, dispersion)))
        const now = sum(days(7, mean, dispersion))
        return changeOfCount({ count: before[5]!, days: 7 }, { count: now, days: 7 }, bunchingOf(before)).sure
      })
      return {
        what: `Two counts, ${mean} a day, variance ${dispersion} times the mean: surely different though nothing differs`,
        claimed: 'about 5%',
        measured: `${each.join(', ')}; ${percent(shared)} of a week against the one before, bunching from six weeks`,
        how: `${runs.toLocaleString('en')} pairs each`,
      }
    }),
  )
}

/** Series without a direction: how often one is told. */
export function directionFigures(runs = 3000): SimulatedFigure[] {
  const draw = drawing(11)
  const follows = (n: number, by: number, rise = 0) => {
    let value = normal(draw)
    return Array.from({ length: n }, (_, i) => {
      if (i) value = by * value + Math.sqrt(1 - by * by) * normal(draw)
      return value + rise * i
    })
  }
  const told = (n: number, by: number, rise = 0) =>
    percent(rate(runs, () => direction(follows(n, by, rise)).verdict !== 'level'))
  return [5, 8, 12, 26].map((n) => ({
    what: `Direction of ${n} periods: told though there is none`,
    claimed: 'about 5% up to a correlation of 0.3 from period to period, about 10% up to 0.7',
    measured: `${[0, 0.3, 0.5, 0.7].map((by) => `${told(n, by)} at ${by}`).join(', ')}; a rise by 4 standard deviations in all is told in ${told(n, 0, 4 / n)}`,
    how: `${runs.toLocaleString('en')} series each`,
  }))
}

/** Periods in which nothing happens: how often one is called above or below what is usual. */
export function usualFigures(runs = 4000): SimulatedFigure[] {
  const draw = drawing(6)
  return [0.5, 3, 20, 200].map((mean) => ({
    what: `Usual range, ${mean} a period: outside of it though nothing happened`,
    claimed: 'about 5%; few counts in large bunches up to 10%',
    measured: dispersions
      .map((dispersion) => {
        const each = [4, 6, 14, 28].map((k) => {
          const wrong = rate(runs, () => {
            const before = Array.from({ length: k }, () => bunched(mean, dispersion, draw))
            return readUsual(bunched(mean, dispersion, draw), before, k).verdict !== 'usual'
          })
          return percent(wrong)
        })
        return `${each.join(', ')} at variance ${dispersion} times the mean`
      })
      .join('; '),
    how: `4, 6, 14 and 28 periods before, ${runs.toLocaleString('en')} each`,
  }))
}
