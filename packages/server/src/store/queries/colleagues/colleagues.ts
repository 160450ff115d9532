import type { ColleagueSetUp, Invitation, Limits, Role, SessionAnswer } from '@murrabel/contract'
import type { Database, Tx } from '../../database.ts'

const columns = `c.id, c.name, c.email, m.role, m.place_ids AS "placeIds", m.profile_ids AS "profileIds",
  (SELECT max(coalesce(s.seen_at, s.created_at)) FROM sessions s WHERE s.colleague_id = c.id AND s.brand_id = m.brand_id) AS "seenAt",
  (SELECT count(*) FROM threads t WHERE t.brand_id = m.brand_id AND t.given_to = c.id AND t.state <> 'done')::int AS "openThreads",
  c.codes_since IS NOT NULL AS "secondFactor"`
type Row = Omit<ColleagueSetUp, 'seenAt'> & { seenAt: Date | null }
const colleagueOf = ({ seenAt, ...row }: Row): ColleagueSetUp => ({
  ...row,
  seenAt: seenAt?.toISOString() ?? null,
})

export const colleaguesSetUp = async (db: Database, brandId: number): Promise<ColleagueSetUp[]> =>
  (
    await db.rows<Row>(
      `SELECT ${columns} FROM memberships m JOIN colleagues c ON c.id = m.colleague_id
       WHERE m.brand_id = $1 ORDER BY c.name COLLATE "und-x-icu"`,
      [brandId],
    )
  ).map(colleagueOf)

/** One of them, and nobody else changes the members of the brand meanwhile. */
export async function lockMember(
  db: Database,
  { id, brandId }: { id: number; brandId: number },
  tx: Tx,
): Promise<ColleagueSetUp | undefined> {
  await db.rows('SELECT 1 FROM brands WHERE id = $1 FOR NO KEY UPDATE', [brandId], tx)
  const row = await db.one<Row>(
    `SELECT ${columns} FROM memberships m JOIN colleagues c ON c.id = m.colleague_id
     WHERE m.brand_id = $1 AND m.colleague_id = $2`,
    [brandId, id],
    tx,
  )
  return row && colleagueOf(row)
}

export const ownersOf = async (db: Database, brandId: number, tx: Tx): Promise<number[]> =>
  (
    await db.rows<{ id: number }>(
      `SELECT colleague_id AS id FROM memberships WHERE brand_id = $1 AND role = 'owner'`,
      [brandId],
      tx,
    )
  ).map(({ id }) => id)

export const setMember = async (
  db: Database,
  { id, brandId, role, placeIds, profileIds }: Limits & { id: number; brandId: number; role: Role },
  tx: Tx,
): Promise<void> => {
  await db.rows(
    `INSERT INTO memberships (brand_id, colleague_id, role, place_ids, profile_ids) VALUES ($1, $2, $3, $4, $5)
     ON CONFLICT (colleague_id, brand_id) DO UPDATE SET role = excluded.role, place_ids = excluded.place_ids,
       profile_ids = excluded.profile_ids`,
    [brandId, id, role, placeIds, profileIds],
    tx,
  )
}

/** Of these ids, those that belong to the brand. */
export const ownIds = async (
  db: Database,
  { brandId, placeIds, profileIds }: Limits & { brandId: number },
  tx: Tx,
): Promise<{ places: number; profiles: number }> =>
  (await db.one<{ places: number; profiles: number }>(
    `SELECT (SELECT count(*) FROM places WHERE brand_id = $1 AND id = ANY($2::int[]))::int AS places,
       (SELECT count(*) FROM profiles WHERE brand_id = $1 AND id = ANY($3::int[]))::int AS profiles`,
    [brandId, placeIds ?? [], profileIds ?? []],
    tx,
  ))!

/** They are no member any more: their sessions, keys and addresses of feeds in this brand end with it. Answers the hashes of the sessions. */
export async function removeMember(
  db: Database,
  { id, brandId }: { id: number; brandId: number },
  tx: Tx,
): Promise<Buffer[]> {
  const sessions = await db.rows<{ hash: Buffer }>(
    'DELETE FROM sessions WHERE colleague_id = $1 AND brand_id = $2 RETURNING token_hash AS hash',
    [id, brandId],
    tx,
  )
  await db.rows('DELETE FROM access_keys WHERE colleague_id = $1 AND brand_id = $2', [id, brandId], tx)
  await db.rows('DELETE FROM memberships WHERE colleague_id = $1 AND brand_id = $2', [id, brandId], tx)
  return sessions.map(({ hash }) => hash)
}

