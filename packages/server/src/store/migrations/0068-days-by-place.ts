import { unhappy } from './0048-person-totals.ts'
import { counted, counting, day, found, heldAccounts, table, zoned } from './0050-person-days.ts'

/** What counts at a place counts at all of them together, too, whose number is 0. */
export const places = (place: string) =>
  `CROSS JOIN LATERAL (SELECT 0 AS id UNION ALL SELECT ${place} WHERE ${place} IS NOT NULL) AS p`

const columns = 'brand_id, place_id, day, person_id, said, unhappy, last, previous, next'
/** Days of entries that are called e, of accounts that are called a. */
const daysOf = (from: string, condition: string) => `
  SELECT a.brand_id, p.id AS place_id, ${day('e.at', 'b')} AS day, a.shown_as AS person_id,
    count(*) AS said, sum(${unhappy('e.sentiment')}) AS unhappy, max(e.at) AS last
  FROM ${from} JOIN brands b ON b.id = a.brand_id ${places('e.place_id')}
  WHERE e.direction = 'in' AND a.shown_as IS NOT NULL AND ${condition}
  GROUP BY 1, 2, 3, 4`
const ofTheirs = 'WINDOW theirs AS (PARTITION BY d.person_id, d.place_id ORDER BY d.day)'

/** All days of people whose accounts meet a condition. */
const countDays = (condition: string) => `
  INSERT INTO person_days (${columns})
  SELECT d.*, coalesce(lag(day) OVER theirs, '-infinity'), coalesce(lead(day) OVER theirs, 'infinity')
  FROM (${daysOf('accounts a JOIN entries e ON e.account_id = a.id', condition)}) d
  ${ofTheirs}
  -- As they come in: those of one time lie together, and are read together.
  ORDER BY d.day, d.person_id, d.place_id`

/** @param held statements that hold the rows of people, so that nobody adds to them meanwhile */
export const countedByPlace = (held: string): string =>
  counted({ held, days: countDays('a.shown_as = ANY(ids)'), all: 'person_id = i.id AND place_id = 0' })

/** Entries whose sentiment alone was changed. */
const felt = `new_rows n
    JOIN old_rows o ON o.id = n.id AND o.account_id = n.account_id AND o.at = n.at
      AND o.place_id IS NOT DISTINCT FROM n.place_id AND o.sentiment IS DISTINCT FROM n.sentiment
    JOIN accounts a ON a.id = n.account_id AND a.shown_as IS NOT NULL
    JOIN brands b ON b.id = a.brand_id`
const feltIn = `n.direction = 'in' AND o.direction = 'in'`

export const changing = `
CREATE OR REPLACE FUNCTION person_totals_change() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  ${heldAccounts('SELECT account_id FROM old_rows UNION SELECT account_id FROM new_rows')}
  -- Most changes are readings: the sentiment alone.
  PERFORM 1 FROM person_totals WHERE person_id IN (
    SELECT a.shown_as FROM ${felt} WHERE ${feltIn}
  ) ORDER BY person_id FOR UPDATE;
  WITH felt AS (
    SELECT a.shown_as AS id, p.id AS place, ${day('n.at', 'b')} AS day, sum(${unhappy('n.sentiment')} - ${unhappy('o.sentiment')})::int AS unhappy
    FROM ${felt} ${places('n.place_id')} WHERE ${feltIn} GROUP BY 1, 2, 3
  ), days AS (
    UPDATE person_days d SET unhappy = d.unhappy + f.unhappy FROM felt f
    WHERE d.person_id = f.id AND d.place_id = f.place AND d.day = f.day
  )
  UPDATE person_totals t SET unhappy = t.unhappy + f.unhappy
  FROM (SELECT id, sum(unhappy)::int AS unhappy FROM felt WHERE place = 0 GROUP BY 1) f
  WHERE t.person_id = f.id;
  PERFORM person_totals_count(ids) FROM (
    SELECT array_agg(DISTINCT a.shown_as) AS ids
    FROM new_rows n JOIN old_rows o ON o.id = n.id JOIN accounts a ON a.id IN (n.account_id, o.account_id)
    WHERE (o.account_id, o.direction, o.at, o.place_id) IS DISTINCT FROM (n.account_id, n.direction, n.at, n.place_id)
      AND a.shown_as IS NOT NULL
  ) changed WHERE ids IS NOT NULL;
  RETURN NULL;
END $$;
`

