import { onScopeDispose } from 'vue'
import type { Shift, ShiftTried, WeekForecast, WeekInputs } from '@murrabel/core/staffing'
import SimulationWorker from './simulation.worker.ts?worker'
import type { Asked, Told } from './simulationMessages.ts'

/** Without its number. */
type Question = Asked extends infer One ? (One extends Asked ? Omit<One, 'id'> : never) : never

/** The simulation of a week, in a worker of its own that ends with the page. */
export function useSimulation() {
  const worker = new SimulationWorker()
  const waiting = new Map<number, (told: Told) => void>()
  let last = 0
  worker.onmessage = ({ data }: MessageEvent<Told>) => waiting.get(data.id)?.(data)
  onScopeDispose(() => worker.terminate())
  const ask = (question: Question, hear: (told: Told) => void): void => {
    const id = ++last
    waiting.set(id, (told) => {
      if (told.kind !== 'progress') waiting.delete(id)
      hear(told)
    })
    worker.postMessage({ ...question, id })
  }
  return {
    forecast: (inputs: WeekInputs, { arrivals, shift }: { arrivals: number; shift: Shift | null }) =>
      new Promise<WeekForecast>((resolve) =>
        ask({ kind: 'forecast', inputs, arrivals, shift }, (told) => {
          if (told.kind === 'forecast') resolve(told.forecast)
        }),
      ),
    /** The shifts that help most, or cost least, the best first. */
    shifts: (
      inputs: WeekInputs,
      {
        arrivals,
        people,
        clocks,
        progress,
      }: {
        arrivals: number
        people: 1 | -1
        clocks: readonly number[]
        progress: (share: number) => void
      },
    ) =>
      new Promise<ShiftTried[]>((resolve) =>
        ask({ kind: 'shifts', inputs, arrivals, people, clocks }, (told) => {
          if (told.kind === 'progress') progress(told.done / told.of)
          if (told.kind === 'shifts') resolve(told.tried)
        }),
      ),
  }
}
