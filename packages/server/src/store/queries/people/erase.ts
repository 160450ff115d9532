import type { Database, Tx } from '../../database.ts'
import { nameless } from './visits.ts'

/** Everybody who is erased together, with their accounts. */
export interface Erasing {
  brandId: number
  people: readonly number[]
  accounts: readonly number[]
  at: Date
}

export const accountsOf = async (db: Database, people: readonly number[], tx?: Tx): Promise<number[]> =>
  (
    await db.rows<{ id: number }>(
      'SELECT id FROM accounts WHERE person_id = ANY($1::bigint[]) ORDER BY id',
      [people],
      tx,
    )
  ).map(({ id }) => id)

/** Profiles of the networks on which somebody, or whoever is joined with them, has an account; ascending, so that two who hold them never wait for each other. */
export const profilesOfPerson = async (
  db: Database,
  { brandId, person }: { brandId: number; person: number },
  tx: Tx,
): Promise<number[]> =>
  (
    await db.rows<{ id: number }>(
      `SELECT id FROM profiles WHERE brand_id = $1 AND network IN (
         SELECT a.network FROM people p JOIN accounts a ON a.shown_as = p.shown_as WHERE p.id = $2 AND p.brand_id = $1
       ) ORDER BY id`,
      [brandId, person],
      tx,
    )
  ).map(({ id }) => id)

/** What they are known by: what another system calls them, their addresses and numbers, and the references of their visits. */
export const refsOf = async (db: Database, people: readonly number[], tx: Tx): Promise<string[]> =>
  (
    await db.rows<{ ref: string }>(
      `SELECT ref FROM person_refs WHERE person_id = ANY($1::bigint[])
       UNION SELECT kind || ':' || value FROM person_ways WHERE person_id = ANY($1::bigint[])
       UNION SELECT 'visit:' || outside_id FROM visits WHERE person_id = ANY($1::bigint[]) AND outside_id NOT LIKE '${nameless}%'`,
      [people],
      tx,
    )
  ).map(({ ref }) => ref)

export const keepErasedRefs = async (
  db: Database,
  { brandId, hashes, at }: { brandId: number; hashes: readonly Buffer[]; at: Date },
  tx: Tx,
): Promise<void> => {
  await db.rows(
    `INSERT INTO erased_refs (brand_id, hash, at) SELECT $1, hash, $3 FROM unnest($2::bytea[]) AS n(hash)
     ON CONFLICT (brand_id, hash) DO UPDATE SET at = excluded.at`,
    [brandId, hashes, at],
    tx,
  )
}

/** Which of these were erased, as hexadecimal, and when. */
export const erasedRefs = async (
  db: Database,
  { brandId, hashes }: { brandId: number; hashes: readonly Buffer[] },
  tx: Tx,
): Promise<Map<string, Date>> =>
  new Map(
    (
      await db.rows<{ hash: string; at: Date }>(
        `SELECT encode(hash, 'hex') AS hash, at FROM erased_refs WHERE brand_id = $1 AND hash = ANY($2::bytea[])`,
        [brandId, hashes],
        tx,
      )
    ).map(({ hash, at }) => [hash, at]),
  )

export interface TheirThread {
  id: number
  /** Others wrote in it as well. */
  shared: boolean
}

/** Threads in which they wrote. */
export const threadsOf = (db: Database, accounts: readonly number[], tx?: Tx): Promise<TheirThread[]> =>
  db.rows<TheirThread>(
    `SELECT t.id, EXISTS (
         SELECT 1 FROM entries o
         WHERE o.thread_id = t.id AND o.direction = 'in' AND (o.account_id IS NULL OR o.account_id <> ALL($1::bigint[]))
       ) AS shared
     FROM (SELECT DISTINCT thread_id AS id FROM entries WHERE account_id = ANY($1::bigint[]) AND direction = 'in') t
     ORDER BY t.id`,
    [accounts],
    tx,
  )

