/** How much each colleague has open is told on every look at Today and beside the list of whom to assign. */
export const up = `
CREATE INDEX threads_given ON threads (given_to, due_at) WHERE state = 'open' AND given_to IS NOT NULL;
`
export const down = `
DROP INDEX threads_given;
`
