import type { KeepDays } from '../../config.ts'
import type { Context } from '../../context.ts'
import type { WorkOutcome } from '../../jobs/due/next.ts'
import { removeUnusedFiles } from '../attachments/index.ts'
import { pruneStep, type Prunable } from '../../store/queries/brand/prune.ts'

/** How many days each thing is kept; null keeps it for ever. */
const keptDays: Record<Prunable, (keep: KeepDays) => number | null> = {
  sessions: () => 0,
  oauthFlows: () => 1,
  signInTries: () => 90,
  workers: () => 1,
  deliveries: (keep) => keep.deliveries,
  itemPieces: (keep) => keep.deliveries,
  rawItems: (keep) => keep.rawItems,
  alertDeliveries: (keep) => keep.deliveries,
  hookDeliveries: (keep) => keep.deliveries,
  actions: (keep) => keep.actions,
  work: (keep) => keep.actions,
  imports: () => 2,
  attachments: () => 1,
  log: (keep) => keep.log,
}

/** Removes what is older than the settings keep, in small steps, so that nobody waits for it. Answers how many of each. */
export async function pruneAll(
  { db, config }: Pick<Context, 'db' | 'config'>,
  signal?: AbortSignal,
): Promise<Record<string, number>> {
  const removed: Record<string, number> = {}
  for (const [name, daysOf] of Object.entries(keptDays) as [Prunable, (keep: KeepDays) => number | null][]) {
    const days = daysOf(config.keepDays)
    if (days === null) continue
    for (let gone = 1; gone; removed[name] = (removed[name] ?? 0) + gone) {
      signal?.throwIfAborted()
      gone = await pruneStep(db, name, days)
    }
  }
  return removed
}

export async function prune(context: Context, signal: AbortSignal): Promise<WorkOutcome> {
  const removed = await pruneAll(context, signal)
  removed.files = await removeUnusedFiles(context, signal)
  context.log.info({ removed }, 'pruned')
  return 'done'
}
