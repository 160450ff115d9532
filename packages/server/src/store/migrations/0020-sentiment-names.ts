/** One name for one thing: what an entry, an aspect or a correction says is its sentiment. */
export const up = `
ALTER TABLE aspect_readings RENAME COLUMN felt TO sentiment;
ALTER TABLE corrections RENAME COLUMN label TO sentiment;
UPDATE alerts SET lens = regexp_replace(lens, '(^|&)felt=', '\\1sentiment=');
`

export const down = `
UPDATE alerts SET lens = regexp_replace(lens, '(^|&)sentiment=', '\\1felt=');
ALTER TABLE corrections RENAME COLUMN sentiment TO label;
ALTER TABLE aspect_readings RENAME COLUMN sentiment TO felt;
`
