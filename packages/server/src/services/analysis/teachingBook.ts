import { compileAspects, type CompiledAspects, type OwnWord } from '@murrabel/core/sentiment'
import type { Model } from '@murrabel/core/learning'
import type { Term } from '@murrabel/core/watches'
import type { Database, Tx } from '../../store/database.ts'

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
    const stamp = await db.one<{ version: number }>(
      'SELECT version FROM teaching WHERE brand_id = $1',
      [brandId],
      tx,
    )
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
  const [ownWords, aspects, learnt] = [
    await db.rows<OwnWord>(
      'SELECT term, valence FROM brand_words WHERE brand_id = $1 ORDER BY id',
      [brandId],
      tx,
    ),
    await db.rows<{ id: number; terms: Term[] }>(
      'SELECT id, terms FROM aspects WHERE brand_id = $1 ORDER BY id',
      [brandId],
      tx,
    ),
    await db.one<{ model: Model }>(
      `SELECT model FROM teaching WHERE brand_id = $1 AND wanted AND model IS NOT NULL AND (figures->>'better')::boolean`,
      [brandId],
      tx,
    ),
  ]
  return { version, ownWords, aspects: compileAspects(aspects), model: learnt?.model ?? null }
}
