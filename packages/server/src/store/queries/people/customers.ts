import type { WayKind } from '@murrabel/contract'
import type { Database, Tx } from '../../database.ts'

/** People by what another system calls them. */
export const peopleByRefs = async (
  db: Database,
  { brandId, refs }: { brandId: number; refs: readonly string[] },
  tx: Tx,
): Promise<Map<string, number>> =>
  new Map(
    (
      await db.rows<{ ref: string; person: number }>(
        'SELECT ref, person_id AS person FROM person_refs WHERE brand_id = $1 AND ref = ANY($2::text[])',
        [brandId, refs],
        tx,
      )
    ).map(({ ref, person }) => [ref, person]),
  )

/** Notes people who are new; each ref once. */
export const insertPeople = async (
  db: Database,
  { brandId, people }: { brandId: number; people: readonly { ref: string; name: string }[] },
  tx: Tx,
): Promise<Map<string, number>> =>
  new Map(
    (
      await db.rows<{ ref: string; person: number }>(
        `WITH fresh AS (
           SELECT nextval('people_id_seq') AS id, ref, name FROM unnest($2::text[], $3::text[]) AS n(ref, name)
         ), people AS (
           INSERT INTO people (id, brand_id, shown_as, name) SELECT id, $1, id, name FROM fresh
         )
         INSERT INTO person_refs (brand_id, ref, person_id) SELECT $1, ref, id FROM fresh RETURNING ref, person_id AS person`,
        [brandId, people.map(({ ref }) => ref), people.map(({ name }) => name)],
        tx,
      )
    ).map(({ ref, person }) => [ref, person]),
  )

/** Somebody whom a colleague notes. */
export const insertPerson = async (
  db: Database,
  { brandId, name, namedBy, note }: { brandId: number; name: string; namedBy: number; note: string },
  tx: Tx,
): Promise<number> =>
  (await db.one<{ id: number }>(
    `WITH fresh AS (SELECT nextval('people_id_seq') AS id)
     INSERT INTO people (id, brand_id, shown_as, name, named_by, note) SELECT id, $1, id, $2, $3, $4 FROM fresh RETURNING id`,
    [brandId, name, namedBy, note],
    tx,
  ))!.id

const ids = async (rows: Promise<{ id: number }[]>): Promise<number[]> => (await rows).map(({ id }) => id)

/** What is told of people who are known: a name that no colleague gave, a language and a note where there was none. Answers who changed. */
export const updatePeople = (
  db: Database,
  people: readonly { id: number; name: string; language: string | null; note: string }[],
  tx: Tx,
): Promise<number[]> =>
  ids(
    db.rows<{ id: number }>(
      `UPDATE people p SET
         name = CASE WHEN n.name <> '' AND p.named_by IS NULL THEN n.name ELSE p.name END,
         unmet = p.unmet OR (n.name <> '' AND p.named_by IS NULL AND n.name <> p.name),
         language = coalesce(p.language, n.language), note = CASE WHEN p.note = '' THEN n.note ELSE p.note END,
         edition = edition + 1
       FROM unnest($1::bigint[], $2::text[], $3::text[], $4::text[]) AS n(id, name, language, note)
       WHERE p.id = n.id AND (
         (n.name <> '' AND p.named_by IS NULL AND n.name <> p.name)
         OR (p.language IS NULL AND n.language IS NOT NULL) OR (p.note = '' AND n.note <> '')
       )
       RETURNING p.id`,
      [
        people.map((p) => p.id),
        people.map((p) => p.name),
        people.map((p) => p.language),
        people.map((p) => p.note),
      ],
      tx,
    ),
  )

export interface TakenWay {
  person: number
  kind: WayKind
  value: string
  consent: boolean | null
  consentAt: Date | null
  consentHow: string
}

/**
 * Addresses and numbers from outside, each once. What was said of consent later counts; without a date of its own it never turns a
 * "no" into a "yes". Answers whose changed.
 */
export async function putWays(
  db: Database,
  { brandId, ways, toldAt }: { brandId: number; ways: readonly TakenWay[]; toldAt: Date },
  tx: Tx,
): Promise<number[]> {
  const changed = await ids(
    db.rows<{ id: number }>(
      `INSERT INTO person_ways AS w (brand_id, person_id, kind, value, consent, consent_at, consent_how)
       SELECT $1, person, kind, value, consent, CASE WHEN consent IS NULL THEN NULL ELSE coalesce(at, $8) END, how
       FROM unnest($2::bigint[], $3::text[], $4::text[], $5::boolean[], $6::timestamptz[], $7::text[])
         AS n(person, kind, value, consent, at, how)
       ON CONFLICT (person_id, kind, value) DO UPDATE SET
         consent = excluded.consent, consent_at = excluded.consent_at, consent_how = excluded.consent_how
       WHERE excluded.consent IS NOT NULL AND excluded.consent IS DISTINCT FROM w.consent
         AND (w.consent_at IS NULL OR w.consent_at <= excluded.consent_at)
         AND (w.consent IS NOT false OR excluded.consent_at < $8)
       RETURNING person_id AS id`,
      [
        brandId,
        ways.map((w) => w.person),
        ways.map((w) => w.kind),
        ways.map((w) => w.value),
        ways.map((w) => w.consent),
        ways.map((w) => w.consentAt),
        ways.map((w) => w.consentHow),
        toldAt,
      ],
      tx,
    ),
  )
  await db.rows('UPDATE people SET unmet = true WHERE id = ANY($1::bigint[])', [changed], tx)
  return changed
}

/** Tags put on people, each pair once. Answers who bears one more. */
export const putPersonTags = (
  db: Database,
  tags: readonly { person: number; tag: number }[],
  tx: Tx,
): Promise<number[]> =>
  ids(
    db.rows<{ id: number }>(
      `INSERT INTO person_tags (person_id, tag_id) SELECT * FROM unnest($1::bigint[], $2::int[])
       ON CONFLICT DO NOTHING RETURNING person_id AS id`,
      [tags.map(({ person }) => person), tags.map(({ tag }) => tag)],
      tx,
    ),
  )

/** Tags of somebody and of those they are joined with. */
export const tagsOfPerson = async (db: Database, person: number, tx?: Tx): Promise<number[]> =>
  ids(
    db.rows<{ id: number }>(
      `SELECT DISTINCT x.tag_id AS id FROM people p JOIN person_tags x ON x.person_id = p.id WHERE p.shown_as = $1 ORDER BY 1`,
      [person],
      tx,
    ),
  )

/** Takes tags off somebody and off those they are joined with. */
export const removePersonTags = async (
  db: Database,
  { person, tags }: { person: number; tags: readonly number[] },
  tx: Tx,
): Promise<void> => {
  await db.rows(
    `DELETE FROM person_tags x USING people p WHERE p.shown_as = $1 AND x.person_id = p.id AND x.tag_id = ANY($2::int[])`,
    [person, tags],
    tx,
  )
}
