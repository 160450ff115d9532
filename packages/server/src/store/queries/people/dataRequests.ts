import type { DataCounts, DataRequest } from '@murrabel/contract'
import type { Database, Tx } from '../../database.ts'

type Row = Omit<DataRequest, 'at'> & { at: Date }
const columns = `r.id, r.kind, r.person_id AS "personId", r.asked_by AS "askedBy",
  (SELECT name FROM colleagues c WHERE c.id = r.colleague_id) AS by, r.at, r.counts`
const requestOf = ({ at, ...row }: Row): DataRequest => ({ ...row, at: at.toISOString() })

/** What was asked for, the newest first. */
export const requestsOf = async (db: Database, brandId: number): Promise<DataRequest[]> =>
  (
    await db.rows<Row>(
      `SELECT ${columns} FROM data_requests r WHERE r.brand_id = $1 ORDER BY r.id DESC LIMIT 500`,
      [brandId],
    )
  ).map(requestOf)

export const insertRequest = async (
  db: Database,
  request: {
    brandId: number
    kind: DataRequest['kind']
    personId: number
    askedBy: string
    colleagueId: number
    counts: DataCounts
  },
  tx: Tx,
): Promise<DataRequest> =>
  requestOf(
    (await db.one<Row>(
      `INSERT INTO data_requests AS r (brand_id, kind, person_id, asked_by, colleague_id, counts)
       VALUES ($1, $2, $3, $4, $5, $6) RETURNING ${columns}`,
      [
        request.brandId,
        request.kind,
        request.personId,
        request.askedBy,
        request.colleagueId,
        JSON.stringify(request.counts),
      ],
      tx,
    ))!,
  )

/** Whether there is such a request of one of these people. */
export const isHandOutOf = async (
  db: Database,
  { id, brandId, people }: { id: number; brandId: number; people: readonly number[] },
): Promise<boolean> =>
  (await db.one(
    `SELECT 1 FROM data_requests WHERE id = $1 AND brand_id = $2 AND kind = 'handOut' AND person_id = ANY($3::bigint[])`,
    [id, brandId, people],
  )) !== undefined

/** How much there is of somebody, beside what they said. */
export const countsBeside = async (
  db: Database,
  { people, entries }: { people: readonly number[]; entries: readonly number[] },
  tx?: Tx,
): Promise<Omit<DataCounts, 'entries' | 'answers'>> =>
  (await db.one<Omit<DataCounts, 'entries' | 'answers'>>(
    `SELECT (SELECT count(*) FROM attachments WHERE entry_id = ANY($2::bigint[]))::int AS attachments,
       (SELECT count(*) FROM visits WHERE person_id = ANY($1::bigint[]))::int AS visits,
       (SELECT count(*) FROM accounts WHERE person_id = ANY($1::bigint[]))::int AS accounts,
       (SELECT count(*) FROM person_ways WHERE person_id = ANY($1::bigint[]))::int AS ways`,
    [people, entries],
    tx,
  ))!

/** What colleagues said of them among themselves. */
export interface HandedNote {
  threadId: number
  kind: 'note' | 'approval'
  text: string
  at: Date
}

/** Notes in these threads, and the words that went with answers that were to be approved, by time. */
export const handedNotes = (db: Database, threads: readonly number[]): Promise<HandedNote[]> =>
  db.replica.rows<HandedNote>(
    `SELECT thread_id AS "threadId", 'note' AS kind, text, at FROM notes
     WHERE thread_id = ANY($1::bigint[]) AND removed_at IS NULL
     UNION ALL
     SELECT thread_id, 'approval', concat_ws(E'\n', nullif(comment, ''), nullif(word, '')), asked_at FROM approvals
     WHERE thread_id = ANY($1::bigint[]) AND (comment <> '' OR word <> '')
     ORDER BY at`,
    [threads],
  )

export interface HandedEntry {
  id: number
  threadId: number
  direction: 'in' | 'out'
  network: string
  kind: string
  title: string | null
  text: string
  rating: number | null
  at: Date
  url: string | null
  sentiment: string
  attachments: { id: number; name: string; type: string; file: string }[]
}

/** Entries as they are handed out, by time. */
export const handedEntries = (db: Database, entries: readonly number[]): Promise<HandedEntry[]> =>
  db.replica.rows<HandedEntry>(
    `SELECT e.id, e.thread_id AS "threadId", e.direction, p.network, e.kind, e.title, e.text, e.rating, e.at, e.url, e.sentiment,
       coalesce((
         SELECT jsonb_agg(jsonb_build_object('id', f.id, 'name', f.name, 'type', f.type, 'file', f.file) ORDER BY f.position, f.id)
         FROM attachments f WHERE f.entry_id = e.id
       ), '[]') AS attachments
     FROM entries e JOIN profiles p ON p.id = e.profile_id
     WHERE e.id = ANY($1::bigint[]) ORDER BY e.at, e.id`,
    [entries],
  )
