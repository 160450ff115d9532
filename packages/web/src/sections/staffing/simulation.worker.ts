import { shiftsTried, simulateWeek, tryShifts, withShift, type WeekInputs } from '@murrabel/core/staffing'
import type { Asked, Told } from './simulationMessages.ts'

/** The simulation, beside the page: it takes seconds. */
const runs = 400
const runsOfShift = 60
/** Shifts of six hours that begin between early morning and early evening. */
const shift = { length: 6, begins: [6, 8, 10, 12, 14, 16, 18] }

const tell = (message: Told) => postMessage(message)
const scaled = (inputs: WeekInputs, arrivals: number): WeekInputs => ({
  ...inputs,
  arrivals: inputs.arrivals.map((mean) => mean * arrivals),
})

addEventListener('message', ({ data }: MessageEvent<Asked>) => {
  const { id, inputs, arrivals } = data
  const week = scaled(inputs, arrivals)
  if (data.kind === 'forecast') {
    const forecast = simulateWeek(data.shift ? withShift(week, data.shift) : week, { runs })
    return tell({ id, kind: 'forecast', forecast })
  }
  const shifts = shiftsTried({ ...shift, clocks: data.clocks, people: data.people })
  const tried = tryShifts(week, shifts, {
    runs: runsOfShift,
    told: (done) => {
      tell({ id, kind: 'progress', done, of: shifts.length })
      return true
    },
  })
  // The best are looked at again with as many runs as the rest.
  const best = tried.slice(0, 5).map(({ shift: each }) => ({
    shift: each,
    forecast: simulateWeek(withShift(week, each), { runs }),
  }))
  best.sort((a, b) => a.forecast.lateCount - b.forecast.lateCount)
  tell({ id, kind: 'shifts', tried: best })
})
