/** What is known of a voice beside what it said. */
export const up = `
ALTER TABLE accounts
  ADD standing text CHECK (standing IN ('press', 'partner', 'rival', 'customer', 'troll', 'colleague')),
  ADD note text NOT NULL DEFAULT '',
  ADD kept boolean NOT NULL DEFAULT false;
CREATE INDEX accounts_kept ON accounts (brand_id) WHERE kept;
`
export const down = `
DROP INDEX accounts_kept;
ALTER TABLE accounts DROP standing, DROP note, DROP kept;
`
