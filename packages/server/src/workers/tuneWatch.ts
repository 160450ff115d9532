import { proposeAdditions, proposeExclusions, spreadSample, type TunerDoc } from '@murrabel/core/tuner'
import { foldAccents, joinTitle, placedWords } from '@murrabel/core/text'
import { compileWatches, type CompiledWatches, type Term, type WatchQuery } from '@murrabel/core/watches'
import { asWritten, type Read } from './findPhrases.ts'
import type { TunerFound, TunerQuestion } from './textMessages.ts'

interface EntryText {
  id: number
  title: string | null
  text: string
  language: string | null
  channel: string
  voice: string | null
  at: Date
}

/** Entries that proposals are measured on: more take longer than a person waits and say the same. */
const measured = 20_000
/** Other entries by which common words are known. */
const judgedBy = 5_000

interface Hit {
  entry: EntryText
  doc: ReturnType<typeof docOf>
  spans: { start: number; end: number }[]
}

const hitsOf = (draft: CompiledWatches, entries: readonly EntryText[]): Hit[] =>
  entries.flatMap((entry) => {
    const doc = docOf(entry)
    const [hit] = draft.match(doc)
    return hit ? [{ entry, doc, spans: hit.spans.map(({ start, end }) => ({ start, end })) }] : []
  })

/** How many of the hits other watches hit as well. */
function overlapOf(others: CompiledWatches, found: readonly Hit[]): Map<number, number> {
  const overlap = new Map<number, number>()
  for (const { doc } of found)
    for (const { id } of others.match(doc)) overlap.set(Number(id), (overlap.get(Number(id)) ?? 0) + 1)
  return overlap
}

/** Tries a watch over stored entries: its hits, what the marks say of them, and what would make it better. */
export async function tuneWatch(read: Read, question: TunerQuestion): Promise<TunerFound> {
  const entries = await read<EntryText>(question.entries)
  const query = question.query as Omit<WatchQuery, 'id'>
  const draft = compileWatches([{ ...query, id: 0 }])
  const others = compileWatches(
    question.others.map((o) => ({ ...(o.query as Omit<WatchQuery, 'id'>), id: o.id })),
  )
  const marks = new Map(question.marks)
  const found = hitsOf(draft, entries)
  const overlap = overlapOf(others, found)
  const hitIds = new Set(found.map(({ entry }) => entry.id))
  const without = ownWords(query)
  // Those marked are measured on whatever their age.
  const isMarked = (id: number) => marks.has(id)
  const docs: TunerDoc[] = [
    ...found.filter(({ entry }) => isMarked(entry.id)),
    ...found.filter(({ entry }) => !isMarked(entry.id)).slice(0, measured),
  ].map(({ entry, doc }) => ({ id: entry.id, text: doc.text, onTopic: marks.get(entry.id) }))
  const rest = spreadSample(
    entries.filter((e) => !hitIds.has(e.id)),
    measured,
    (e) => e.channel,
  )
  const scale = Math.max(1, (entries.length - found.length) / Math.max(1, rest.length))
  const elsewhere = rest.map((e) => ({ id: e.id, text: joinTitle(e.title, e.text) }))
  const additions = proposeAdditions(docs, elsewhere, { without })
  /** A term as people write it: matching folds accents and capitals anyway. */
  const written = (words: readonly string[]) =>
    asWritten(
      words,
      docs.flatMap(({ text }) => (foldedHolds(text, words) ? [text] : [])),
    ).toLowerCase()
  const marked = [...marks].filter(([id]) => hitIds.has(id))
  const perChannel = count(found, ({ entry }) => entry.channel)
  return {
    hits: found.length,
    searched: entries.length,
    times: found.map(({ entry }) => entry.at.getTime()),
    channels: perChannel,
    languages: count(found, ({ entry }) => entry.language ?? 'und'),
    overlap: [...overlap].sort((a, b) => b[1] - a[1]),
    onTopic: marked.filter(([, onTopic]) => onTopic).length,
    marked: marked.length,
    missing: (additions[0]?.fresh ?? 0) * scale,
    exclusions: proposeExclusions(docs, { without, elsewhere: elsewhere.slice(0, judgedBy) }).map(
      ({ words, ...effect }) => ({
        term: written(words),
        ...effect,
      }),
    ),
    additions: additions.map(({ words, fresh, ...effect }) => ({
      term: written(words),
      fresh: Math.round(fresh * scale),
      ...effect,
    })),
    sample: sampleOf(found, question, marks).map(({ entry, spans }) => ({ id: entry.id, spans })),
  }
}

/** Whether a text may hold the words: looked at more closely by whoever asks. */
function foldedHolds(text: string, words: readonly string[]): boolean {
  const folded = foldAccents(text.toLowerCase())
  return words.every((word) => folded.includes(word))
}

const docOf = (e: EntryText) => ({
  text: joinTitle(e.title, e.text),
  language: e.language ?? 'und',
  channel: e.channel,
  voice: e.voice ?? undefined,
})

interface Hit {
  entry: EntryText
  spans: { start: number; end: number }[]
}

/** What is being marked stays; then come hits that nobody has marked, and only after them those that are marked. */
function sampleOf(
  found: readonly Hit[],
  { sample, keep }: Pick<TunerQuestion, 'sample' | 'keep'>,
  marks: ReadonlyMap<number, boolean>,
): Hit[] {
  const byId = new Map(found.map((hit) => [hit.entry.id, hit]))
  const kept = keep.flatMap((id) => byId.get(id) ?? []).slice(0, sample)
  const others = found.filter(({ entry }) => !keep.includes(entry.id))
  const spread = (list: readonly Hit[], size: number) =>
    spreadSample(list, size, ({ entry }) => entry.channel)
  const fresh = spread(
    others.filter(({ entry }) => !marks.has(entry.id)),
    sample - kept.length,
  )
  const marked = spread(
    others.filter(({ entry }) => marks.has(entry.id)),
    sample - kept.length - fresh.length,
  )
  return [...kept, ...fresh, ...marked]
}

function count<T>(items: readonly T[], keyOf: (item: T) => string): [string, number][] {
  const counts = new Map<string, number>()
  for (const item of items) counts.set(keyOf(item), (counts.get(keyOf(item)) ?? 0) + 1)
  return [...counts].sort((a, b) => b[1] - a[1])
}

/** The words of a watch's own terms: no news about it. */
function ownWords({ anyOf = [], allOf = [], near = [] }: Omit<WatchQuery, 'id'>): string[] {
  const terms: readonly Term[] = [...anyOf, ...allOf, ...near.flatMap(({ first, second }) => [first, second])]
  return terms.flatMap(({ text }) => placedWords(text).map(({ word }) => word))
}
