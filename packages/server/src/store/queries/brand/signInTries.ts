import type { Database } from '../../database.ts'

export interface Tries {
  pair: number
  address: number
  strangers: number
  known: boolean
}

interface Who {
  /** Hash of the folded e-mail address. */
  account: Buffer
  address: string
}

/** Notes a try as failed; one that succeeds is noted so afterwards. */
export async function noteTry(db: Database, { account, address }: Who): Promise<void> {
  await db.rows('INSERT INTO sign_in_tries (account, address, succeeded) VALUES ($1, $2, false)', [
    account,
    address,
  ])
}

export async function noteSuccess(db: Database, { account, address }: Who): Promise<void> {
  await db.rows('UPDATE sign_in_tries SET succeeded = true WHERE account = $1 AND address = $2', [
    account,
    address,
  ])
}

/**
 * Failed tries within a window: of this account from this address, from this address at all, and at this account from
 * addresses it was never signed in from; and whether it was signed in from this one lately.
 */
export async function countTries(
  db: Database,
  { account, address }: Who,
  { minutes, knownDays }: { minutes: number; knownDays: number },
): Promise<Tries> {
  const row = await db.one<Tries>(
    `WITH recent AS (
       SELECT account, address
       FROM sign_in_tries
       WHERE (account = $1 OR address = $2) AND at > now() - $3 * interval '1 minute' AND NOT succeeded
     )
     SELECT
       (SELECT count(*) FROM recent WHERE account = $1 AND address = $2) AS pair,
       (SELECT count(*) FROM recent WHERE address = $2) AS address,
       (
         SELECT count(*)
         FROM recent r
         WHERE r.account = $1 AND NOT EXISTS (
           SELECT 1 FROM sign_in_tries k WHERE k.account = $1 AND k.address = r.address AND k.succeeded
         )
       ) AS strangers,
       EXISTS (
         SELECT 1
         FROM sign_in_tries
         WHERE account = $1 AND address = $2 AND succeeded AND at > now() - $4 * interval '1 day'
       ) AS known`,
    [account, address, minutes, knownDays],
  )
  return row ?? { pair: 0, address: 0, strangers: 0, known: false }
}
