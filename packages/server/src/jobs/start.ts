import type { Context } from '../context.ts'
import { dueChannel } from '../store/queries/jobs/dueWork.ts'
import type { Listener } from '../store/listener.ts'
import type { Works } from './due/piece.ts'
import { startMailListener } from './mailListener.ts'
import { startRunner, type Runner } from './due/runner.ts'
import { startSchedule } from './schedule.ts'
import { changeAbsence } from '../services/absences/index.ts'
import { act } from '../services/actions/index.ts'
import { checkAlert, deliverAlert } from '../services/alerts/index.ts'
import {
  askForReadings,
  countAnew,
  createAnalysis,
  readAgain,
  runWatchHistories,
} from '../services/analysis/index.ts'
import { runImport } from '../services/imports/index.ts'
import { prune } from '../services/brand/index.ts'
import { collectProfile, joinLate, lookAtPublicProfile } from '../services/intake/index.ts'
import { askAllToLearn, learnWhenRested, rereadHistory } from '../services/teaching/index.ts'
import { askAllToMeet, askToMeet, meetPeople } from '../services/people/index.ts'
import { sendHook } from '../services/hooks/index.ts'
import { sendLetter } from '../services/letters/index.ts'
import { oweAnew } from '../services/places/index.ts'
import { sendNoticeMail } from '../services/together/index.ts'
import { sendMorningMail } from '../services/today/index.ts'
import { wakeThread } from '../services/inbox/index.ts'

/** Each kind of work and the use case that does it. */
function worksOf(context: Context): Works {
  const analyse = createAnalysis(context)
  return {
    async analyse({ id, signal }) {
      await analyse(id, signal)
      await askToMeet(context, id)
      return 'done'
    },
    collect: (piece) => collectProfile(context, piece),
    act: (piece) => act(context, piece),
    absence: (piece) => changeAbsence(context, piece),
    wake: ({ id }) => wakeThread(context, id),
    countAnew: ({ id }) => countAnew(context, id),
    checkAlert: ({ id }) => checkAlert(context, id),
    deliver: (piece) => deliverAlert(context, piece),
    hook: (piece) => sendHook(context, piece),
    watchHistory: (piece) => runWatchHistories(context, piece),
    reread: (piece) => rereadHistory(context, piece),
    readAgain: (piece) => readAgain(context, piece),
    learn: ({ id }) => learnWhenRested(context, id),
    meet: (piece) => meetPeople(context, piece),
    morning: (piece) => sendMorningMail(context, piece),
    noticeMail: (piece) => sendNoticeMail(context, piece),
    letter: (piece) => sendLetter(context, piece),
    oweAnew: (piece) => oweAnew(context, piece),
    look: ({ id }) => lookAtPublicProfile(context, id),
    import: (piece) => runImport(context, piece),
    join: (piece) => joinLate(context, piece),
    prune: ({ signal }) => prune(context, signal),
  }
}

export interface JobsProcess {
  /** Where mail is taken that other servers bring; null: it takes none. */
  mailPort: number | null
  /** Looks now whether something is due. */
  look(): void
  stop(): Promise<void>
}

/** Begins to work on what is due; told by PostgreSQL when something is, and looking by itself in case that was not heard. */
export async function startJobs(
  context: Context,
  listener: Listener,
  { onWorkers }: { onWorkers?: (workers: number) => void } = {},
): Promise<JobsProcess> {
  const { db, log, config } = context
  const runner: Runner = startRunner({
    db,
    works: worksOf(context),
    leaseSeconds: config.leaseSeconds,
    log,
    onWorkers,
  })
  listener.on(dueChannel, () => runner.look())
  listener.onReconnect(() => runner.look())
  await askForReadings(context)
  await askAllToLearn(context)
  await askAllToMeet(context)
  // It has much to load: nothing that comes in waits for that.
  void context.readingWorker.warm()
  const schedule = await startSchedule(context)
  const mail = config.mailPort === null ? null : await startMailListener(context, config.mailPort)
  return {
    mailPort: mail?.port ?? null,
    look: () => runner.look(),
    async stop() {
      await mail?.stop()
      await schedule.stop({ graceful: false, timeout: 2000 }).catch(() => {})
      await runner.stop()
    },
  }
}
