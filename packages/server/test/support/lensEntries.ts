import fc from 'fast-check'
import {
  lensKinds,
  lensOrigins,
  lensSentiments,
  lensWishes,
  lensStates,
  type LensContext,
  type LensEntry,
} from '@murrabel/core/lens'
import { placedWords } from '@murrabel/core/text'
import type { Database } from '@murrabel/server'
import type { Reader } from '../../src/access/reader.ts'
import { tsvectorText } from '../../src/services/analysis/readEntry.ts'

export const now = Date.parse('2026-11-25T12:00:00Z')
export const context: LensContext = {
  now,
  zone: 'Europe/London',
  me: 2,
  myTeams: [1],
  doubtBelow: 0.5,
  watchesOf: (group) => (group === 3 ? [] : [group, group + 1]),
}
export const owner: Reader = { colleagueId: 2, brandId: 1, role: 'owner', placeIds: null, profileIds: null }
const texts = [
  'The ferry was late',
  'Crew’s heron',
  'Café, heron, late',
  "O'Brien \\ 'x' & !y",
  '#DogsOnDeck #dogs',
  'fer\u200bry',
  'nothing at all',
  'LATE herons',
]

/** The people behind the accounts of the same ids; 3 and 4 are one. */
export const seededPeople = [
  {
    id: 1,
    shownAs: 1,
    name: 'Perrin Oakes',
    words: ['perrin', 'oakes', 'perrin@orrin.example'],
    standing: 'customer',
    tags: [1],
  },
  { id: 2, shownAs: 2, name: 'Hester Quill', words: ['hester', 'quill'], standing: null, tags: [] },
  { id: 3, shownAs: 3, name: "Sal O'Brien", words: ["o'brien", 'sal'], standing: 'press', tags: [2] },
  { id: 4, shownAs: 3, name: 'sal_oakes', words: ['sal', 'oakes'], standing: 'rival', tags: [3] },
  // A customer who never wrote.
  { id: 5, shownAs: 5, name: 'Bastian Oakes', words: ['bastian', 'oakes'], standing: null, tags: [1, 2] },
] as const

/** Visits of each of them: ids of people, places, and days before now. */
export const seededVisits = [
  { person: 1, place: 1, days: 1 },
  { person: 1, place: null, days: 9 },
  { person: 1, place: 2, days: 50 },
  { person: 3, place: 3, days: 20 },
  { person: 4, place: 1, days: -5 },
  { person: 5, place: 2, days: 3 },
  { person: 5, place: 3, days: 3 },
] as const

export type SeededEntry = LensEntry & { id: number; profile: number }

/** Who may see everything, and who may see parts. */
export const readers: fc.Arbitrary<Reader> = fc
  .record({
    placeIds: fc.option(fc.subarray([1, 2, 3])),
    profileIds: fc.option(fc.subarray([1, 2, 3, 4, 5, 6, 7, 8])),
  })
  .map((part) => ({ ...owner, ...part }))

const channels = ['pages', 'maps', 'news', 'import']

/** One of them, by its number. */
function seededEntry(i: number): SeededEntry {
  const profile = 1 + (i % 8)
  const thread = threadOf(i)
  return {
    id: i,
    profile,
    lead: i % 2 === 0,
    state: lensStates[thread % 4]!,
    kind: lensKinds[i % 5]!,
    origin: lensOrigins[(i * 5) % 3]!,
    channel: channels[profile % 4]!,
    place: profile > 6 ? null : 1 + (profile % 3),
    sentiment: lensSentiments[(i * 7) % 4]!,
    wish: i % 3 ? lensWishes[(i * 5) % 7]! : null,
    confidence: ((i * 13) % 10) / 10,
    givenTo: thread % 3 === 0 ? null : 1 + (thread % 3),
    team: thread % 3 === 0 && thread % 4 ? 1 + ((thread >> 2) % 2) : null,
    priority: (thread % 7 === 0 ? 2 : thread % 5 === 0 ? 1 : 0) as 0 | 1 | 2,
    spam: thread % 11 === 0,
    watches: i % 4 ? [1 + (i % 3)] : [],
    words: placedWords(texts[i % texts.length]!),
    language: ['en', 'fr', 'und'][i % 3]!,
    voice: i % 7 ? 1 + (i % 4) : null,
    story: i % 6 ? null : 1 + (i % 4),
    aspects: i % 5 ? [] : [{ id: 1 + (i % 2), sentiment: lensSentiments[(i * 3) % 4]! }],
    tags: thread % 5 ? [] : [1 + (thread % 3)],
    kept: i % 4 === 1,
    at: now - ((i * 7919) % (42 * 24)) * 3_600_000,
  }
}
/** Threads of one or two entries. */
const threadOf = (i: number) => Math.ceil(i / 2) * 2 + (i % 3 === 0 ? 1000 : 0)

