/**
 * How much each person said in all, kept while entries come, change and go, and while people are joined and part: everybody at any
 * time is listed without counting. `by_` is what a page is ordered by, ascending.
 */
export const unhappy = (sentiment: string) =>
  `CASE ${sentiment} WHEN 'negative' THEN 1 WHEN 'positive' THEN -1 ELSE 0 END`

/**
 * A trigger that counts those anew who are shown by rows that differ, found by joining what rows were with what they are.
 *
 * @param differs condition on an old row o and a new one n
 */
export const recount = (name: string, differs: string): string => `
CREATE OR REPLACE FUNCTION ${name}() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  PERFORM person_totals_count(ids) FROM (
    SELECT array_agg(DISTINCT s.id) AS ids
    FROM new_rows n JOIN old_rows o ON o.id = n.id
    CROSS JOIN LATERAL (VALUES (o.shown_as), (n.shown_as)) AS s (id)
    WHERE ${differs}
  ) moved WHERE ids IS NOT NULL;
  RETURN NULL;
END $$;
`
export const regrouping = recount(
  'person_totals_regroup',
  'o.shown_as IS DISTINCT FROM n.shown_as AND s.id IS NOT NULL',
)

export const up = `
CREATE TABLE person_totals (
  person_id bigint PRIMARY KEY REFERENCES people ON DELETE CASCADE,
  brand_id int NOT NULL,
  said int NOT NULL,
  -- Those that felt bad less those that felt good.
  unhappy int NOT NULL,
  last timestamptz NOT NULL,
  by_said int GENERATED ALWAYS AS (-said) STORED,
  by_unhappy int GENERATED ALWAYS AS (-unhappy) STORED,
  by_last numeric NOT NULL
);

-- Counts these people anew.
CREATE FUNCTION person_totals_count(ids bigint[]) RETURNS void LANGUAGE plpgsql AS $$
BEGIN
  INSERT INTO person_totals AS t (person_id, brand_id, said, unhappy, last, by_last)
  SELECT p.id, p.brand_id, c.said, c.unhappy, c.last, -extract(epoch FROM c.last)
  FROM people p
  CROSS JOIN LATERAL (
    SELECT count(*) AS said, sum(${unhappy('e.sentiment')}) AS unhappy, max(e.at) AS last
    FROM accounts a JOIN entries e ON e.account_id = a.id AND e.direction = 'in'
    WHERE a.shown_as = p.id
  ) c
  WHERE p.id = ANY(ids) AND c.said > 0
  ORDER BY p.id
  ON CONFLICT (person_id) DO UPDATE
    SET said = excluded.said, unhappy = excluded.unhappy, last = excluded.last, by_last = excluded.by_last;
  DELETE FROM person_totals t WHERE t.person_id = ANY(ids) AND NOT EXISTS (
    SELECT 1 FROM accounts a JOIN entries e ON e.account_id = a.id AND e.direction = 'in' WHERE a.shown_as = t.person_id
  );
END $$;

CREATE FUNCTION person_totals_add() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  INSERT INTO person_totals AS t (person_id, brand_id, said, unhappy, last, by_last)
  SELECT a.shown_as, a.brand_id, count(*), sum(${unhappy('n.sentiment')}), max(n.at), -extract(epoch FROM max(n.at))
  FROM new_rows n JOIN accounts a ON a.id = n.account_id
  WHERE n.direction = 'in' AND a.shown_as IS NOT NULL
  GROUP BY 1, 2 ORDER BY 1
  ON CONFLICT (person_id) DO UPDATE SET said = t.said + excluded.said, unhappy = t.unhappy + excluded.unhappy,
    last = greatest(t.last, excluded.last), by_last = least(t.by_last, excluded.by_last);
  RETURN NULL;
END $$;

CREATE FUNCTION person_totals_change() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  -- Most changes are readings: the sentiment alone.
  INSERT INTO person_totals AS t (person_id, brand_id, said, unhappy, last, by_last)
  SELECT a.shown_as, a.brand_id, 0, sum(${unhappy('n.sentiment')} - ${unhappy('o.sentiment')}), max(n.at), 0
  FROM new_rows n JOIN old_rows o ON o.id = n.id JOIN accounts a ON a.id = n.account_id
  WHERE n.direction = 'in' AND o.direction = 'in' AND o.account_id = n.account_id AND o.at = n.at
    AND o.sentiment IS DISTINCT FROM n.sentiment AND a.shown_as IS NOT NULL
  GROUP BY 1, 2 HAVING sum(${unhappy('n.sentiment')} - ${unhappy('o.sentiment')}) <> 0 ORDER BY 1
  ON CONFLICT (person_id) DO UPDATE SET unhappy = t.unhappy + excluded.unhappy;
  PERFORM person_totals_count(ids) FROM (
    SELECT array_agg(DISTINCT a.shown_as) AS ids
    FROM new_rows n JOIN old_rows o ON o.id = n.id JOIN accounts a ON a.id IN (n.account_id, o.account_id)
    WHERE (o.account_id, o.direction, o.at) IS DISTINCT FROM (n.account_id, n.direction, n.at)
  ) changed WHERE ids IS NOT NULL;
  RETURN NULL;
END $$;

CREATE FUNCTION person_totals_take() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  PERFORM person_totals_count(ids) FROM (
    SELECT array_agg(DISTINCT a.shown_as) AS ids
    FROM old_rows o JOIN accounts a ON a.id = o.account_id WHERE o.direction = 'in'
  ) gone WHERE ids IS NOT NULL;
  RETURN NULL;
END $$;

${regrouping}

CREATE FUNCTION person_totals_leave() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  PERFORM person_totals_count(ids) FROM (
    SELECT array_agg(DISTINCT o.shown_as) AS ids FROM old_rows o WHERE o.shown_as IS NOT NULL
  ) gone WHERE ids IS NOT NULL;
  RETURN NULL;
END $$;

INSERT INTO person_totals (person_id, brand_id, said, unhappy, last, by_last)
SELECT a.shown_as, a.brand_id, count(*), sum(${unhappy('e.sentiment')}), max(e.at), -extract(epoch FROM max(e.at))
FROM entries e JOIN accounts a ON a.id = e.account_id
WHERE e.direction = 'in' AND a.shown_as IS NOT NULL
GROUP BY 1, 2;
CREATE INDEX person_totals_said ON person_totals (brand_id, by_said, by_last, person_id);
CREATE INDEX person_totals_last ON person_totals (brand_id, by_last, person_id);
CREATE INDEX person_totals_unhappy ON person_totals (brand_id, by_unhappy, by_said, person_id);
CREATE INDEX people_name ON people (brand_id, (coalesce(called, name)) COLLATE "C", id);

CREATE TRIGGER person_totals_insert AFTER INSERT ON entries REFERENCING NEW TABLE AS new_rows FOR EACH STATEMENT EXECUTE FUNCTION person_totals_add();
CREATE TRIGGER person_totals_update AFTER UPDATE ON entries REFERENCING OLD TABLE AS old_rows NEW TABLE AS new_rows FOR EACH STATEMENT EXECUTE FUNCTION person_totals_change();
CREATE TRIGGER person_totals_delete AFTER DELETE ON entries REFERENCING OLD TABLE AS old_rows FOR EACH STATEMENT EXECUTE FUNCTION person_totals_take();
CREATE TRIGGER person_totals_accounts AFTER UPDATE ON accounts REFERENCING OLD TABLE AS old_rows NEW TABLE AS new_rows FOR EACH STATEMENT EXECUTE FUNCTION person_totals_regroup();
CREATE TRIGGER person_totals_accounts_gone AFTER DELETE ON accounts REFERENCING OLD TABLE AS old_rows FOR EACH STATEMENT EXECUTE FUNCTION person_totals_leave();
`
export const down = `
DROP TRIGGER person_totals_accounts_gone ON accounts;
DROP TRIGGER person_totals_accounts ON accounts;
DROP TRIGGER person_totals_delete ON entries;
DROP TRIGGER person_totals_update ON entries;
DROP TRIGGER person_totals_insert ON entries;
DROP INDEX people_name;
DROP FUNCTION person_totals_leave, person_totals_regroup, person_totals_take, person_totals_change, person_totals_add, person_totals_count;
DROP TABLE person_totals;
`
