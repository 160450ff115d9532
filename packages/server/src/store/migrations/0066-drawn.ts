/**
 * Whether a reading was drawn by chance to be judged: what is found of such ones holds for all. What was learnt is measured anew.
 */
export const up = `
ALTER TABLE corrections ADD drawn boolean NOT NULL DEFAULT false;
UPDATE teaching SET corrections_seen = -1;
`
export const down = `ALTER TABLE corrections DROP drawn;`
