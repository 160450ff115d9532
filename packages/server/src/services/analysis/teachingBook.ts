import type { Database, Tx } from '../../store/database.ts'
import { aspectTerms, learntModels, ownWords, teachingVersion } from '../../store/queries/teaching/taught.ts'
import type { AlikeAspect } from '@murrabel/core/learning'
import { compileTeaching, type Teaching, type TeachingSource } from './teaching.ts'

/** What each brand has taught, read again when it changes. */
export class TeachingBook {
  private readonly known = new Map<number, TeachingSource>()

  async of(db: Database, brandId: number, tx?: Tx): Promise<TeachingSource> {
    const stamp = await teachingVersion(db, brandId, tx)
    const version = stamp?.version ?? 0
    const known = this.known.get(brandId)
    if (known?.version === version) return known
    const fresh = await loadTeachingSource(db, brandId, version, tx)
    this.known.set(brandId, fresh)
    return fresh
  }
}

/** What a brand has taught now, as plain values. */
export async function loadTeachingSource(
  db: Database,
  brandId: number,
  version: number,
  tx?: Tx,
): Promise<TeachingSource> {
  // One after the other: they may share a transaction.
  const words = await ownWords(db, brandId, tx)
  const terms = await aspectTerms(db, brandId, tx)
  const learnt = await learntModels(db, brandId, tx)
  return {
    version,
    ownWords: words,
    aspectTerms: terms,
    model: learnt?.model ?? null,
    answers: learnt?.answers ?? null,
    alikeAspects: (learnt?.aspects ?? []).flatMap(({ aspect, model }): [number, AlikeAspect][] =>
      model ? [[aspect, model]] : [],
    ),
  }
}

/** What a brand has taught now, made ready for reading. */
export const loadTeaching = async (
  db: Database,
  brandId: number,
  version: number,
  tx?: Tx,
): Promise<Teaching> => compileTeaching(await loadTeachingSource(db, brandId, version, tx))
