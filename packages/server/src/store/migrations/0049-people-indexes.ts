/** Lists of people read these from their indexes alone: as whom an account is shown, and when somebody visited. */
export const up = `
CREATE INDEX accounts_shown_as ON accounts (id) INCLUDE (shown_as);
CREATE INDEX visits_whose ON visits (brand_id, shown_as, at DESC) INCLUDE (place_id);
`
export const down = `
DROP INDEX visits_whose;
DROP INDEX accounts_shown_as;
`