/** What they said, and what we answered them: in threads of theirs alone everything, in others what answers an entry of theirs. */
export const entriesAbout = async (
  db: Database,
  { accounts, threads }: { accounts: readonly number[]; threads: readonly TheirThread[] },
  tx?: Tx,
): Promise<{ id: number; own: boolean }[]> =>
  db.rows<{ id: number; own: boolean }>(
    `SELECT id, true AS own FROM entries WHERE account_id = ANY($1::bigint[]) AND direction = 'in'
     UNION
     SELECT id, false FROM entries WHERE thread_id = ANY($2::bigint[]) AND direction = 'out'
     UNION
     SELECT o.id, false FROM entries o
     JOIN outside_actions a ON a.entry_id = o.id
     JOIN entries e ON e.thread_id = o.thread_id AND e.outside_id = a.target->>'entryId' AND e.direction = 'in'
       AND e.account_id = ANY($1::bigint[])
     WHERE o.thread_id = ANY($3::bigint[]) AND o.direction = 'out'
     ORDER BY id`,
    [
      accounts,
      threads.filter(({ shared }) => !shared).map(({ id }) => id),
      threads.filter(({ shared }) => shared).map(({ id }) => id),
    ],
    tx,
  )

/** Answers that are on their way out, and those that wait. */
export const actionsAbout = (
  db: Database,
  { threads, entries }: { threads: readonly number[]; entries: readonly number[] },
  tx: Tx,
): Promise<{ id: number; state: string }[]> =>
  db.rows<{ id: number; state: string }>(
    `SELECT id, state FROM outside_actions WHERE thread_id = ANY($1::bigint[]) OR entry_id = ANY($2::bigint[]) FOR UPDATE`,
    [threads, entries],
    tx,
  )

/** The profiles under which an entry can be kept: its own, and searches of the same network. */
const keptUnder = `(
  SELECT s.id FROM profiles p JOIN profiles s ON s.brand_id = p.brand_id AND s.network = p.network WHERE p.id = erased.profile_id
)`

/**
 * Takes the words out of entries and out of everything that repeats them, and remembers that they are not to be taken in again. How
 * they felt, their stars, their times and what they are counted under stay.
 */
export const eraseTexts = async (
  db: Database,
  { entries, at }: { entries: readonly number[]; at: Date },
  tx: Tx,
): Promise<void> => {
  await db.rows(
    `WITH erased AS (
       UPDATE entries SET erased = true, deleted_at = coalesce(deleted_at, $2), text = '', title = NULL, url = NULL, spans = '[]',
         search = ''::tsvector, analysed_at = coalesce(analysed_at, $2)
       WHERE id = ANY($1::bigint[]) RETURNING id, profile_id, outside_id
     ), edits AS (
       DELETE FROM entry_edits d USING erased WHERE d.entry_id = erased.id
     ), mails AS (
       DELETE FROM mails m USING erased WHERE m.entry_id = erased.id
     ), files AS (
       DELETE FROM attachments f USING erased WHERE f.entry_id = erased.id
     ), pictures AS (
       DELETE FROM pictures c USING erased WHERE c.entry_id = erased.id
     ), mentioned AS (
       UPDATE mentions m SET spans = '[]' FROM erased WHERE m.entry_id = erased.id AND m.spans <> '[]'
     ), raw AS (
       UPDATE raw_items r SET payload = 'null' FROM erased
       WHERE r.outside_id = erased.outside_id AND r.profile_id IN ${keptUnder}
     ), apart AS (
       DELETE FROM items_apart i USING erased
       WHERE i.entry_id = erased.id OR (i.outside_id = erased.outside_id AND i.profile_id IN ${keptUnder})
     )
     INSERT INTO gone_items (profile_id, outside_id, at, erased)
     SELECT DISTINCT s.id, erased.outside_id, $2::timestamptz, true
     FROM erased
     JOIN profiles p ON p.id = erased.profile_id
     JOIN profiles s ON s.brand_id = p.brand_id AND s.network = p.network
     WHERE erased.outside_id IS NOT NULL
     ON CONFLICT (profile_id, outside_id) DO UPDATE SET erased = true`,
    [entries, at],
    tx,
  )
}

