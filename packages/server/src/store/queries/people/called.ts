import type { Database, Tx } from '../../database.ts'

/** What people are called, as whom they are shown. */
export const called = (alias: string) => `coalesce(${alias}.called, ${alias}.name)`

/** A name that is an address or a number: nobody is called so who has another. */
const isBare = (name: string) => `${name} ~ '@|^[+0-9 ()-]+$'`

/** What the author behind an account is called: as it says, or as its person where it says an address or a number alone. */
export const authorName = (account: string) =>
  `CASE WHEN ${isBare(`${account}.name`)}
     THEN coalesce((SELECT ${called('author')} FROM people author WHERE author.id = ${account}.shown_as), ${account}.name)
     ELSE ${account}.name END`

/** Under what somebody writes with an account: its handle, or the address or number that stands for its name. */
export const handleOf = (account: string) =>
  `coalesce(${account}.handle, CASE WHEN ${isBare(`${account}.name`)} THEN ${account}.name END)`

/**
 * Gives those who are joined the best of their names: what a colleague called one of them, else a name of several words, else one
 * word, and an address or a number only where there is nothing else. Each keeps their own for when they part.
 */
export const callTogether = async (db: Database, people: readonly number[], tx: Tx): Promise<void> => {
  await db.rows(
    `WITH shown AS (
       SELECT DISTINCT shown_as AS id FROM people WHERE id = ANY($1::bigint[])
     ), best AS (
       SELECT DISTINCT ON (s.id) s.id, m.name, count(*) OVER (PARTITION BY s.id) AS members
       FROM shown s JOIN people m ON m.shown_as = s.id
       ORDER BY s.id, (m.named_by IS NOT NULL) DESC,
         CASE WHEN ${isBare('m.name')} THEN 0 WHEN m.name ~ '[[:alpha:]][.]? +[[:alpha:]]' THEN 2 ELSE 1 END DESC, m.id
     )
     UPDATE people p SET called = CASE WHEN best.members > 1 AND p.id = best.id THEN best.name END
     FROM best
     WHERE p.shown_as = best.id AND p.called IS DISTINCT FROM CASE WHEN best.members > 1 AND p.id = best.id THEN best.name END`,
    [people],
    tx,
  )
}
