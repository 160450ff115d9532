/**
 * How an entry came: said to us, heard by a watch whose mentions are answered, or only heard. Lenses ask for it, so it
 * stands in their indexes.
 */
const covered = 'thread_id, profile_id, place_id, account_id, kind, channel, sentiment, language, reach'
const byReach = 'at, lead, thread_id, profile_id, place_id, kind, channel, sentiment, language'
const indexes = (more: string) => `
DROP INDEX entries_time;
DROP INDEX entries_lead_time;
DROP INDEX entries_reach;
CREATE INDEX entries_time ON entries (brand_id, at DESC, id DESC) INCLUDE (${covered}${more}) WHERE direction = 'in';
CREATE INDEX entries_lead_time ON entries (brand_id, at DESC, id DESC) INCLUDE (${covered}${more}) WHERE direction = 'in' AND lead;
CREATE INDEX entries_reach ON entries (brand_id, reach DESC, id DESC) INCLUDE (${byReach}${more}) WHERE direction = 'in';
`

export const up = `
ALTER TABLE entries ADD origin text NOT NULL DEFAULT 'sent' CHECK (origin IN ('sent', 'watched', 'heard'));
UPDATE entries SET origin = 'heard' WHERE kind = 'mention';
-- Since when mentions of the watch come into the inbox; null: they do not.
ALTER TABLE watches ADD answered_since timestamptz;
${indexes(', origin')}
`
export const down = `
${indexes('')}
ALTER TABLE watches DROP answered_since;
ALTER TABLE entries DROP origin;
`
