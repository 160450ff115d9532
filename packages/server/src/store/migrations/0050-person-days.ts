import { down as withoutTotals, recount, unhappy, up as totals } from './0048-person-totals.ts'

/**
 * Beside what each person said in all: what they said on each day of their brand, and when they visited last. People of some
 * weeks are listed from a row a day instead of from every entry, those who ever visited in the order of an index.
 *
 * Whoever counts a person anew holds their row first, so that nobody adds to it meanwhile. Keys of meeting, and pairs, are held
 * to their people alone: their brand is the people's.
 */
export const day = (at: string, brand: string) => `(${at} AT TIME ZONE ${brand}.zone)::date`

/** Days of people whose accounts meet a condition. */
const daysOf = (condition: string) => `
  INSERT INTO person_days (brand_id, day, person_id, said, unhappy, last)
  SELECT a.brand_id, ${day('e.at', 'b')}, a.shown_as, count(*), sum(${unhappy('e.sentiment')}), max(e.at)
  FROM accounts a JOIN brands b ON b.id = a.brand_id JOIN entries e ON e.account_id = a.id AND e.direction = 'in'
  WHERE a.shown_as IS NOT NULL AND ${condition}
  GROUP BY 1, 2, 3`

/** Whoever joins people holds their accounts for it: what is changed of entries meanwhile waits, as what is added does by its key. */
export const heldAccounts = (ids: string) =>
  `PERFORM 1 FROM accounts WHERE id IN (${ids}) ORDER BY id FOR KEY SHARE;`

/** Entries whose sentiment alone was changed. */
const felt = `new_rows n
    JOIN old_rows o ON o.id = n.id AND o.account_id = n.account_id AND o.at = n.at AND o.sentiment IS DISTINCT FROM n.sentiment
    JOIN accounts a ON a.id = n.account_id AND a.shown_as IS NOT NULL
    JOIN brands b ON b.id = a.brand_id
    WHERE n.direction = 'in' AND o.direction = 'in'`

/** What is kept of each day, as it is at first. */
export const table = `
CREATE TABLE person_days (
  brand_id int NOT NULL,
  day date NOT NULL,
  person_id bigint NOT NULL REFERENCES people ON DELETE CASCADE,
  said int NOT NULL,
  -- Those that felt bad less those that felt good.
  unhappy int NOT NULL,
  last timestamptz NOT NULL,
  PRIMARY KEY (person_id, day)
);
${daysOf('true')};
CREATE INDEX person_days_day ON person_days (brand_id, day) INCLUDE (person_id, said, unhappy, last);
`

/** Makes their rows, and holds those that are found then. */
export const found = `INSERT INTO person_totals (person_id, brand_id) SELECT id, brand_id FROM people WHERE id = ANY(ids) ORDER BY id
  ON CONFLICT (person_id) DO NOTHING;
  PERFORM 1 FROM person_totals WHERE person_id = ANY(ids) ORDER BY person_id FOR UPDATE;`

/**
 * Counts people anew.
 *
 * @param held statements that hold their rows, so that nobody adds to them meanwhile
 * @param days statement that counts their days
 * @param all condition on the days of one of them that are added up
 */
export const counted = ({ held, days, all }: { held: string; days: string; all: string }): string => `
CREATE OR REPLACE FUNCTION person_totals_count(ids bigint[]) RETURNS void LANGUAGE plpgsql AS $$
BEGIN
  ${held}
  DELETE FROM person_days WHERE person_id = ANY(ids);
  ${days};
  UPDATE person_totals t
  SET said = c.said, unhappy = c.unhappy, last = c.last, by_last = -extract(epoch FROM c.last),
    visited = c.visited, by_latest = -extract(epoch FROM greatest(c.last, c.visited))
  FROM (
    SELECT i.id, coalesce(d.said, 0) AS said, coalesce(d.unhappy, 0) AS unhappy, d.last,
      (SELECT max(at) FROM visits WHERE shown_as = i.id) AS visited
    FROM unnest(ids) AS i(id)
    LEFT JOIN LATERAL (
      SELECT sum(said) AS said, sum(unhappy) AS unhappy, max(last) AS last FROM person_days WHERE ${all}
    ) d ON true
  ) c
  WHERE t.person_id = c.id;
  DELETE FROM person_totals WHERE person_id = ANY(ids) AND said = 0 AND visited IS NULL;
END $$;
`

