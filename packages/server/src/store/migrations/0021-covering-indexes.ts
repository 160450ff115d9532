/**
 * What lenses, counts and tide lines ask of an entry stands in the index on time: a million entries are counted and
 * ordered without reading their texts.
 */
const covered = 'thread_id, profile_id, place_id, account_id, kind, channel, sentiment, language, reach'

export const up = `
DROP INDEX entries_time;
DROP INDEX entries_lead_time;
CREATE INDEX entries_time ON entries (brand_id, at DESC, id DESC) INCLUDE (${covered}) WHERE direction = 'in';
CREATE INDEX entries_lead_time ON entries (brand_id, at DESC, id DESC) INCLUDE (${covered}) WHERE direction = 'in' AND lead;
`

export const down = `
DROP INDEX entries_time;
DROP INDEX entries_lead_time;
CREATE INDEX entries_time ON entries (brand_id, at DESC, id DESC) WHERE direction = 'in';
CREATE INDEX entries_lead_time ON entries (brand_id, at DESC, id DESC) WHERE direction = 'in' AND lead;
`
