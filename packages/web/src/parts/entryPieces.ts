export interface PieceMark {
  start: number
  end: number
  /** Contribution of a word of opinion; undefined for a matched word of a watch. */
  contribution?: number
}

export interface Piece {
  text: string
  hit: boolean
  sentiment: 'positive' | 'negative' | null
}

const meet = (a: PieceMark, b: PieceMark) => a.start < b.end && a.end > b.start

/** Words of opinion that reach into what was found are marked beside it, and it is drawn whole, the way they pull together. */
function aroundHit(spans: readonly PieceMark[], hit: PieceMark): PieceMark[] {
  const met = spans.filter((span) => meet(span, hit))
  const contribution = met.reduce((sum, span) => sum + (span.contribution ?? 0), 0)
  const beside = met.flatMap((span) => [
    { ...span, end: Math.min(span.end, hit.start) },
    { ...span, start: Math.max(span.start, hit.end) },
  ])
  return [
    ...spans.filter((span) => !meet(span, hit)),
    ...beside.filter(({ start, end }) => start < end),
    ...(met.length ? [{ start: hit.start, end: hit.end, contribution }] : []),
  ]
}

/**
 * Cuts a text at the ends of its marks, so that each piece can be drawn in one way. Marks may overlap; what was found is drawn
 * whole.
 */
export function entryPieces(
  text: string,
  hits: readonly PieceMark[],
  opinions: readonly PieceMark[],
): Piece[] {
  const spans = hits.reduce<readonly PieceMark[]>(aroundHit, opinions)
  const cuts = new Set([0, text.length])
  for (const { start, end } of [...hits, ...spans]) {
    cuts.add(Math.max(0, Math.min(text.length, start)))
    cuts.add(Math.max(0, Math.min(text.length, end)))
  }
  const sorted = [...cuts].sort((a, b) => a - b)
  const within = (list: readonly PieceMark[], from: number, to: number) =>
    list.find((m) => m.start <= from && m.end >= to)
  return sorted.slice(0, -1).map((from, i) => {
    const to = sorted[i + 1]!
    const span = within(spans, from, to)
    const contribution = span?.contribution ?? 0
    return {
      text: text.slice(from, to),
      hit: within(hits, from, to) !== undefined,
      sentiment: contribution > 0 ? 'positive' : contribution < 0 ? 'negative' : null,
    }
  })
}
