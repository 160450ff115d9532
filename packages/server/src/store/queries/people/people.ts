import type { Lens, LensContext, PersonStanding } from '@murrabel/core/lens'
import type { PersonCard, PersonMember, PersonRow, Proposal } from '@murrabel/contract'
import type { Reader } from '../../../access/reader.ts'
import type { Database, Tx } from '../../database.ts'
import { called, callTogether } from './called.ts'
import { lensWhere } from '../entries/lensWhere.ts'
import { addAccess, Where } from '../shared/where.ts'
import type { JoinReason } from './joins.ts'
import { wroteToReader, type Bind } from './question.ts'

/** What is known of somebody and, where nothing is, of those who are joined with them. */
const knownOf = (alias: string) =>
  ['language', 'standing', 'note']
    .map(
      (column) =>
        `coalesce(nullif(${alias}.${column}, ''), (SELECT ${column} FROM people m WHERE m.shown_as = ${alias}.id AND m.${column} <> '' ORDER BY m.id LIMIT 1)${column === 'note' ? ", ''" : ''}) AS ${column}`,
    )
    .join(', ')

/** What rows show beside the counts: of the lens how its latest felt, of the people themselves where they wrote and what is open. */
export async function peopleBeside(
  db: Database,
  { lens, context, reader }: { lens: Lens; context: LensContext; reader: Reader },
  people: readonly number[],
): Promise<Pick<PersonRow, 'id' | 'standing' | 'note' | 'networks' | 'sentiments' | 'openThreads'>[]> {
  const { from, where } = lensWhere(lens, context, reader)
  const ids = where.bind(people)
  const all = new Where()
  addAccess(all, reader, 'e')
  const [known, felt, wrote] = await Promise.all([
    db.replica.rows<Pick<PersonRow, 'id' | 'standing' | 'note'>>(
      `SELECT p.id, ${knownOf('p')} FROM people p WHERE p.id = ANY($1::bigint[])`,
      [people],
    ),
    db.replica.rows<{ id: number; sentiments: PersonRow['sentiments'] }>(
      `SELECT i.id, array_agg(said.sentiment ORDER BY said.at, said.id) AS sentiments
       FROM unnest(${ids}::bigint[]) AS i(id)
       CROSS JOIN LATERAL (
         SELECT e.id, e.at, e.sentiment FROM ${from}
         WHERE e.account_id = ANY(ARRAY(SELECT id FROM accounts WHERE shown_as = i.id)) AND ${where.toString()}
         ORDER BY e.at DESC, e.id DESC LIMIT 10
       ) said
       GROUP BY i.id`,
      where.values,
    ),
    db.replica.rows<{ id: number; networks: string[]; open: number }>(
      `SELECT a.shown_as AS id, array_agg(DISTINCT a.network) AS networks,
         count(DISTINCT t.id) FILTER (WHERE e.lead AND t.state = 'open' AND e.origin <> 'heard')::int AS open
       FROM accounts a
       JOIN entries e ON e.account_id = a.id AND e.direction = 'in'
       JOIN threads t ON t.id = e.thread_id
       WHERE a.shown_as = ANY(${all.bind(people)}::bigint[]) AND ${all.toString()}
       GROUP BY 1`,
      all.values,
    ),
  ])
  const feltBy = new Map(felt.map(({ id, sentiments }) => [id, sentiments]))
  const wroteBy = new Map(wrote.map(({ id, ...there }) => [id, there]))
  return known.map(({ id, standing, note }) => ({
    id,
    standing,
    note,
    networks: wroteBy.get(id)?.networks ?? [],
    openThreads: wroteBy.get(id)?.open ?? 0,
    sentiments: feltBy.get(id) ?? [],
  }))
}

export interface ExportedPerson {
  id: number
  name: string
  language: string | null
  standing: PersonStanding | null
  note: string
  said: number
  last: Date | null
  emails: string[]
  phones: string[]
  accounts: { network: string; handle: string | null; url: string | null }[]
}

/** What an export says of people, in the order of their ids in the list. */
export const exportedPeople = (db: Database, people: readonly number[]) =>
  db.replica.rows<Omit<ExportedPerson, 'said' | 'last'>>(
    `SELECT p.id, ${called('p')} AS name, ${knownOf('p')},
       ARRAY(SELECT DISTINCT value FROM people m JOIN person_ways w ON w.person_id = m.id WHERE m.shown_as = p.id AND kind = 'email' ORDER BY 1) AS emails,
       ARRAY(SELECT DISTINCT value FROM people m JOIN person_ways w ON w.person_id = m.id WHERE m.shown_as = p.id AND kind = 'phone' ORDER BY 1) AS phones,
       coalesce((
         SELECT jsonb_agg(jsonb_build_object('network', network, 'handle', handle, 'url', url) ORDER BY id) FROM accounts WHERE shown_as = p.id
       ), '[]') AS accounts
     FROM unnest($1::bigint[]) WITH ORDINALITY AS i(id, nth)
     JOIN people p ON p.id = i.id
     ORDER BY i.nth`,
    [people],
  )

