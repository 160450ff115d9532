/** The log is read by time, of one brand. */
export const up = `
CREATE INDEX events_brand_at ON events (brand_id, at, id);
`
export const down = `
DROP INDEX events_brand_at;
`
