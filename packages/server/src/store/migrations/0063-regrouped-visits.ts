/** Which visit a thread belongs to is told of the thread that it was brought into, too. */
export const up = `
ALTER TABLE regroupings ADD visits bigint[] NOT NULL DEFAULT '{}';
`
export const down = `
ALTER TABLE regroupings DROP visits;
`