/** Counting anew, adding and changing. */
export const counting = `
-- Counts these people anew.
${counted({ held: found, days: daysOf('a.shown_as = ANY(ids)'), all: 'person_id = i.id' })}

CREATE OR REPLACE FUNCTION person_totals_add() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  INSERT INTO person_totals AS t (person_id, brand_id, said, unhappy, last, by_last, by_latest)
  SELECT a.shown_as, a.brand_id, count(*), sum(${unhappy('n.sentiment')}), max(n.at), -extract(epoch FROM max(n.at)), -extract(epoch FROM max(n.at))
  FROM new_rows n JOIN accounts a ON a.id = n.account_id
  WHERE n.direction = 'in' AND a.shown_as IS NOT NULL
  GROUP BY 1, 2 ORDER BY 1
  ON CONFLICT (person_id) DO UPDATE SET said = t.said + excluded.said, unhappy = t.unhappy + excluded.unhappy,
    last = greatest(t.last, excluded.last), by_last = least(t.by_last, excluded.by_last), by_latest = least(t.by_latest, excluded.by_latest);
  INSERT INTO person_days AS d (brand_id, day, person_id, said, unhappy, last)
  SELECT a.brand_id, ${day('n.at', 'b')}, a.shown_as, count(*), sum(${unhappy('n.sentiment')}), max(n.at)
  FROM new_rows n JOIN accounts a ON a.id = n.account_id JOIN brands b ON b.id = a.brand_id
  WHERE n.direction = 'in' AND a.shown_as IS NOT NULL
  GROUP BY 1, 2, 3 ORDER BY 3, 2
  ON CONFLICT (person_id, day) DO UPDATE SET said = d.said + excluded.said, unhappy = d.unhappy + excluded.unhappy, last = greatest(d.last, excluded.last);
  RETURN NULL;
END $$;

CREATE OR REPLACE FUNCTION person_totals_change() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  ${heldAccounts('SELECT account_id FROM old_rows UNION SELECT account_id FROM new_rows')}
  -- Most changes are readings: the sentiment alone.
  PERFORM 1 FROM person_totals WHERE person_id IN (
    SELECT a.shown_as FROM ${felt}
  ) ORDER BY person_id FOR UPDATE;
  WITH felt AS (
    SELECT a.shown_as AS id, ${day('n.at', 'b')} AS day, sum(${unhappy('n.sentiment')} - ${unhappy('o.sentiment')})::int AS unhappy
    FROM ${felt} GROUP BY 1, 2
  ), days AS (
    UPDATE person_days d SET unhappy = d.unhappy + f.unhappy FROM felt f WHERE d.person_id = f.id AND d.day = f.day
  )
  UPDATE person_totals t SET unhappy = t.unhappy + f.unhappy
  FROM (SELECT id, sum(unhappy)::int AS unhappy FROM felt GROUP BY 1) f
  WHERE t.person_id = f.id;
  PERFORM person_totals_count(ids) FROM (
    SELECT array_agg(DISTINCT a.shown_as) AS ids
    FROM new_rows n JOIN old_rows o ON o.id = n.id JOIN accounts a ON a.id IN (n.account_id, o.account_id)
    WHERE (o.account_id, o.direction, o.at) IS DISTINCT FROM (n.account_id, n.direction, n.at) AND a.shown_as IS NOT NULL
  ) changed WHERE ids IS NOT NULL;
  RETURN NULL;
END $$;
`

/** Days begin elsewhere. */
export const zoned = `
CREATE OR REPLACE FUNCTION person_days_zone() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  DELETE FROM person_days WHERE brand_id = NEW.id;
  ${daysOf('a.brand_id = NEW.id')};
  RETURN NULL;
END $$;
`

export const revisiting = recount(
  'person_totals_visit_change',
  '(o.shown_as, o.at) IS DISTINCT FROM (n.shown_as, n.at)',
)

