/**
 * The order by reach over a long time sorted everything in it. What lenses ask of an entry stands in the index, so that a
 * narrow lens is walked without reading texts.
 */
const covered = 'at, lead, thread_id, profile_id, place_id, kind, channel, sentiment, language'

export const up = `
CREATE INDEX entries_reach ON entries (brand_id, reach DESC, id DESC) INCLUDE (${covered}) WHERE direction = 'in';
`
export const down = `DROP INDEX entries_reach;`