/** Entries of every kind, in threads of one or two, spread over six weeks; the same every time. */
export async function seedLensEntries(db: Database): Promise<SeededEntry[]> {
  await db.rows(`INSERT INTO brands (id, name, zone) VALUES (1, 'b', 'Europe/London')`)
  await db.rows(`INSERT INTO places (id, brand_id, name) SELECT n, 1, 'p' || n FROM generate_series(1, 3) n`)
  await db.rows(
    `INSERT INTO colleagues (id, email, name, password_hash) SELECT n, 'c' || n, 'c', '' FROM generate_series(1, 3) n`,
  )
  await db.rows(`INSERT INTO teams (id, brand_id, name) SELECT n, 1, 'm' || n FROM generate_series(1, 2) n`)
  await db.rows(
    `INSERT INTO memberships (brand_id, colleague_id, role) VALUES (1, 2, 'owner'), (1, 3, 'specialist')`,
  )
  await db.rows(`INSERT INTO team_members (team_id, colleague_id, brand_id) VALUES (1, 2, 1), (2, 3, 1)`)
  await db.rows(
    `INSERT INTO watches (id, brand_id, name, query) SELECT n, 1, 'w', '{}' FROM generate_series(1, 3) n`,
  )
  for (const { id, shownAs, name, words, standing } of seededPeople)
    await db.rows(
      `WITH person AS (INSERT INTO people (id, brand_id, shown_as, name, search, standing) VALUES ($1, 1, $2, $3, array_to_tsvector($4::text[]), $5))
       INSERT INTO accounts (id, brand_id, network, outside_id, name, person_id, shown_as) VALUES ($1, 1, 'n', $1::text, $3, $1, $2)`,
      [id, shownAs, name, words, standing],
    )
  await db.rows(`INSERT INTO aspects (id, brand_id, name) SELECT n, 1, 'x' || n FROM generate_series(1, 2) n`)
  await db.rows(
    `INSERT INTO tags (id, brand_id, name) OVERRIDING SYSTEM VALUE SELECT n, 1, 't' || n FROM generate_series(1, 3) n`,
  )
  for (const { id, tags } of seededPeople)
    for (const tag of tags)
      await db.rows('INSERT INTO person_tags (person_id, tag_id) VALUES ($1, $2)', [id, tag])
  for (const { person, place, days } of seededVisits)
    await db.rows(
      `INSERT INTO visits (brand_id, person_id, shown_as, at, place_id, state, source, told_at)
       SELECT 1, id, shown_as, $2, $3, 'done', 'file', now() FROM people WHERE id = $1`,
      [person, new Date(now - days * 86_400_000), place],
    )
  for (let p = 1; p <= 8; p++)
    await db.rows(
      `INSERT INTO profiles (id, brand_id, place_id, channel, network, outside_id, name, status, hook_token) VALUES ($1, 1, $2, $3, 'n', $4, 'n', 'connected', $4)`,
      [p, p > 6 ? null : 1 + (p % 3), channels[p % 4], `h${p}`],
    )
  const entries: SeededEntry[] = []
  for (let i = 1; i <= 240; i++) {
    const profile = 1 + (i % 8)
    const thread = threadOf(i)
    const entry = seededEntry(i)
    entries.push(entry)
    await db.rows(
      `INSERT INTO threads (id, brand_id, profile_id, place_id, outside_id, state, given_to, pressing_at, team_id, priority, spam_at, spam_why) VALUES ($1, 1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11) ON CONFLICT DO NOTHING`,
      [
        thread,
        profile,
        entry.place,
        `t${thread}`,
        entry.state,
        entry.givenTo,
        new Date(entry.at),
        entry.team,
        entry.priority,
        entry.spam ? new Date(now) : null,
        entry.spam ? 'person' : null,
      ],
    )
    await db.rows(
      `INSERT INTO entries (id, brand_id, profile_id, thread_id, place_id, outside_id, direction, kind, channel, text, at, lead, sentiment, search, analysed_at, language, account_id, story_id, origin, wish, confidence)
       VALUES ($1, 1, $2, $3, $4, $5, 'in', $6, $7, $8, $9, $10, $11, $12::tsvector, now(), $13, $14, $15, $16, $17, $18)`,
      [
        i,
        profile,
        thread,
        entry.place,
        `e${i}`,
        entry.kind,
        entry.channel,
        texts[i % texts.length],
        new Date(entry.at),
        entry.lead,
        entry.sentiment,
        tsvectorText(placedWords(texts[i % texts.length]!)),
        entry.language,
        entry.voice,
        entry.story,
        entry.origin,
        entry.wish,
        entry.confidence,
      ],
    )
    if (entry.lead) await db.rows('UPDATE threads SET lead_entry_id = $2 WHERE id = $1', [thread, i])
    for (const tag of entry.tags)
      await db.rows('INSERT INTO thread_tags (thread_id, tag_id) VALUES ($1, $2) ON CONFLICT DO NOTHING', [
        thread,
        tag,
      ])
    if (entry.kept) await db.rows('INSERT INTO kept_entries (entry_id) VALUES ($1)', [i])
    for (const watch of entry.watches)
      await db.rows(
        `INSERT INTO mentions (watch_id, entry_id, at, spans, sentiment, profile_id) VALUES ($1, $2, $3, '[]', $4, $5)`,
        [watch, i, new Date(entry.at), entry.sentiment, profile],
      )
    for (const { id, sentiment } of entry.aspects)
      await db.rows('INSERT INTO aspect_readings (aspect_id, entry_id, sentiment) VALUES ($1, $2, $3)', [
        id,
        i,
        sentiment,
      ])
  }
  return entries
}