export const up = `
${table}
ALTER TABLE person_totals
  ALTER said SET DEFAULT 0,
  ALTER unhappy SET DEFAULT 0,
  ALTER last DROP NOT NULL,
  ALTER by_last DROP NOT NULL,
  -- The latest of their visits, of any state.
  ADD visited timestamptz,
  -- Of what they said and their visits.
  ADD by_latest numeric;
UPDATE person_totals SET by_latest = by_last;
INSERT INTO person_totals AS t (person_id, brand_id, visited, by_latest)
SELECT shown_as, brand_id, max(at), -extract(epoch FROM max(at)) FROM visits GROUP BY 1, 2
ON CONFLICT (person_id) DO UPDATE SET visited = excluded.visited, by_latest = least(t.by_latest, excluded.by_latest);
DROP INDEX person_totals_said, person_totals_last, person_totals_unhappy;
CREATE INDEX person_totals_said ON person_totals (brand_id, by_said, by_last, person_id) WHERE said > 0;
CREATE INDEX person_totals_last ON person_totals (brand_id, by_last, person_id) WHERE said > 0;
CREATE INDEX person_totals_unhappy ON person_totals (brand_id, by_unhappy, by_said, person_id) WHERE said > 0;
CREATE INDEX person_totals_visited_said ON person_totals (brand_id, by_said, by_latest, person_id) WHERE visited IS NOT NULL;
CREATE INDEX person_totals_visited_latest ON person_totals (brand_id, by_latest, person_id) WHERE visited IS NOT NULL;
CREATE INDEX person_totals_visited_unhappy ON person_totals (brand_id, by_unhappy, by_said, person_id) WHERE visited IS NOT NULL;

${counting}

CREATE OR REPLACE FUNCTION person_totals_take() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  ${heldAccounts('SELECT account_id FROM old_rows')}
  PERFORM person_totals_count(ids) FROM (
    SELECT array_agg(DISTINCT a.shown_as) AS ids
    FROM old_rows o JOIN accounts a ON a.id = o.account_id WHERE o.direction = 'in' AND a.shown_as IS NOT NULL
  ) gone WHERE ids IS NOT NULL;
  RETURN NULL;
END $$;

${zoned}

CREATE FUNCTION person_totals_visit() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  INSERT INTO person_totals AS t (person_id, brand_id, visited, by_latest)
  SELECT shown_as, brand_id, max(at), -extract(epoch FROM max(at)) FROM new_rows GROUP BY 1, 2 ORDER BY 1
  ON CONFLICT (person_id) DO UPDATE SET visited = greatest(t.visited, excluded.visited), by_latest = least(t.by_latest, excluded.by_latest);
  RETURN NULL;
END $$;

${revisiting}

CREATE TRIGGER person_totals_visits AFTER INSERT ON visits REFERENCING NEW TABLE AS new_rows FOR EACH STATEMENT EXECUTE FUNCTION person_totals_visit();
CREATE TRIGGER person_totals_visits_changed AFTER UPDATE ON visits REFERENCING OLD TABLE AS old_rows NEW TABLE AS new_rows FOR EACH STATEMENT EXECUTE FUNCTION person_totals_visit_change();
CREATE TRIGGER person_totals_visits_gone AFTER DELETE ON visits REFERENCING OLD TABLE AS old_rows FOR EACH STATEMENT EXECUTE FUNCTION person_totals_leave();
CREATE TRIGGER person_days_zone AFTER UPDATE OF zone ON brands FOR EACH ROW WHEN (NEW.zone <> OLD.zone) EXECUTE FUNCTION person_days_zone();

ALTER TABLE person_keys DROP CONSTRAINT person_keys_brand_id_fkey;
ALTER TABLE person_proposals DROP CONSTRAINT person_proposals_brand_id_fkey;
`

export const down = `
ALTER TABLE person_proposals ADD CONSTRAINT person_proposals_brand_id_fkey FOREIGN KEY (brand_id) REFERENCES brands ON DELETE CASCADE;
ALTER TABLE person_keys ADD CONSTRAINT person_keys_brand_id_fkey FOREIGN KEY (brand_id) REFERENCES brands ON DELETE CASCADE;
DROP TRIGGER person_days_zone ON brands;
DROP TRIGGER person_totals_visits_gone ON visits;
DROP TRIGGER person_totals_visits_changed ON visits;
DROP TRIGGER person_totals_visits ON visits;
DROP FUNCTION person_days_zone, person_totals_visit_change, person_totals_visit;
${withoutTotals}
DROP TABLE person_days;
${totals}
`