/**
 * Whom ids show, of those whom the reader may know of: who said something that the reader may see, or visited a place of theirs;
 * whoever may see all knows of everybody.
 */
export async function visiblePeople(
  db: Database,
  reader: Reader,
  people: readonly number[],
  tx?: Tx,
): Promise<Map<number, number>> {
  const where = new Where()
  const bind: Bind = (value) => where.bind(value)
  where.add(`p.id = ANY(${bind(people)}::bigint[])`)
  where.add(`p.brand_id = ${bind(reader.brandId)}`)
  if (reader.placeIds || reader.profileIds) {
    const visited =
      reader.placeIds && !reader.profileIds
        ? `EXISTS (SELECT 1 FROM visits v WHERE v.shown_as = p.shown_as AND v.place_id = ANY(${bind(reader.placeIds)}::int[]))`
        : 'false'
    where.add(`(${wroteToReader(bind, reader, 'p.shown_as')} OR ${visited})`)
  }
  const rows = await db.rows<{ id: number; shownAs: number }>(
    `SELECT p.id, p.shown_as AS "shownAs" FROM people p WHERE ${where.toString()}`,
    where.values,
    tx,
  )
  return new Map(rows.map(({ id, shownAs }) => [id, shownAs]))
}

type CardRow = Pick<PersonCard, 'id' | 'edition' | 'name' | 'named' | 'language' | 'standing' | 'note'> & {
  erasedAt: Date | null
}

export const personById = (db: Database, id: number, tx?: Tx): Promise<CardRow | undefined> =>
  db.one<CardRow>(
    `SELECT p.id, p.edition, p.erased_at AS "erasedAt", ${called('p')} AS name, p.named_by IS NOT NULL AS named, ${knownOf('p')} FROM people p WHERE p.id = $1`,
    [id],
    tx,
  )

export const accountsOfPerson = (db: Database, id: number): Promise<PersonCard['accounts']> =>
  db.rows(`SELECT id, name, handle, network, url FROM accounts WHERE shown_as = $1 ORDER BY id LIMIT 200`, [
    id,
  ])

export const membersOfPerson = (db: Database, people: readonly number[]): Promise<PersonMember[]> =>
  db.rows<PersonMember>(
    `SELECT p.id, p.name, ARRAY(SELECT DISTINCT network FROM accounts a WHERE a.person_id = p.id ORDER BY 1) AS networks
     FROM people p WHERE p.id = ANY($1::bigint[]) ORDER BY p.id`,
    [people],
  )

export const joinsOfPeople = (
  db: Database,
  people: readonly number[],
): Promise<
  { id: number; one: number; other: number; reasons: JoinReason[]; by: string | null; at: Date }[]
> =>
  db.rows(
    `SELECT j.id, j.one, j.other, j.reasons, c.name AS by, j.at
     FROM person_joins j LEFT JOIN colleagues c ON c.id = j.colleague_id
     WHERE j.undone_at IS NULL AND j.one = ANY($1::bigint[]) AND j.other = ANY($1::bigint[]) ORDER BY j.id`,
    [people],
  )

/** How much they said, and what of it waits. */
export async function saidByPerson(
  db: Database,
  reader: Reader,
  id: number,
): Promise<{ said: number; since: Date | null; openThreads: number; pastDue: number }> {
  const where = new Where()
  addAccess(where, reader, 'e')
  const row = await db.replica.rows<{
    said: number
    since: Date | null
    openThreads: number
    pastDue: number
  }>(
    `SELECT count(*)::int AS said, min(e.at) AS since,
       count(*) FILTER (WHERE e.lead AND t.state = 'open' AND e.origin <> 'heard')::int AS "openThreads",
       count(*) FILTER (WHERE e.lead AND t.state = 'open' AND e.origin <> 'heard' AND t.due_at < now())::int AS "pastDue"
     FROM accounts a
     JOIN entries e ON e.account_id = a.id AND e.direction = 'in'
     JOIN threads t ON t.id = e.thread_id
     WHERE a.shown_as = ${where.bind(id)} AND ${where.toString()}`,
    where.values,
  )
  return row[0]!
}

type Said = PersonCard['entries'][number] & { score: number }