type InvitationRow = Omit<Invitation, 'at' | 'endsAt'> & { at: Date; endsAt: Date }
const invitationColumns = `i.id, i.email, i.role, i.place_ids AS "placeIds", i.profile_ids AS "profileIds",
  (SELECT name FROM colleagues c WHERE c.id = i.invited_by) AS "invitedBy", i.at, i.ends_at AS "endsAt", i.ends_at < now() AS ended,
  CASE WHEN l.sent_at IS NOT NULL THEN 'sent' WHEN l.error IS NOT NULL THEN 'failed' ELSE 'waiting' END AS mail, l.error`
const latestLetter = `LEFT JOIN LATERAL (SELECT sent_at, error FROM letters WHERE address = i.email AND at >= i.at ORDER BY id LIMIT 1) l ON true`
const invitationOf = ({ at, endsAt, ...row }: InvitationRow): Invitation => ({
  ...row,
  at: at.toISOString(),
  endsAt: endsAt.toISOString(),
})

export const invitationsOf = async (db: Database, brandId: number, tx?: Tx): Promise<Invitation[]> =>
  (
    await db.rows<InvitationRow>(
      `SELECT ${invitationColumns} FROM invitations i ${latestLetter} WHERE i.brand_id = $1 AND i.used_at IS NULL ORDER BY i.id DESC`,
      [brandId],
      tx,
    )
  ).map(invitationOf)

/** Undefined where one waits for this address. One that has ended makes room. */
export async function insertInvitation(
  db: Database,
  invitation: Limits & {
    brandId: number
    email: string
    role: Role
    tokenHash: Buffer
    invitedBy: number
    days: number
  },
  tx: Tx,
): Promise<{ id: number } | undefined> {
  await db.rows(
    'DELETE FROM invitations WHERE brand_id = $1 AND email = $2 AND used_at IS NULL AND ends_at < now()',
    [invitation.brandId, invitation.email],
    tx,
  )
  return db.one<{ id: number }>(
    `INSERT INTO invitations (brand_id, email, role, place_ids, profile_ids, token_hash, invited_by, ends_at)
     VALUES ($1, $2, $3, $4, $5, $6, $7, now() + $8 * interval '1 day')
     ON CONFLICT (brand_id, email) WHERE used_at IS NULL DO NOTHING RETURNING id`,
    [
      invitation.brandId,
      invitation.email,
      invitation.role,
      invitation.placeIds,
      invitation.profileIds,
      invitation.tokenHash,
      invitation.invitedBy,
      invitation.days,
    ],
    tx,
  )
}

export const deleteInvitation = async (
  db: Database,
  { id, brandId }: { id: number; brandId: number },
  tx: Tx,
): Promise<string | undefined> =>
  (
    await db.one<{ email: string }>(
      'DELETE FROM invitations WHERE id = $1 AND brand_id = $2 AND used_at IS NULL RETURNING email',
      [id, brandId],
      tx,
    )
  )?.email

export interface OpenInvitation extends Limits {
  id: number
  brandId: number
  brand: string
  email: string
  role: Role
  invitedBy: string | null
  /** Of whoever has this address here; null: nobody. */
  colleagueId: number | null
  passwordHash: string | null
}

/** An invitation that can still be taken; nobody else takes it meanwhile. */
export const openInvitation = (
  db: Database,
  tokenHash: Buffer,
  tx?: Tx,
): Promise<OpenInvitation | undefined> =>
  db.one<OpenInvitation>(
    `SELECT i.id, i.brand_id AS "brandId", b.name AS brand, i.email, i.role, i.place_ids AS "placeIds", i.profile_ids AS "profileIds",
       (SELECT name FROM colleagues c WHERE c.id = i.invited_by) AS "invitedBy", k.id AS "colleagueId", k.password_hash AS "passwordHash"
     FROM invitations i JOIN brands b ON b.id = i.brand_id LEFT JOIN colleagues k ON k.email = i.email
     WHERE i.token_hash = $1 AND i.used_at IS NULL AND i.ends_at > now() ${tx ? 'FOR UPDATE OF i' : ''}`,
    [tokenHash],
    tx,
  )