/** Takes out what their threads and our answers keep of them. */
export async function eraseThreads(
  db: Database,
  { threads, actions }: { threads: readonly TheirThread[]; actions: readonly number[] },
  tx: Tx,
): Promise<void> {
  const alone = threads.filter(({ shared }) => !shared).map(({ id }) => id)
  await db.rows(
    `UPDATE threads SET title = NULL, url = NULL, state = 'done', set_aside_until = NULL, edition = edition + 1 WHERE id = ANY($1::bigint[])`,
    [alone],
    tx,
  )
  await db.rows('DELETE FROM notes WHERE thread_id = ANY($1::bigint[])', [alone], tx)
  await db.rows('DELETE FROM drafts WHERE thread_id = ANY($1::bigint[])', [alone], tx)
  // Files beside an answer that was being written, or that waits for a lead's word; what went out is an entry.
  await db.rows(
    `DELETE FROM attachments f
     WHERE f.entry_id IS NULL
       AND (f.draft_thread_id = ANY($1::bigint[])
         OR f.approval_id IN (SELECT a.id FROM approvals a WHERE a.thread_id = ANY($1::bigint[])))`,
    [alone],
    tx,
  )
  await db.rows(
    `UPDATE approvals SET text = '', comment = '', word = '', sent_text = NULL,
       state = CASE WHEN state = 'asked' THEN 'takenBack' ELSE state END
     WHERE thread_id = ANY($1::bigint[])`,
    [alone],
    tx,
  )
  await db.rows('DELETE FROM handoffs WHERE thread_id = ANY($1::bigint[])', [alone], tx)
  await db.rows(
    `UPDATE outside_actions SET payload = '{}', error = NULL,
       state = CASE WHEN state IN ('waiting', 'failed') THEN 'cancelled' ELSE state END, changed_at = now()
     WHERE id = ANY($1::bigint[])`,
    [actions],
    tx,
  )
  await db.rows(
    `UPDATE events SET detail = '{}', before = NULL WHERE thread_id = ANY($1::bigint[])`,
    [alone],
    tx,
  )
  await db.rows(
    `UPDATE follow_ups SET what = '—', next_step = '', outcome = '', done_at = coalesce(done_at, now()), edition = edition + 1
     WHERE thread_id = ANY($1::bigint[])`,
    [alone],
    tx,
  )
}

/** Takes out who they were: names, addresses, notes; what they are counted by stays, as nobody's. */
export async function erasePeople(
  db: Database,
  { brandId, people, accounts, at }: Erasing,
  tx: Tx,
): Promise<void> {
  const ofPeople = async (sql: string) => {
    await db.rows(sql, [people], tx)
  }
  await db.rows(
    `DELETE FROM item_pieces i USING accounts a, profiles p
     WHERE a.id = ANY($1::bigint[]) AND p.id = i.profile_id AND p.brand_id = a.brand_id AND p.network = a.network
       AND strpos(i.item::text, a.outside_id) > 0`,
    [accounts],
    tx,
  )
  await db.rows(
    `UPDATE chat_visits v SET name = NULL, email = NULL, page_url = NULL, page_title = NULL, address_hash = ''
     FROM accounts a JOIN profiles p ON p.brand_id = a.brand_id AND p.network = a.network
     WHERE a.id = ANY($1::bigint[]) AND v.profile_id = p.id AND a.outside_id = 'visit/' || v.id`,
    [accounts],
    tx,
  )
  await eraseImports(db, { brandId, people }, tx)
  await db.rows(
    `UPDATE accounts SET name = '—', handle = NULL, url = NULL, outside_id = 'erased:' || id, contact_wish = NULL, contact_wish_at = NULL
     WHERE id = ANY($1::bigint[])`,
    [accounts],
    tx,
  )
  await eraseAlertPhrases(db, { brandId, people }, tx)
  await ofPeople('DELETE FROM person_ways WHERE person_id = ANY($1::bigint[])')
  await ofPeople('DELETE FROM person_refs WHERE person_id = ANY($1::bigint[])')
  await ofPeople('DELETE FROM person_tags WHERE person_id = ANY($1::bigint[])')
  await ofPeople('DELETE FROM person_keys WHERE person_id = ANY($1::bigint[])')
  await ofPeople('DELETE FROM person_proposals WHERE one = ANY($1::bigint[]) OR other = ANY($1::bigint[])')
  await ofPeople('DELETE FROM people_to_compare WHERE person_id = ANY($1::bigint[])')
  await ofPeople('DELETE FROM person_apart WHERE one = ANY($1::bigint[]) OR other = ANY($1::bigint[])')
  await ofPeople(
    `UPDATE person_joins SET reasons = '[]' WHERE one = ANY($1::bigint[]) OR other = ANY($1::bigint[])`,
  )
  await ofPeople(
    `UPDATE visits SET outside_id = '${nameless}erased-' || id, edition = edition + 1 WHERE person_id = ANY($1::bigint[])`,
  )
  await ofPeople(`UPDATE follow_ups SET what = '—', next_step = '', outcome = '', done_at = coalesce(done_at, now()), edition = edition + 1
    WHERE person_id = ANY($1::bigint[])`)
  await ofPeople(
    `UPDATE events SET detail = '{}', before = NULL WHERE subject = 'person' AND subject_id = ANY($1::bigint[])`,
  )
  await db.rows(
    `UPDATE people SET name = '—', called = NULL, named_by = NULL, language = NULL, standing = NULL, note = '', search = '', unmet = false,
       erased_at = $2, edition = edition + 1
     WHERE id = ANY($1::bigint[])`,
    [people, at],
    tx,
  )
}