export function entriesOfPerson(db: Database, reader: Reader, id: number, limit: number): Promise<Said[]> {
  const where = new Where()
  addAccess(where, reader, 'e')
  return db.replica.rows<Said>(
    `SELECT e.id, e.thread_id AS "threadId", e.kind, e.channel, a.network, e.place_id AS "placeId", e.title, left(e.text, 600) AS text,
       e.rating, e.at, e.sentiment, e.score, e.wish, t.state,
       coalesce((SELECT json_agg(json_build_object('id', f.id, 'name', f.name) ORDER BY f.position, f.id)
                 FROM attachments f WHERE f.entry_id = e.id AND f.cid IS NULL), '[]') AS files
     FROM accounts a
     JOIN entries e ON e.account_id = a.id AND e.direction = 'in'
     JOIN threads t ON t.id = e.thread_id
     WHERE a.shown_as = ${where.bind(id)} AND e.deleted_at IS NULL AND ${where.toString()}
     ORDER BY e.at DESC, e.id DESC LIMIT ${where.bind(limit)}`,
    where.values,
  )
}

type ProposalRow = Omit<Proposal, 'one' | 'other'> & { one: number; other: number; total: number }

/** Pairs that may be the same and are shown as two, the most alike first; of two groups the best pair alone. */
export function bestProposals(
  db: Database,
  { brandId, person, limit }: { brandId: number; person: number | null; limit: number },
): Promise<ProposalRow[]> {
  const of = person === null ? '' : 'AND $2 IN (a.shown_as, b.shown_as)'
  return db.replica.rows<ProposalRow>(
    `WITH pairs AS (
       SELECT DISTINCT ON (least(a.shown_as, b.shown_as), greatest(a.shown_as, b.shown_as))
         least(a.shown_as, b.shown_as) AS one, greatest(a.shown_as, b.shown_as) AS other, r.likeness, r.reasons
       FROM person_proposals r
       JOIN people a ON a.id = r.one
       JOIN people b ON b.id = r.other
       WHERE r.brand_id = $1 AND a.shown_as <> b.shown_as ${of}
         AND NOT EXISTS (
           SELECT 1 FROM person_apart x JOIN people c ON c.id = x.one JOIN people d ON d.id = x.other
           WHERE (c.shown_as = a.shown_as AND d.shown_as = b.shown_as) OR (c.shown_as = b.shown_as AND d.shown_as = a.shown_as)
         )
       ORDER BY 1, 2, r.likeness DESC
     )
     SELECT one, other, likeness, reasons, count(*) OVER ()::int AS total FROM pairs ORDER BY likeness DESC, one, other LIMIT $${person === null ? 2 : 3}`,
    person === null ? [brandId, limit] : [brandId, person, limit],
  )
}

/** What a colleague says of somebody; what is left out stays as it is. */
export interface PersonChange {
  id: number
  /** As they are called now, and who named them; null: nobody did. */
  called?: { name: string; by: number | null }
  language?: string | null
  standing?: PersonStanding | null
  note?: string
}

/** It stands with the one who is shown; what is emptied is emptied of all who are joined, or it would be theirs that shows. */
export const changePerson = async (
  db: Database,
  { id, called: name, language, standing, note }: PersonChange,
  tx: Tx,
): Promise<void> => {
  await db.rows(
    `UPDATE people SET name = coalesce($2, name), named_by = CASE WHEN $2::text IS NULL THEN named_by ELSE $3 END,
       language = CASE WHEN $4 THEN $5 ELSE language END, standing = CASE WHEN $6 THEN $7 ELSE standing END,
       note = coalesce($8, note), edition = edition + 1
     WHERE id = $1`,
    [
      id,
      name?.name ?? null,
      name?.by ?? null,
      language !== undefined,
      language ?? null,
      standing !== undefined,
      standing ?? null,
      note ?? null,
    ],
    tx,
  )
  await db.rows(
    `UPDATE people SET language = CASE WHEN $2 THEN NULL ELSE language END, standing = CASE WHEN $3 THEN NULL ELSE standing END,
       note = CASE WHEN $4 THEN '' ELSE note END
     WHERE shown_as = $1 AND id <> $1 AND ($2 OR $3 OR $4)`,
    [id, language === null, standing === null, note === ''],
    tx,
  )
  await readAnew(db, id, tx)
  await callTogether(db, [id], tx)
}

/** Called or reached otherwise, they are found otherwise. */
export const readAnew = async (db: Database, id: number, tx: Tx): Promise<void> => {
  await db.rows('UPDATE people SET unmet = true WHERE shown_as = $1', [id], tx)
}

/** What their account calls them. */
export const accountName = (db: Database, id: number, tx?: Tx): Promise<{ name: string } | undefined> =>
  db.one<{ name: string }>('SELECT name FROM accounts WHERE person_id = $1 ORDER BY id LIMIT 1', [id], tx)
