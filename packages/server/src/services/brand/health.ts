import type { Context } from '../../context.ts'
import { workersAlive, workFigures, type WorkFigures } from '../../store/queries/jobs/dueWork.ts'

export interface Health {
  status: 'ok' | 'failing'
  database: boolean
  /** Whether news reach the browsers of this process. */
  listener: boolean
  /** Processes that work in the background, heard of in the last half minute. */
  workers: number
  /** Seconds the oldest piece of work has been due and not begun. */
  oldestDueSeconds: number
  work: WorkFigures[]
}

/** Work that has waited longer than this is not being done. */
const longestWaitSeconds = 300
const answerMs = 3_000

/** The truth about this installation, as far as this process can tell. */
export async function healthOf({ db, live }: Pick<Context, 'db' | 'live'>): Promise<Health> {
  const listener = live.connected
  try {
    const [workers, work] = await inTime(Promise.all([workersAlive(db), workFigures(db)]))
    const oldestDueSeconds = Math.max(0, ...work.map((each) => each.oldestSeconds))
    const ok = listener && workers > 0 && oldestDueSeconds < longestWaitSeconds
    return { status: ok ? 'ok' : 'failing', database: true, listener, workers, oldestDueSeconds, work }
  } catch {
    return { status: 'failing', database: false, listener, workers: 0, oldestDueSeconds: 0, work: [] }
  }
}

function inTime<T>(answer: Promise<T>): Promise<T> {
  let timer: NodeJS.Timeout | undefined
  const late = new Promise<never>((_, reject) => {
    timer = setTimeout(() => reject(new Error('no answer in time')), answerMs)
  })
  answer.catch(() => {})
  return Promise.race([answer, late]).finally(() => clearTimeout(timer))
}
