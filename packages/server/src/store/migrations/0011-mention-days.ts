/**
 * Mentions by watch, day (UTC) and sentiment: what the list of two hundred watches adds up over half a year. Kept like the
 * roll-ups by hour, which still serve readers of some profiles and the ends of a period.
 */
const key = 'watch_id, day, sentiment'
const counted = (rows: string, sign: string) =>
  `SELECT watch_id, (at AT TIME ZONE 'UTC')::date AS day, sentiment, ${sign} AS n FROM ${rows}`
const put = (rows: string) => `
BEGIN
  INSERT INTO mention_days AS d (${key}, n)
  SELECT ${key}, sum(n) FROM (${rows}) c GROUP BY 1, 2, 3 HAVING sum(n) <> 0 ORDER BY 1, 2, 3
  ON CONFLICT (${key}) DO UPDATE SET n = d.n + excluded.n;
  RETURN NULL;
END`

export const up = `
CREATE TABLE mention_days (
  watch_id int NOT NULL,
  day date NOT NULL,
  sentiment text NOT NULL,
  n int NOT NULL,
  PRIMARY KEY (${key})
);
INSERT INTO mention_days SELECT watch_id, (hour AT TIME ZONE 'UTC')::date, sentiment, sum(n) FROM mention_rollups GROUP BY 1, 2, 3;
CREATE FUNCTION mention_days_add() RETURNS trigger LANGUAGE plpgsql AS $$${put(counted('new_rows', '1'))} $$;
CREATE FUNCTION mention_days_take() RETURNS trigger LANGUAGE plpgsql AS $$${put(counted('old_rows', '-1'))} $$;
CREATE FUNCTION mention_days_change() RETURNS trigger LANGUAGE plpgsql AS $$${put(`${counted('new_rows', '1')} UNION ALL ${counted('old_rows', '-1')}`)} $$;
CREATE TRIGGER mention_days_insert AFTER INSERT ON mentions REFERENCING NEW TABLE AS new_rows FOR EACH STATEMENT EXECUTE FUNCTION mention_days_add();
CREATE TRIGGER mention_days_update AFTER UPDATE ON mentions REFERENCING OLD TABLE AS old_rows NEW TABLE AS new_rows FOR EACH STATEMENT EXECUTE FUNCTION mention_days_change();
CREATE TRIGGER mention_days_delete AFTER DELETE ON mentions REFERENCING OLD TABLE AS old_rows FOR EACH STATEMENT EXECUTE FUNCTION mention_days_take();
`
export const down = `
DROP TRIGGER mention_days_insert ON mentions; DROP TRIGGER mention_days_update ON mentions; DROP TRIGGER mention_days_delete ON mentions;
DROP FUNCTION mention_days_add; DROP FUNCTION mention_days_take; DROP FUNCTION mention_days_change;
DROP TABLE mention_days;
`
