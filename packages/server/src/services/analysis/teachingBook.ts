import { compileAspects, type CompiledAspects, type OwnWord } from '@murrabel/core/sentiment'
import type { Model } from '@murrabel/core/learning'
import type { Database, Tx } from '../../store/database.ts'
import { teachingVersion, ownWords, aspectTerms, learntModel } from '../../store/queries/teaching/taught.ts'

export interface Teaching {
  version: number
  ownWords: OwnWord[]
  aspects: CompiledAspects
  /** Null when nothing was learnt, or it is no better, or nobody wants it. */
  model: Model | null
}

/** What each brand has taught, read again when it changes. */
export class TeachingBook {
  private readonly known = new Map<number, Teaching>()

  async of(db: Database, brandId: number, tx?: Tx): Promise<Teaching> {
    const stamp = await teachingVersion(db, brandId, tx)
    const version = stamp?.version ?? 0
    const known = this.known.get(brandId)
    if (known?.version === version) return known
    const fresh = await loadTeaching(db, brandId, version, tx)
    this.known.set(brandId, fresh)
    return fresh
  }
}

export async function loadTeaching(
  db: Database,
  brandId: number,
  version: number,
  tx?: Tx,
): Promise<Teaching> {
  const [words, aspects, learnt] = [
    await ownWords(db, brandId, tx),
    await aspectTerms(db, brandId, tx),
    await learntModel(db, brandId, tx),
  ]
  return { version, ownWords: words, aspects: compileAspects(aspects), model: learnt?.model ?? null }
}
