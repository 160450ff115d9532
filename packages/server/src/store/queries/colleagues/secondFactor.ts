import type { Database, Tx } from '../../database.ts'

export interface StoredSecondFactor {
  email: string
  secret: Buffer | null
  since: Date | null
  step: string | null
  codesLeft: number
}

/** What is kept of somebody's second factor; under a transaction nobody else changes it meanwhile. */
export const secondFactorOf = (
  db: Database,
  colleagueId: number,
  tx?: Tx,
): Promise<StoredSecondFactor | undefined> =>
  db.one<StoredSecondFactor>(
    `SELECT c.email, c.code_secret AS secret, c.codes_since AS since, c.code_step AS step,
       (SELECT count(*) FROM recovery_codes r WHERE r.colleague_id = c.id AND r.used_at IS NULL)::int AS "codesLeft"
     FROM colleagues c WHERE c.id = $1 ${tx ? 'FOR NO KEY UPDATE OF c' : ''}`,
    [colleagueId],
    tx,
  )

/** Begun: asked of nobody until the first code was seen. */
export const setSecret = async (
  db: Database,
  { colleagueId, secret }: { colleagueId: number; secret: Buffer },
  tx: Tx,
): Promise<void> => {
  await db.rows(
    'UPDATE colleagues SET code_secret = $2, codes_since = NULL, code_step = NULL WHERE id = $1',
    [colleagueId, secret],
    tx,
  )
}

/** Notes the step of a code. False where that step, or a later one, was used. */
export const useStep = async (
  db: Database,
  { colleagueId, step }: { colleagueId: number; step: number },
  tx?: Tx,
): Promise<boolean> =>
  (await db.one(
    `UPDATE colleagues SET code_step = $2::bigint WHERE id = $1 AND (code_step IS NULL OR code_step < $2::bigint) RETURNING id`,
    [colleagueId, step],
    tx,
  )) !== undefined

export const setOn = async (db: Database, colleagueId: number, tx: Tx): Promise<void> => {
  await db.rows('UPDATE colleagues SET codes_since = now() WHERE id = $1', [colleagueId], tx)
}

export const setOff = async (db: Database, colleagueId: number, tx: Tx): Promise<void> => {
  await db.rows(
    'UPDATE colleagues SET code_secret = NULL, codes_since = NULL, code_step = NULL WHERE id = $1',
    [colleagueId],
    tx,
  )
  await db.rows('DELETE FROM recovery_codes WHERE colleague_id = $1', [colleagueId], tx)
}

export const setRecoveryCodes = async (
  db: Database,
  { colleagueId, hashes }: { colleagueId: number; hashes: readonly Buffer[] },
  tx: Tx,
): Promise<void> => {
  await db.rows('DELETE FROM recovery_codes WHERE colleague_id = $1', [colleagueId], tx)
  await db.rows(
    'INSERT INTO recovery_codes (colleague_id, code_hash) SELECT $1, unnest($2::bytea[])',
    [colleagueId, hashes],
    tx,
  )
}

/** Takes a recovery code; false where there is none like it, or it was used. */
export const useRecoveryCode = async (
  db: Database,
  { colleagueId, hash }: { colleagueId: number; hash: Buffer },
): Promise<boolean> =>
  (await db.one(
    'UPDATE recovery_codes SET used_at = now() WHERE colleague_id = $1 AND code_hash = $2 AND used_at IS NULL RETURNING 1 AS used',
    [colleagueId, hash],
  )) !== undefined

/** Whether they work on any brand but this one. */
export const worksElsewhere = async (
  db: Database,
  { colleagueId, brandId }: { colleagueId: number; brandId: number },
  tx: Tx,
): Promise<boolean> =>
  (await db.one(
    'SELECT 1 AS other FROM memberships WHERE colleague_id = $1 AND brand_id <> $2 LIMIT 1',
    [colleagueId, brandId],
    tx,
  )) !== undefined