/** Alerts keep what was said most at that time: phrases that hold a name, handle or address of theirs. */
async function eraseAlertPhrases(
  db: Database,
  { brandId, people }: Pick<Erasing, 'brandId' | 'people'>,
  tx: Tx,
): Promise<void> {
  // Names are found by words without accents.
  const words = `regexp_split_to_array(regexp_replace(normalize(lower(phrase), NFD), '[\u0300-\u036f]', '', 'g'), '[^[:alnum:]]+')`
  await db.rows(
    `UPDATE alert_events v
     SET detail = jsonb_set(v.detail, '{phrases}', coalesce((
       SELECT jsonb_agg(phrase) FROM jsonb_array_elements_text(v.detail->'phrases') AS phrase WHERE NOT ${words} && n.words
     ), '[]'))
     FROM (
       SELECT array_agg(DISTINCT word) AS words FROM people p CROSS JOIN unnest(tsvector_to_array(p.search)) AS word
       WHERE p.id = ANY($2::bigint[]) AND length(word) > 2
     ) n
     WHERE v.brand_id = $1 AND v.detail->'phrases' IS NOT NULL AND EXISTS (
       SELECT 1 FROM jsonb_array_elements_text(v.detail->'phrases') AS phrase WHERE ${words} && n.words
     )`,
    [brandId, people],
    tx,
  )
}

/** Lines of files that were refused and name them, and files that lie here unread and hold them. */
async function eraseImports(
  db: Database,
  { brandId, people }: Pick<Erasing, 'brandId' | 'people'>,
  tx: Tx,
): Promise<void> {
  const names = (
    await db.rows<{ text: string }>(
      `SELECT value AS text FROM person_ways WHERE person_id = ANY($1::bigint[])
       UNION SELECT name FROM people WHERE id = ANY($1::bigint[]) AND length(name) > 4`,
      [people],
      tx,
    )
  ).map(({ text }) => text)
  if (!names.length) return
  const holds = (column: string) =>
    `EXISTS (SELECT 1 FROM unnest($2::text[]) n WHERE strpos(lower(${column}), lower(n)) > 0)`
  await db.rows(
    `UPDATE imports SET problems = '[]' WHERE brand_id = $1 AND ${holds('problems::text')}`,
    [brandId, names],
    tx,
  )
  await db.rows(
    `UPDATE imports SET document = NULL, settings = '{}', state = 'failed', changed_at = now()
     WHERE brand_id = $1 AND document IS NOT NULL AND state <> 'running' AND ${holds('document')}`,
    [brandId, names],
    tx,
  )
}
