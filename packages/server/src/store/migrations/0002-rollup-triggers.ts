/**
 * Hourly roll-ups are kept by the database itself, once a statement, so that they are right under every insert,
 * correction, move and deletion, whoever makes it. Counted are incoming entries.
 */
export const up = `
CREATE FUNCTION rollups_add() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  INSERT INTO rollups AS r (brand_id, hour, profile_id, kind, sentiment, n)
  SELECT brand_id, date_trunc('hour', at), profile_id, kind, sentiment, count(*) FROM new_rows WHERE direction = 'in'
  GROUP BY 1, 2, 3, 4, 5 ORDER BY 1, 2, 3, 4, 5
  ON CONFLICT (brand_id, hour, profile_id, kind, sentiment) DO UPDATE SET n = r.n + excluded.n;
  RETURN NULL;
END $$;
CREATE FUNCTION rollups_take() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  UPDATE rollups r SET n = r.n - o.n FROM (
    SELECT brand_id, date_trunc('hour', at) AS hour, profile_id, kind, sentiment, count(*) AS n FROM old_rows WHERE direction = 'in'
    GROUP BY 1, 2, 3, 4, 5 ORDER BY 1, 2, 3, 4, 5) o
  WHERE r.brand_id = o.brand_id AND r.hour = o.hour AND r.profile_id = o.profile_id AND r.kind = o.kind AND r.sentiment = o.sentiment;
  RETURN NULL;
END $$;
CREATE FUNCTION rollups_change() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  WITH changes AS (
    SELECT brand_id, date_trunc('hour', at) AS hour, profile_id, kind, sentiment, sum(n) AS n FROM (
      SELECT brand_id, at, profile_id, kind, sentiment, 1 AS n FROM new_rows WHERE direction = 'in'
      UNION ALL SELECT brand_id, at, profile_id, kind, sentiment, -1 FROM old_rows WHERE direction = 'in') both_rows
    GROUP BY 1, 2, 3, 4, 5 HAVING sum(n) <> 0 ORDER BY 1, 2, 3, 4, 5)
  INSERT INTO rollups AS r (brand_id, hour, profile_id, kind, sentiment, n) SELECT * FROM changes
  ON CONFLICT (brand_id, hour, profile_id, kind, sentiment) DO UPDATE SET n = r.n + excluded.n;
  RETURN NULL;
END $$;
CREATE TRIGGER rollups_insert AFTER INSERT ON entries REFERENCING NEW TABLE AS new_rows FOR EACH STATEMENT EXECUTE FUNCTION rollups_add();
CREATE TRIGGER rollups_update AFTER UPDATE ON entries REFERENCING OLD TABLE AS old_rows NEW TABLE AS new_rows FOR EACH STATEMENT EXECUTE FUNCTION rollups_change();
CREATE TRIGGER rollups_delete AFTER DELETE ON entries REFERENCING OLD TABLE AS old_rows FOR EACH STATEMENT EXECUTE FUNCTION rollups_take();
`

export const down = `
DROP TRIGGER rollups_insert ON entries; DROP TRIGGER rollups_update ON entries; DROP TRIGGER rollups_delete ON entries;
DROP FUNCTION rollups_add; DROP FUNCTION rollups_take; DROP FUNCTION rollups_change;
`
