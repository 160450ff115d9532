import { placedWords } from '@murrabel/core/text'
import type { Database } from '@murrabel/server'
import { tsvectorText } from '../../packages/server/src/services/analysis/readEntry.ts'
import { worldTexts } from './texts.ts'

const consonants = 'bcdfghjklmnprstvwz'
const vowels = 'aeiou'
/** One of many words that can be said, no two of them much alike. */
function madeWord(n: number): string {
  let seed = (n + 1) * 2_654_435_761
  let word = ''
  for (let i = 0; i < 3; i++) {
    seed = (seed * 1_103_515_245 + 12_345) % 2_147_483_648
    word += consonants[(seed >> 8) % consonants.length]! + vowels[(seed >> 16) % vowels.length]!
  }
  return word[0]!.toUpperCase() + word.slice(1)
}
/** Some are borne by many and most by few: the most common of 2,000 first names by one in twenty, of 30,000 family names by one in sixty. */
const rank = (i: number, step: number, of: number) => Math.floor(of * ((i * step) % 1) ** 2.5)
const madeName = (i: number) =>
  `${madeWord(rank(i + 1, 0.754_877_666, 2000))} ${madeWord(3000 + rank(i + 1, 0.569_840_291, 30_000))}`

/** Rows come in by the million: indexes are made over them at the end. */
async function withoutIndexes(
  db: Database,
  tables: readonly string[],
  load: () => Promise<void>,
): Promise<void> {
  const indexes = await db.rows<{ name: string; made: string }>(
    `SELECT i.indexrelid::regclass::text AS name, pg_get_indexdef(i.indexrelid) AS made FROM pg_index i
     WHERE i.indrelid = ANY($1::regclass[])
       AND NOT EXISTS (SELECT 1 FROM pg_constraint c WHERE c.conindid = i.indexrelid)`,
    [tables],
  )
  for (const { name } of indexes) await db.rows(`DROP INDEX ${name}`)
  await load()
  for (const { made } of indexes) await db.rows(made)
}

/**
 * Fills a database directly, past connectors and analysis: so many incoming entries over a year in so many threads, texts
 * of the demo world, 8 profiles in 5 places, 20 watches that each catch about one in thirty, tags, aspects, kept entries. People
 * have names of 2,000 first and 30,000 family names, two in three of them on one network.
 */
