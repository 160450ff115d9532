import * as utcDays from './0011-mention-days.ts'

/**
 * Mentions by watch and day of the brand's calendar, one column a sentiment: periods begin and end with the brand's days, so
 * that the list of two hundred watches adds up days alone. The roll-ups by hour still serve readers of some profiles, and
 * the days that a period divides.
 */
const moods = ['positive', 'neutral', 'negative', 'unread']
const counted = (rows: string, sign: 1 | -1) => `SELECT watch_id, at, sentiment, ${sign} AS n FROM ${rows}`
/** Changes by watch and local day; without any, nothing is touched. */
const summed = (rows: string) =>
  `SELECT c.watch_id, (c.at AT TIME ZONE b.zone)::date AS day, ${moods.map((mood) => `coalesce(sum(c.n) FILTER (WHERE c.sentiment = '${mood}'), 0) AS ${mood}`).join(', ')}
  FROM (${rows}) c JOIN watches w ON w.id = c.watch_id JOIN brands b ON b.id = w.brand_id GROUP BY 1, 2`
const put = (rows: string) => `
BEGIN
  INSERT INTO mention_days AS d (watch_id, day, ${moods.join(', ')})
  SELECT * FROM (${summed(rows)}) s WHERE (${moods.join(', ')}) <> (0, 0, 0, 0) ORDER BY 1, 2
  ON CONFLICT (watch_id, day) DO UPDATE SET ${moods.map((mood) => `${mood} = d.${mood} + excluded.${mood}`).join(', ')};
  RETURN NULL;
END`

export const up = `
${utcDays.down}
CREATE TABLE mention_days (
  watch_id int NOT NULL REFERENCES watches ON DELETE CASCADE,
  day date NOT NULL,
  ${moods.map((mood) => `${mood} int NOT NULL,`).join('\n  ')}
  PRIMARY KEY (watch_id, day)
);
INSERT INTO mention_days ${summed(counted('mentions', 1))};
CREATE FUNCTION mention_days_add() RETURNS trigger LANGUAGE plpgsql AS $$${put(counted('new_rows', 1))} $$;
CREATE FUNCTION mention_days_take() RETURNS trigger LANGUAGE plpgsql AS $$${put(counted('old_rows', -1))} $$;
CREATE FUNCTION mention_days_change() RETURNS trigger LANGUAGE plpgsql AS $$${put(`${counted('new_rows', 1)} UNION ALL ${counted('old_rows', -1)}`)} $$;
CREATE TRIGGER mention_days_insert AFTER INSERT ON mentions REFERENCING NEW TABLE AS new_rows FOR EACH STATEMENT EXECUTE FUNCTION mention_days_add();
CREATE TRIGGER mention_days_update AFTER UPDATE ON mentions REFERENCING OLD TABLE AS old_rows NEW TABLE AS new_rows FOR EACH STATEMENT EXECUTE FUNCTION mention_days_change();
CREATE TRIGGER mention_days_delete AFTER DELETE ON mentions REFERENCING OLD TABLE AS old_rows FOR EACH STATEMENT EXECUTE FUNCTION mention_days_take();

CREATE FUNCTION mention_days_zone() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  DELETE FROM mention_days d USING watches w WHERE w.id = d.watch_id AND w.brand_id = NEW.id;
  INSERT INTO mention_days ${summed(counted('mentions', 1).replace('FROM mentions', 'FROM mentions WHERE watch_id IN (SELECT id FROM watches WHERE brand_id = NEW.id)'))};
  RETURN NULL;
END $$;
CREATE TRIGGER mention_days_zone AFTER UPDATE OF zone ON brands FOR EACH ROW WHEN (NEW.zone <> OLD.zone) EXECUTE FUNCTION mention_days_zone();
`
export const down = `
DROP TRIGGER mention_days_zone ON brands;
DROP FUNCTION mention_days_zone;
${utcDays.down}
${utcDays.up}
`
