import { instantsOf, phraseWords, searchWords, type Lens, type LensContext } from '@murrabel/core/lens'
import type { Reader } from '../../access/reader.ts'
import { addAccess, Where } from './where.ts'

/** A word as a quoted lexeme. */
const lexeme = (word: string) => `'${word.replace(/\\/g, '\\\\').replace(/'/g, "''")}'`

/**
 * The lens as SQL over entries e and their threads t: chooses the same entries as `lensPredicate` in the core.
 * What needs the thread or a watch is joined only when the lens asks for it.
 */
export function lensWhere(lens: Lens, context: LensContext, reader: Reader): { from: string; where: Where } {
  const where = new Where()
  addAccess(where, reader, 'e')
  where.add(`e.direction = 'in'`)
  if (lens.unit === 'threads') where.add('e.lead')
  // Said of the thread as well, so that its index on state and pressing time can be walked.
  if (walksThreads(lens)) where.add(`t.brand_id = ${where.bind(reader.brandId)}`)
  if (lens.kinds.length) where.add(`e.kind = ANY(${where.bind(lens.kinds)}::text[])`)
  if (lens.channels.length) where.add(`e.channel = ANY(${where.bind(lens.channels)}::text[])`)
  if (lens.places.length) where.add(`e.place_id = ANY(${where.bind(lens.places)}::int[])`)
  if (lens.sentiments.length) where.add(`e.sentiment = ANY(${where.bind(lens.sentiments)}::text[])`)
  const words = searchWords(lens.words)
  if (words.length)
    where.add(`e.search @@ ${where.bind(words.map((word) => `${lexeme(word)}:*`).join(' & '))}::tsquery`)
  const phrase = phraseWords(lens.phrase)
  if (phrase.length) where.add(`e.search @@ ${where.bind(phrase.map(lexeme).join(' <-> '))}::tsquery`)
  if (lens.languages.length) where.add(`e.language = ANY(${where.bind(lens.languages)}::text[])`)
  if (lens.voice !== null) where.add(`e.account_id = ${where.bind(lens.voice)}::bigint`)
  if (lens.story !== null) where.add(`e.story_id = ${where.bind(lens.story)}::bigint`)
  addAspect(where, lens.aspect)
  if (lens.weekHour !== null)
    where.add(`${weekHourSql(where, context.zone)} = ${where.bind(lens.weekHour)}::int`)
  if (lens.tags.length)
    where.add(
      `EXISTS (SELECT 1 FROM thread_tags g WHERE g.thread_id = e.thread_id AND g.tag_id = ANY(${where.bind(lens.tags)}::int[]))`,
    )
  if (lens.kept) where.add('EXISTS (SELECT 1 FROM kept_entries k WHERE k.entry_id = e.id)')
  if (lens.state !== 'any') where.add(`t.state = ${where.bind(lens.state)}`)
  addGiven(where, lens.givenTo, context.me)
  const range = instantsOf(lens.range, context)
  const at = lens.watch === null ? 'e.at' : 'm.at'
  if (range)
    where.add(`${at} >= ${where.bind(new Date(range.from))} AND ${at} < ${where.bind(new Date(range.to))}`)
  if (lens.group !== null)
    where.add(
      `EXISTS (SELECT 1 FROM mentions g WHERE g.entry_id = e.id AND g.watch_id = ANY(${where.bind(context.watchesOf(lens.group))}::int[]))`,
    )
  if (lens.watch !== null) where.add(`m.watch_id = ${where.bind(lens.watch)}`)
  const mentions = lens.watch === null ? '' : 'JOIN mentions m ON m.entry_id = e.id'
  // A lead is found by the thread that names it; one condition, so that the planner estimates it well.
  const join = walksThreads(lens) ? 't.lead_entry_id = e.id' : 't.id = e.thread_id'
  const threads = needsThread(lens) ? `JOIN threads t ON ${join}` : ''
  return { from: `entries e ${mentions} ${threads}`, where }
}

/**
 * Without a time range the threads' index on state and pressing time gives the first page at once. Within a range it would
 * pass over everything older first; there the entries' index on time is the better way in.
 */
const walksThreads = (lens: Lens) => lens.unit === 'threads' && lens.range === null && needsThread(lens)

const needsThread = (lens: Lens) =>
  lens.state !== 'any' || lens.givenTo !== 'anybody' || lens.order === 'pressing'

/** The hour of the local week, 0 (Monday, midnight) to 167. */
export function weekHourSql(where: Where, zone: string): string {
  const local = `(e.at AT TIME ZONE ${where.bind(zone)}::text)`
  return `((extract(isodow FROM ${local}) - 1) * 24 + extract(hour FROM ${local}))::int`
}

function addAspect(where: Where, aspect: Lens['aspect']): void {
  if (!aspect) return
  const sentiment = aspect.sentiment ? `AND r.sentiment = ${where.bind(aspect.sentiment)}` : ''
  where.add(
    `EXISTS (SELECT 1 FROM aspect_readings r WHERE r.entry_id = e.id AND r.aspect_id = ${where.bind(aspect.id)}::int ${sentiment})`,
  )
}

function addGiven(where: Where, givenTo: Lens['givenTo'], me: number): void {
  if (givenTo === 'nobody') where.add('t.given_to IS NULL')
  else if (givenTo === 'me') where.add(`t.given_to = ${where.bind(me)}`)
  else if (givenTo === 'meOrNobody') where.add(`(t.given_to IS NULL OR t.given_to = ${where.bind(me)})`)
  else if (typeof givenTo === 'number') where.add(`t.given_to = ${where.bind(givenTo)}`)
}
