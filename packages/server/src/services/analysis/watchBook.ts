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

  /** Writes the mentions of entries that were not matched before; under `lockMentions`. */
  async mark(db: Database, entries: readonly MarkedEntry[], tx: Tx): Promise<void> {
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
    // What a paused watch has caught before stays.
    await db.rows(
      'DELETE FROM mentions WHERE entry_id = ANY($1::bigint[]) AND watch_id NOT IN (SELECT id FROM watches WHERE brand_id = $2 AND paused_at IS NOT NULL)',
      [entries.map((e) => e.id), this.brandId],
      tx,
    )
    if (!watch.length) return
    await db.rows(
      `INSERT INTO mentions (watch_id, entry_id, at, spans, sentiment, profile_id)
       SELECT n.watch, n.entry, n.at, n.spans, e.sentiment, e.profile_id
       FROM unnest($1::int[], $2::bigint[], $3::timestamptz[], $4::jsonb[]) AS n (watch, entry, at, spans) JOIN entries e ON e.id = n.entry
       ON CONFLICT (watch_id, entry_id) DO NOTHING`,
      [watch, entry, at, spans],
      tx,
    )
  }

  private async load(db: Database, tx: Tx): Promise<void> {
    const rows = await db.rows<{ id: number; version: number; query: Omit<WatchQuery, 'id'> }>(
      'SELECT id, version, query FROM watches WHERE brand_id = $1 AND deleted_at IS NULL AND paused_at IS NULL ORDER BY id',
      [this.brandId],
      tx,
    )
    const stamp = rows.map((r) => `${r.id}.${r.version}`).join(',')
    if (stamp === this.stamp) return
    this.compiled = compileWatches(rows.map(({ id, query }) => ({ ...query, id })))
    this.stamp = stamp
  }
}
