/** Answers of ours are changed outside as well. */
const kinds = (list: string) => `
ALTER TABLE outside_actions DROP CONSTRAINT outside_actions_kind_check;
ALTER TABLE outside_actions ADD CONSTRAINT outside_actions_kind_check CHECK (kind IN (${list}));
`
const known = "'reply', 'hide', 'remove', 'report', 'mail', 'text', 'post', 'listing'"

export const up = kinds(`${known}, 'edit'`)
export const down = `
DELETE FROM outside_actions WHERE kind = 'edit';
${kinds(known)}
`