export const useInvitation = async (db: Database, id: number, tx: Tx): Promise<void> => {
  await db.rows('UPDATE invitations SET used_at = now() WHERE id = $1', [id], tx)
}

export const insertColleague = async (
  db: Database,
  { email, name, passwordHash }: { email: string; name: string; passwordHash: string },
  tx: Tx,
): Promise<number> =>
  (await db.one<{ id: number }>(
    'INSERT INTO colleagues (email, name, password_hash) VALUES ($1, $2, $3) RETURNING id',
    [email, name, passwordHash],
    tx,
  ))!.id

export const passwordOf = async (db: Database, id: number): Promise<string | undefined> =>
  (await db.one<{ hash: string }>('SELECT password_hash AS hash FROM colleagues WHERE id = $1', [id]))?.hash

/** Sets a password; every session but one ends. Answers the hashes of those that ended. */
export async function setPassword(
  db: Database,
  { id, passwordHash, keep }: { id: number; passwordHash: string; keep: Buffer | null },
  tx: Tx,
): Promise<Buffer[]> {
  await db.rows('UPDATE colleagues SET password_hash = $2 WHERE id = $1', [id, passwordHash], tx)
  const rows = await db.rows<{ hash: Buffer }>(
    'DELETE FROM sessions WHERE colleague_id = $1 AND token_hash IS DISTINCT FROM $2 RETURNING token_hash AS hash',
    [id, keep],
    tx,
  )
  return rows.map(({ hash }) => hash)
}

export const colleagueByEmail = (
  db: Database,
  email: string,
): Promise<{ id: number; name: string } | undefined> =>
  db.one<{ id: number; name: string }>('SELECT id, name FROM colleagues WHERE email = $1', [email])

/** Links of the last hour, so that nobody fills somebody's mailbox. */
export const resetsLately = async (db: Database, colleagueId: number): Promise<number> =>
  (await db.one<{ n: number }>(
    `SELECT count(*)::int AS n FROM password_resets WHERE colleague_id = $1 AND at > now() - interval '1 hour'`,
    [colleagueId],
  ))!.n

export const insertReset = async (
  db: Database,
  { tokenHash, colleagueId, minutes }: { tokenHash: Buffer; colleagueId: number; minutes: number },
  tx: Tx,
): Promise<void> => {
  await db.rows(
    `INSERT INTO password_resets (token_hash, colleague_id, ends_at) VALUES ($1, $2, now() + $3 * interval '1 minute')`,
    [tokenHash, colleagueId, minutes],
    tx,
  )
}

/** Takes a link that can still be taken; all others of theirs end with it. */
export const useReset = async (db: Database, tokenHash: Buffer, tx: Tx): Promise<number | undefined> =>
  (
    await db.one<{ id: number }>(
      `WITH used AS (
         UPDATE password_resets SET used_at = now() WHERE token_hash = $1 AND used_at IS NULL AND ends_at > now()
         RETURNING colleague_id AS id
       ), others AS (
         UPDATE password_resets r SET used_at = now() FROM used WHERE r.colleague_id = used.id AND r.used_at IS NULL AND r.token_hash <> $1
       )
       SELECT id FROM used`,
      [tokenHash],
      tx,
    )
  )?.id

type SessionRow = Omit<SessionAnswer, 'at' | 'seenAt' | 'own'> & {
  at: Date
  seenAt: Date | null
  hash: Buffer
}

export const sessionsOf = (db: Database, colleagueId: number): Promise<SessionRow[]> =>
  db.rows<SessionRow>(
    `SELECT id, agent, created_at AS at, seen_at AS "seenAt", token_hash AS hash FROM sessions
     WHERE colleague_id = $1 AND expires_at > now() ORDER BY coalesce(seen_at, created_at) DESC`,
    [colleagueId],
  )

export const deleteSession = async (
  db: Database,
  { id, colleagueId }: { id: number; colleagueId: number },
  tx: Tx,
): Promise<Buffer | undefined> =>
  (
    await db.one<{ hash: Buffer }>(
      'DELETE FROM sessions WHERE id = $1 AND colleague_id = $2 RETURNING token_hash AS hash',
      [id, colleagueId],
      tx,
    )
  )?.hash
