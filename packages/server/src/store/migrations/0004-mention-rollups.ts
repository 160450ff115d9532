/**
 * Mentions by watch, hour, profile and sentiment, kept by the database as the roll-ups of entries are. A mention carries
 * its entry's sentiment and profile, so that a correction reaches it and a deletion takes away what was counted.
 */
const key = 'watch_id, hour, profile_id, sentiment'
const counted = (rows: string, sign: string) =>
  `SELECT watch_id, date_trunc('hour', at) AS hour, profile_id, sentiment, ${sign} AS n FROM ${rows}`

export const up = `
ALTER TABLE mentions ADD sentiment text, ADD profile_id int;
UPDATE mentions m SET sentiment = e.sentiment, profile_id = e.profile_id FROM entries e WHERE e.id = m.entry_id;
ALTER TABLE mentions ALTER sentiment SET NOT NULL, ALTER profile_id SET NOT NULL;
CREATE TABLE mention_rollups (
  watch_id int NOT NULL,
  hour timestamptz NOT NULL,
  profile_id int NOT NULL,
  sentiment text NOT NULL,
  n int NOT NULL,
  PRIMARY KEY (${key})
);
INSERT INTO mention_rollups SELECT watch_id, date_trunc('hour', at), profile_id, sentiment, count(*) FROM mentions GROUP BY 1, 2, 3, 4;
CREATE FUNCTION mention_rollups_add() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  INSERT INTO mention_rollups AS r (${key}, n)
  SELECT ${key}, sum(n) FROM (${counted('new_rows', '1')}) c GROUP BY 1, 2, 3, 4 ORDER BY 1, 2, 3, 4
  ON CONFLICT (${key}) DO UPDATE SET n = r.n + excluded.n;
  RETURN NULL;
END $$;
CREATE FUNCTION mention_rollups_take() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  UPDATE mention_rollups r SET n = r.n - o.n FROM (
    SELECT ${key}, sum(n) AS n FROM (${counted('old_rows', '1')}) c GROUP BY 1, 2, 3, 4 ORDER BY 1, 2, 3, 4) o
  WHERE r.watch_id = o.watch_id AND r.hour = o.hour AND r.profile_id = o.profile_id AND r.sentiment = o.sentiment;
  RETURN NULL;
END $$;
CREATE FUNCTION mention_rollups_change() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  INSERT INTO mention_rollups AS r (${key}, n)
  SELECT ${key}, sum(n) FROM (${counted('new_rows', '1')} UNION ALL ${counted('old_rows', '-1')}) c
  GROUP BY 1, 2, 3, 4 HAVING sum(n) <> 0 ORDER BY 1, 2, 3, 4
  ON CONFLICT (${key}) DO UPDATE SET n = r.n + excluded.n;
  RETURN NULL;
END $$;
CREATE TRIGGER mention_rollups_insert AFTER INSERT ON mentions REFERENCING NEW TABLE AS new_rows FOR EACH STATEMENT EXECUTE FUNCTION mention_rollups_add();
CREATE TRIGGER mention_rollups_update AFTER UPDATE ON mentions REFERENCING OLD TABLE AS old_rows NEW TABLE AS new_rows FOR EACH STATEMENT EXECUTE FUNCTION mention_rollups_change();
CREATE TRIGGER mention_rollups_delete AFTER DELETE ON mentions REFERENCING OLD TABLE AS old_rows FOR EACH STATEMENT EXECUTE FUNCTION mention_rollups_take();

CREATE FUNCTION mentions_follow() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  UPDATE mentions m SET sentiment = n.sentiment, profile_id = n.profile_id, at = n.at
  FROM new_rows n JOIN old_rows o ON o.id = n.id
  WHERE m.entry_id = n.id AND (n.sentiment <> o.sentiment OR n.profile_id <> o.profile_id OR n.at <> o.at);
  RETURN NULL;
END $$;
CREATE TRIGGER mentions_follow AFTER UPDATE ON entries REFERENCING OLD TABLE AS old_rows NEW TABLE AS new_rows FOR EACH STATEMENT EXECUTE FUNCTION mentions_follow();
`
export const down = `
DROP TRIGGER mentions_follow ON entries;
DROP FUNCTION mentions_follow;
DROP TRIGGER mention_rollups_insert ON mentions; DROP TRIGGER mention_rollups_update ON mentions; DROP TRIGGER mention_rollups_delete ON mentions;
DROP FUNCTION mention_rollups_add; DROP FUNCTION mention_rollups_take; DROP FUNCTION mention_rollups_change;
DROP TABLE mention_rollups;
ALTER TABLE mentions DROP sentiment, DROP profile_id;
`
