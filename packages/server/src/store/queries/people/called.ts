import type { Database, Tx } from '../../database.ts'

/** What people are called, as whom they are shown. */
export const called = (alias: string) => `coalesce(${alias}.called, ${alias}.name)`

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
         CASE WHEN m.name ~ '@|^[+0-9 ()-]+$' THEN 0 WHEN m.name ~ '[[:alpha:]][.]? +[[:alpha:]]' THEN 2 ELSE 1 END DESC, m.id
     )
     UPDATE people p SET called = CASE WHEN best.members > 1 AND p.id = best.id THEN best.name END
     FROM best
     WHERE p.shown_as = best.id AND p.called IS DISTINCT FROM CASE WHEN best.members > 1 AND p.id = best.id THEN best.name END`,
    [people],
    tx,
  )
}
