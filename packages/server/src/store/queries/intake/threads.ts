import type { Database, Tx } from '../../database.ts'

/** Characters of a post that are kept beside the comments on it. */
const postLength = 240

export const parentsOf = (
  db: Database,
  { profileId, outsideIds }: { profileId: number; outsideIds: readonly string[] },
  tx?: Tx,
): Promise<{ id: number; outsideId: string; thread: string; text: string }[]> =>
  db.rows<{ id: number; outsideId: string; thread: string; text: string }>(
    `SELECT e.id, e.outside_id AS "outsideId", t.outside_id AS thread, left(e.text, ${postLength}) AS text
     FROM entries e
     JOIN threads t ON t.id = e.thread_id
     WHERE e.profile_id = $1 AND e.outside_id = ANY($2::text[])`,
    [profileId, outsideIds],
    tx,
  )

export const pairsToJoin = (
  db: Database,
  { profileId, lost, homes }: { profileId: number; lost: string[]; homes: readonly string[] },
  tx?: Tx,
): Promise<{ lost: number; home: number }[]> =>
  db.rows<{ lost: number; home: number }>(
    `SELECT l.id AS lost, h.id AS home
     FROM unnest($2::text[], $3::text[]) AS p (lost, home)
     JOIN threads l ON l.profile_id = $1 AND l.outside_id = p.lost
     JOIN threads h ON h.profile_id = $1 AND h.outside_id = p.home`,
    [profileId, lost, homes],
    tx,
  )

export const moveEntries = async (
  db: Database,
  { lost, home }: { lost: number; home: number },
  tx?: Tx,
): Promise<void> => {
  await db.rows(
    `UPDATE entries
     SET thread_id = $2, analysed_at = NULL
     WHERE thread_id = $1`,
    [lost, home],
    tx,
  )
}

export const moveActions = async (
  db: Database,
  { lost, home }: { lost: number; home: number },
  tx?: Tx,
): Promise<void> => {
  await db.rows(
    `UPDATE outside_actions
     SET thread_id = $2
     WHERE thread_id = $1`,
    [lost, home],
    tx,
  )
}

/** They belonged to the other thread's versions: told here, but not to be undone. */
export const moveEvents = async (
  db: Database,
  { lost, home }: { lost: number; home: number },
  tx?: Tx,
): Promise<void> => {
  await db.rows(
    `UPDATE events
     SET thread_id = $2, before = NULL,
       subject_id = CASE WHEN subject = 'thread' THEN $2 ELSE subject_id END
     WHERE thread_id = $1`,
    [lost, home],
    tx,
  )
}

export const moveTags = async (
  db: Database,
  { lost, home }: { lost: number; home: number },
  tx?: Tx,
): Promise<void> => {
  await db.rows(
    `INSERT INTO thread_tags (thread_id, tag_id)
     SELECT $2, tag_id
     FROM thread_tags
     WHERE thread_id = $1
     ON CONFLICT DO NOTHING`,
    [lost, home],
    tx,
  )
}

/** The thread that stays is not touched without need: analysis writes it at the same time. */
export const moveGiven = async (
  db: Database,
  { lost, home }: { lost: number; home: number },
  tx?: Tx,
): Promise<void> => {
  await db.rows(
    `UPDATE threads h
     SET given_to = l.given_to
     FROM threads l
     WHERE l.id = $1 AND h.id = $2 AND h.given_to IS NULL AND l.given_to IS NOT NULL`,
    [lost, home],
    tx,
  )
}

export const removeThread = async (db: Database, id: number, tx?: Tx): Promise<void> => {
  await db.rows(
    `DELETE FROM threads
     WHERE id = $1`,
    [id],
    tx,
  )
}

export const threadsByOutsideId = (
  db: Database,
  { profileId, outsideIds }: { profileId: number; outsideIds: string[] },
  tx?: Tx,
): Promise<{ id: number; outsideId: string; title: string | null }[]> =>
  db.rows<{ id: number; outsideId: string; title: string | null }>(
    `SELECT id, outside_id AS "outsideId", title
     FROM threads
     WHERE profile_id = $1 AND outside_id = ANY($2::text[])`,
    [profileId, outsideIds],
    tx,
  )

export const setTitles = async (
  db: Database,
  { ids, titles }: { ids: readonly number[]; titles: readonly (string | null)[] },
  tx?: Tx,
): Promise<void> => {
  await db.rows(
    `UPDATE threads t
     SET title = n.title
     FROM unnest($1::bigint[], $2::text[]) AS n (id, title)
     WHERE t.id = n.id`,
    [ids, titles],
    tx,
  )
}

/** Which post of ours threads of comments stand under. */
export const linkPosts = async (
  db: Database,
  { profileId, threads, posts }: { profileId: number; threads: readonly string[]; posts: readonly string[] },
  tx: Tx,
): Promise<void> => {
  await db.rows(
    `UPDATE threads t
     SET post_id = e.id
     FROM unnest($2::text[], $3::text[]) AS n (thread, post)
     JOIN entries e ON e.profile_id = $1 AND e.outside_id = n.post
     WHERE t.profile_id = $1 AND t.outside_id = n.thread`,
    [profileId, threads, posts],
    tx,
  )
}

export const insertThreads = (
  db: Database,
  {
    brandId,
    profileId,
    placeId,
    outsideIds,
    titles,
    urls,
    postIds,
  }: {
    brandId: number
    profileId: number
    placeId: number | null
    outsideIds: readonly string[]
    titles: readonly (string | null)[]
    urls: readonly (string | null)[]
    /** Of the posts they stand under, where those are there already. */
    postIds: readonly (number | null)[]
  },
  tx?: Tx,
): Promise<{ id: number; outsideId: string }[]> =>
  db.rows<{ id: number; outsideId: string }>(
    `INSERT INTO threads (brand_id, profile_id, place_id, outside_id, title, url, post_id)
     SELECT $1, $2, $3, *
     FROM unnest($4::text[], $5::text[], $6::text[], $7::bigint[])
     RETURNING id, outside_id AS "outsideId"`,
    [brandId, profileId, placeId, outsideIds, titles, urls, postIds],
    tx,
  )
