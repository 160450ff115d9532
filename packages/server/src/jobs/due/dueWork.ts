import type { Database, Tx } from '../../store/database.ts'
import { askWork, dropWork, type Asked } from '../../store/queries/jobs/dueWork.ts'
import type { WorkKind } from './kinds.ts'

export interface WorkAsked extends Asked {
  kind: WorkKind
}

/** What use cases ask of the background. With a transaction, the work is asked for when it commits. */
export interface DueWork {
  /** Once for each thing; what runs is run once more after it. */
  ask(asked: WorkAsked | readonly WorkAsked[], tx?: Tx): Promise<void>
  drop(kind: WorkKind, subjects: readonly (string | number)[], tx?: Tx): Promise<void>
}

export const dueWork = (db: Database): DueWork => ({
  ask: (asked, tx) => askWork(db, Array.isArray(asked) ? asked : [asked as WorkAsked], tx),
  drop: (kind, subjects, tx) => dropWork(db, kind, subjects, tx),
})

/** The brand as one that takes turns. */
export const brandOwner = (brandId: number) => `brand ${brandId}`
