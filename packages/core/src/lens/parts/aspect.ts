import type { Sentiment } from '../../sentiment/index.ts'
import { definePart } from '../part.ts'
import { isId } from './shared.ts'

export interface AskedAspect {
  id: number
  sentiment: Exclude<Sentiment, 'unread'> | null
}

/** An aspect that must be named, and what is said of it where that is asked. */
export const aspect = definePart({
  field: 'aspect',
  name: 'aspect',
  blank: null as AskedAspect | null,
  print: (value) => (!value ? 'all' : value.sentiment ? `${value.id}-${value.sentiment}` : String(value.id)),
  parse(text): AskedAspect | null | undefined {
    if (text === 'all') return null
    const found = /^([1-9]\d{0,9})(?:-(positive|neutral|negative))?$/.exec(text)
    if (!found || !isId(found[1]!)) return undefined
    return { id: Number(found[1]), sentiment: (found[2] as AskedAspect['sentiment'] | undefined) ?? null }
  },
  phrase: (value) => ({
    message: !value ? 'all' : value.sentiment ? 'sentiment' : 'one',
    values: value ? [value.id, ...(value.sentiment ? [value.sentiment] : [])] : [],
    narrows: value !== null,
  }),
  matches: (asked) => (entry) =>
    entry.aspects.some(
      ({ id, sentiment }) => id === asked!.id && (asked!.sentiment ?? sentiment) === sentiment,
    ),
  sql(asked, { bind }) {
    const sentiment = asked!.sentiment ? ` AND r.sentiment = ${bind(asked!.sentiment)}` : ''
    return `EXISTS (SELECT 1 FROM aspect_readings r WHERE r.entry_id = e.id AND r.aspect_id = ${bind(asked!.id)}::int${sentiment})`
  },
})