export async function loadEntries(
  db: Database,
  count: number,
  { threads = Math.floor(count / 1.5), people = 20_000 }: { threads?: number; people?: number } = {},
): Promise<void> {
  const texts = worldTexts(3000).slice(0, 2000)
  await db.rows('CREATE TABLE bench_texts (id int PRIMARY KEY, text text, search tsvector)')
  await db.rows(
    'INSERT INTO bench_texts SELECT id, text, search::tsvector FROM unnest($1::int[], $2::text[], $3::text[]) AS t (id, text, search)',
    [texts.map((_, i) => i), texts, texts.map((text) => tsvectorText(placedWords(text)))],
  )
  await db.rows(`INSERT INTO profiles (brand_id, place_id, channel, network, outside_id, name, status, hook_token, connected_at, collected_at)
    SELECT 1, 1 + n % 5, CASE WHEN n < 3 THEN 'pages' ELSE 'maps' END, CASE WHEN n < 3 THEN 'lanternpage' ELSE 'wherabout' END, 'p' || n, 'Profile ' || n, 'disconnected', 'h' || n, now(), now() FROM generate_series(1, 8) n`)
  await db.rows(
    `INSERT INTO watches (brand_id, name, query) SELECT 1, 'Watch ' || n, '{"anyOf":[{"text":"x"}],"allOf":[],"noneOf":[],"links":[]}' FROM generate_series(1, 20) n`,
  )
  await db.rows('CREATE TABLE bench_people (id int PRIMARY KEY, name text)')
  await db.rows('INSERT INTO bench_people SELECT * FROM unnest($1::int[], $2::text[])', [
    Array.from({ length: people }, (_, i) => i + 1),
    Array.from({ length: people }, (_, i) => madeName(i)),
  ])
  await db.rows(
    `WITH persons AS (
       INSERT INTO people (id, brand_id, shown_as, name, search, unmet)
       SELECT id, 1, id, name, array_to_tsvector(ARRAY(SELECT DISTINCT unnest(string_to_array(lower(name), ' ')))), false FROM bench_people
     )
     INSERT INTO accounts (id, brand_id, network, outside_id, name, person_id, shown_as)
     SELECT id, 1, CASE WHEN id % 3 = 0 THEN 'wherabout' ELSE 'lanternpage' END, 'a' || id, name, id, id FROM bench_people`,
  )
  await withoutIndexes(db, ['threads', 'entries', 'mentions', 'thread_tags', 'aspect_readings'], async () => {
    await db.rows(
      `INSERT INTO threads (brand_id, profile_id, place_id, outside_id, state, given_to, due_at, pressing_at)
     SELECT 1, p.id, p.place_id, 't' || n, (ARRAY['done','done','done','done','done','done','waiting','open'])[1 + n % 8], CASE WHEN n % 5 = 0 THEN 1 END, at + interval '4 hours', at + interval '4 hours' - (n % 90) * interval '3 minutes'
     FROM (SELECT n, now() - (n::bigint * 7919 % $1::bigint)::float8 / $1::bigint * interval '365 days' AS at FROM generate_series(1, $1::int) n) g JOIN profiles p ON p.outside_id = 'p' || (1 + g.n % 8)`,
      [threads],
    )
    await db.rows(
      `INSERT INTO entries (brand_id, profile_id, thread_id, account_id, place_id, outside_id, direction, kind, channel, text, rating, at, lead, language, sentiment, score, confidence, search, analysed_at, reach, origin)
     SELECT 1, t.profile_id, t.id, 1 + (t.id * 31 % $3::int), t.place_id, 'e' || t.id || '.' || k, 'in', (ARRAY['review','comment','message','question'])[1 + t.id % 4], p.channel, x.text,
       CASE WHEN t.id % 4 = 0 THEN 1 + t.id % 5 END, t.due_at - interval '4 hours' - (k - 1) * interval '2 hours', k = 1, 'en', (ARRAY['positive','positive','neutral','negative'])[1 + (hashint8(t.id + k) & 3)], 0, 0.5, x.search, now(), CASE WHEN hashint8(t.id * 7 + k) & 1 = 0 THEN 0 ELSE 5000 / (1 + (hashint8(t.id * 7 + k) >> 1 & 1023)) END,
       CASE WHEN t.id % 5 = 0 THEN 'heard' ELSE 'sent' END
     FROM threads t JOIN profiles p ON p.id = t.profile_id CROSS JOIN generate_series(1, $1::int) k JOIN bench_texts x ON x.id = (t.id * 13 + k) % 2000
     WHERE k <= floor($2::float8) OR t.id % 100 < ($2::float8 - floor($2::float8)) * 100`,
      [Math.ceil(count / threads), count / threads, people],
    )
    await db.rows(
      `UPDATE threads t SET lead_entry_id = e.id FROM entries e WHERE e.thread_id = t.id AND e.lead`,
    )
    await db.rows(
      `INSERT INTO mentions (watch_id, entry_id, at, spans, sentiment, profile_id) SELECT w, e.id, e.at, '[{"start":0,"end":3}]', e.sentiment, e.profile_id FROM entries e CROSS JOIN generate_series(1, 20) w WHERE (e.id * 17 + w * 7) % 30 = 0`,
    )
    await db.rows(`INSERT INTO tags (brand_id, name) SELECT 1, 'Tag ' || n FROM generate_series(1, 10) n`)
    await db.rows(
      `INSERT INTO thread_tags (thread_id, tag_id) SELECT id, 1 + id % 10 FROM threads WHERE id % 20 = 0`,
    )
    await db.rows(
      `INSERT INTO aspects (brand_id, name) SELECT 1, 'Aspect ' || n FROM generate_series(1, 8) n`,
    )
    await db.rows(
      `INSERT INTO aspect_readings (aspect_id, entry_id, sentiment) SELECT 1 + id % 8, id, sentiment FROM entries WHERE id % 4 = 0`,
    )
    await db.rows(`INSERT INTO kept_entries (entry_id) SELECT id FROM entries WHERE id % 1000 = 0`)
  })
  // Days come in one after the other, and lie so; here all came at once.
  await db.rows('CLUSTER person_days USING person_days_day')
  await db.rows('VACUUM ANALYZE')
}