/**
 * What each person said on each day is kept of each place, too, and each day knows the one before and the one after it. Most people
 * said something on one day of some weeks: theirs are counted without being put together, since their row says that there is no other.
 */
export const up = `
DROP TABLE person_days;
CREATE TABLE person_days (
  brand_id int NOT NULL,
  -- 0: at all places together, and where there is none.
  place_id int NOT NULL,
  day date NOT NULL,
  person_id bigint NOT NULL REFERENCES people ON DELETE CASCADE,
  said int NOT NULL,
  -- Those that felt bad less those that felt good.
  unhappy int NOT NULL,
  last timestamptz NOT NULL,
  -- The days on which they said something there before and after this one, -infinity and infinity where there is none.
  previous date NOT NULL,
  next date NOT NULL,
  PRIMARY KEY (person_id, place_id, day)
) WITH (fillfactor = 80);
${countDays('true')};
-- Without what a history that is read again changes in every row: those are changed in their place then, and no index is.
CREATE INDEX person_days_day ON person_days (brand_id, place_id, day) INCLUDE (person_id, said, last, previous, next);

${countedByPlace(found)}

CREATE OR REPLACE FUNCTION person_totals_add() RETURNS trigger LANGUAGE plpgsql AS $$
DECLARE
  added person_days[];
BEGIN
  SELECT array_agg(ROW(${columns})::person_days) INTO added
  FROM (
    SELECT *, coalesce(lag(day) OVER theirs, '-infinity') AS previous, coalesce(lead(day) OVER theirs, 'infinity') AS next
    FROM (${daysOf('new_rows e JOIN accounts a ON a.id = e.account_id', 'true')}) d ${ofTheirs}
  ) d;
  IF added IS NULL THEN RETURN NULL; END IF;
  -- Whoever adds to a person holds their row, so that nobody puts a day beside these meanwhile.
  INSERT INTO person_totals AS t (person_id, brand_id, said, unhappy, last, by_last, by_latest)
  SELECT person_id, brand_id, sum(said), sum(unhappy), max(last), -extract(epoch FROM max(last)), -extract(epoch FROM max(last))
  FROM unnest(added) WHERE place_id = 0
  GROUP BY 1, 2 ORDER BY 1
  ON CONFLICT (person_id) DO UPDATE SET said = t.said + excluded.said, unhappy = t.unhappy + excluded.unhappy,
    last = greatest(t.last, excluded.last), by_last = least(t.by_last, excluded.by_last), by_latest = least(t.by_latest, excluded.by_latest);
  SELECT array_agg(ROW(a.brand_id, a.place_id, a.day, a.person_id, a.said, a.unhappy, a.last,
    greatest(a.previous, (
      SELECT max(k.day) FROM person_days k WHERE k.person_id = a.person_id AND k.place_id = a.place_id AND k.day < a.day
    )),
    least(a.next, (
      SELECT min(k.day) FROM person_days k WHERE k.person_id = a.person_id AND k.place_id = a.place_id AND k.day > a.day
    )))::person_days) INTO added
  FROM unnest(added) a;
  INSERT INTO person_days AS k (${columns})
  SELECT ${columns} FROM unnest(added) ORDER BY person_id, place_id, day
  ON CONFLICT (person_id, place_id, day) DO UPDATE
    SET said = k.said + excluded.said, unhappy = k.unhappy + excluded.unhappy, last = greatest(k.last, excluded.last);
  -- The days beside those that were added learn of them.
  UPDATE person_days k SET previous = greatest(k.previous, b.previous), next = least(k.next, b.next)
  FROM (
    SELECT person_id, place_id, day, max(previous) AS previous, min(next) AS next
    FROM (
      SELECT person_id, place_id, previous AS day, '-infinity'::date AS previous, day AS next
      FROM unnest(added) WHERE previous > '-infinity'
      UNION ALL
      SELECT person_id, place_id, next, day, 'infinity' FROM unnest(added) WHERE next < 'infinity'
    ) told
    GROUP BY 1, 2, 3
  ) b
  WHERE k.person_id = b.person_id AND k.place_id = b.place_id AND k.day = b.day AND (k.previous < b.previous OR k.next > b.next);
  RETURN NULL;
END $$;

${changing}

CREATE OR REPLACE FUNCTION person_days_zone() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  DELETE FROM person_days WHERE brand_id = NEW.id;
  ${countDays('a.brand_id = NEW.id')};
  RETURN NULL;
END $$;
`

export const down = `
DROP TABLE person_days;
${table}
${counting}
${zoned}
`
