/** When the last entry of a thread came was written once and read nowhere: its lead tells it. */
export const up = 'ALTER TABLE threads DROP COLUMN last_at'
export const down = `
ALTER TABLE threads ADD last_at timestamptz;
UPDATE threads t SET last_at = coalesce((SELECT max(e.at) FROM entries e WHERE e.thread_id = t.id), now());
ALTER TABLE threads ALTER last_at SET NOT NULL;
`
