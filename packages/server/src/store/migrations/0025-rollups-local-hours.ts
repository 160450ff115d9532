/**
 * Roll-ups by hour of the brand's clock. Where that differs from an hour of UTC by half an hour or a quarter (India, Nepal), days
 * and weeks did not begin with an hour of the roll-ups, and everything was counted entry by entry.
 */
const entryKey = 'brand_id, hour, profile_id, kind, sentiment'
const entries = (rows: string, sign: 1 | -1) =>
  `SELECT c.brand_id, date_trunc('hour', c.at, b.zone) AS hour, c.profile_id, c.kind, c.sentiment, ${sign} AS n
   FROM ${rows} c JOIN brands b ON b.id = c.brand_id WHERE c.direction = 'in'`
const mentionKey = 'watch_id, hour, profile_id, sentiment'
const mentions = (rows: string, sign: 1 | -1) =>
  `SELECT c.watch_id, date_trunc('hour', c.at, b.zone) AS hour, c.profile_id, c.sentiment, ${sign} AS n
   FROM ${rows} c JOIN watches w ON w.id = c.watch_id JOIN brands b ON b.id = w.brand_id`

interface Kept {
  table: string
  key: string
  counted: (rows: string, sign: 1 | -1) => string
}
const kept: Kept[] = [
  { table: 'rollups', key: entryKey, counted: entries },
  { table: 'mention_rollups', key: mentionKey, counted: mentions },
]

/** Adds what a statement changed; without any change, nothing is touched. */
const put = ({ table, key }: Kept, rows: string) => `
BEGIN
  INSERT INTO ${table} AS r (${key}, n)
  SELECT ${key}, sum(n) FROM (${rows}) c GROUP BY ${key} HAVING sum(n) <> 0 ORDER BY ${key}
  ON CONFLICT (${key}) DO UPDATE SET n = r.n + excluded.n;
  RETURN NULL;
END`
const functions = kept
  .map(
    (each) => `
CREATE OR REPLACE FUNCTION ${each.table}_add() RETURNS trigger LANGUAGE plpgsql AS $$${put(each, each.counted('new_rows', 1))} $$;
CREATE OR REPLACE FUNCTION ${each.table}_take() RETURNS trigger LANGUAGE plpgsql AS $$${put(each, each.counted('old_rows', -1))} $$;
CREATE OR REPLACE FUNCTION ${each.table}_change() RETURNS trigger LANGUAGE plpgsql AS $$${put(each, `${each.counted('new_rows', 1)} UNION ALL ${each.counted('old_rows', -1)}`)} $$;
`,
  )
  .join('')
const [ofEntries, ofMentions] = kept as [Kept, Kept]
const made = (each: Kept, rows: string) => `
  INSERT INTO ${each.table} (${each.key}, n)
  SELECT ${each.key}, sum(n) FROM (${each.counted(rows, 1)}) c GROUP BY ${each.key};`
/** Everything of some brands, counted anew. */
const again = (brands: string) => `
  DELETE FROM rollups WHERE brand_id IN (${brands});
  DELETE FROM mention_rollups WHERE watch_id IN (SELECT id FROM watches WHERE brand_id IN (${brands}));
  ${made(ofEntries, `(SELECT * FROM entries WHERE brand_id IN (${brands}))`)}
  ${made(ofMentions, `(SELECT * FROM mentions WHERE watch_id IN (SELECT id FROM watches WHERE brand_id IN (${brands})))`)}`

export const up = `
DELETE FROM mention_rollups r WHERE NOT EXISTS (SELECT 1 FROM watches w WHERE w.id = r.watch_id);
DELETE FROM rollups r WHERE NOT EXISTS (SELECT 1 FROM brands b WHERE b.id = r.brand_id);
ALTER TABLE rollups ADD CONSTRAINT rollups_brand FOREIGN KEY (brand_id) REFERENCES brands ON DELETE CASCADE;
ALTER TABLE mention_rollups ADD CONSTRAINT mention_rollups_watch FOREIGN KEY (watch_id) REFERENCES watches ON DELETE CASCADE;
${functions}
CREATE TEMPORARY TABLE other_hours ON COMMIT DROP AS
  SELECT b.id FROM brands b WHERE EXISTS (SELECT 1 FROM rollups r WHERE r.brand_id = b.id AND date_trunc('hour', r.hour, b.zone) <> r.hour);
${again('SELECT id FROM other_hours')}
CREATE FUNCTION rollups_zone() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
${again('NEW.id')}
  RETURN NULL;
END $$;
CREATE TRIGGER rollups_zone AFTER UPDATE OF zone ON brands FOR EACH ROW WHEN (NEW.zone <> OLD.zone) EXECUTE FUNCTION rollups_zone();
`

const byUtc = (sql: string) =>
  sql.replace(/date_trunc\('hour', c\.at, b\.zone\)/g, `date_trunc('hour', c.at)`)
export const down = `
DROP TRIGGER rollups_zone ON brands;
DROP FUNCTION rollups_zone;
ALTER TABLE mention_rollups DROP CONSTRAINT mention_rollups_watch;
ALTER TABLE rollups DROP CONSTRAINT rollups_brand;
${byUtc(functions)}
${byUtc(again('SELECT id FROM brands'))}
`
