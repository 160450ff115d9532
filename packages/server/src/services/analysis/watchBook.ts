import { joinTitle } from '@murrabel/core/text'
import { compileWatches, type CompiledWatches, type WatchHit, type WatchQuery } from '@murrabel/core/watches'
import type { Database, Tx } from '../../store/database.ts'

export interface MarkedEntry {
  id: number
  title: string | null
  text: string
  language: string | null
  channel: string
  voice: string | null
  at: Date
}

export const hitSpans = (hit: WatchHit) => hit.spans.map(({ start, end }) => ({ start, end }))

export function docOf({ title, text, language, channel, voice }: Omit<MarkedEntry, 'id' | 'at'>) {
  return { text: joinTitle(title, text), language: language ?? 'und', channel, voice: voice ?? undefined }
}

/** Mentions of a brand are written by one transaction at a time: two that overlap would wait for each other in a ring. */
export async function lockMentions(db: Database, brandId: number, tx: Tx): Promise<void> {
  await db.rows('SELECT pg_advisory_xact_lock(42, $1)', [brandId], tx)
}

/** The watches of a brand, compiled once and again when one of them changes. */
export class WatchBook {
  private stamp = ''
  private compiled: CompiledWatches = compileWatches([])

  constructor(private readonly brandId: number) {}

  /** Writes the mentions of entries that were not matched before. */
  async mark(db: Database, entries: readonly MarkedEntry[], tx: Tx): Promise<void> {
    await lockMentions(db, this.brandId, tx)
    await this.load(db, tx)
    if (!this.compiled.size || !entries.length) return
    const watch: number[] = []
    const entry: number[] = []
    const at: Date[] = []
    const spans: string[] = []
    for (const each of entries)
      for (const hit of this.compiled.match(docOf(each))) {
        watch.push(Number(hit.id))
        entry.push(each.id)
        at.push(each.at)
        spans.push(JSON.stringify(hitSpans(hit)))
      }
    await db.rows('DELETE FROM mentions WHERE entry_id = ANY($1::bigint[])', [entries.map((e) => e.id)], tx)
    if (!watch.length) return
    await db.rows(
      `INSERT INTO mentions (watch_id, entry_id, at, spans) SELECT * FROM unnest($1::int[], $2::bigint[], $3::timestamptz[], $4::jsonb[])
       ON CONFLICT (watch_id, entry_id) DO UPDATE SET spans = excluded.spans, at = excluded.at`,
      [watch, entry, at, spans],
      tx,
    )
  }

  private async load(db: Database, tx: Tx): Promise<void> {
    const rows = await db.rows<{ id: number; version: number; query: Omit<WatchQuery, 'id'> }>(
      'SELECT id, version, query FROM watches WHERE brand_id = $1 AND deleted_at IS NULL ORDER BY id',
      [this.brandId],
      tx,
    )
    const stamp = rows.map((r) => `${r.id}.${r.version}`).join(',')
    if (stamp === this.stamp) return
    this.compiled = compileWatches(rows.map(({ id, query }) => ({ ...query, id })))
    this.stamp = stamp
  }
}
