import { joinTitle } from '@murrabel/core/text'
import { compileWatches, type CompiledWatches, type WatchHit, type WatchQuery } from '@murrabel/core/watches'
import type { Database, Tx } from '../../store/database.ts'
import { removeMentionsOf, addMentions } from '../../store/queries/analysis/mentions.ts'
import { queriesOf, watchVersions } from '../../store/queries/watches/watches.ts'
import type { MarkedEntry } from '../../store/queries/analysis/watchHistory.ts'

export const hitSpans = (hit: WatchHit) => hit.spans.map(({ start, end }) => ({ start, end }))

export function docOf({ title, text, language, channel, voice }: Omit<MarkedEntry, 'id' | 'at'>) {
  return { text: joinTitle(title, text), language: language ?? 'und', channel, voice: voice ?? undefined }
}

/** The watches of a brand, compiled once and again when one of them changes. */
export class WatchBook {
  private known = new Map<number, { version: number; query: Omit<WatchQuery, 'id'> }>()
  private compiled: CompiledWatches = compileWatches([])

  constructor(private readonly brandId: number) {}

  /** Writes the mentions of entries that were not matched before; under `holdMentions`. */
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
    await removeMentionsOf(db, { entryIds: entries.map((e) => e.id), brandId: this.brandId }, tx)
    if (!watch.length) return
    await addMentions(db, { watchIds: watch, entryIds: entry, at, spans }, tx)
  }

  /** Queries are fetched where they changed; the automaton is one, and made anew with any of them. */
  private async load(db: Database, tx: Tx): Promise<void> {
    const rows = await watchVersions(db, this.brandId, tx)
    const changed = rows.filter(({ id, version }) => this.known.get(id)?.version !== version)
    if (!changed.length && rows.length === this.known.size) return
    const fresh = await queriesOf(
      db,
      changed.map(({ id }) => id),
      tx,
    )
    const queries = new Map(fresh.map(({ id, query }) => [id, query]))
    this.known = new Map(
      rows.map(({ id, version }) => [id, { version, query: queries.get(id) ?? this.known.get(id)!.query }]),
    )
    this.compiled = compileWatches([...this.known].map(([id, { query }]) => ({ ...query, id })))
  }
}
