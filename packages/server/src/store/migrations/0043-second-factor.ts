/** A second factor: a secret shared with an app that makes codes, and words for the day it is lost. */
export const up = `
ALTER TABLE colleagues
  -- Sealed. On since then; null: only begun, and asked of nobody yet.
  ADD code_secret bytea,
  ADD codes_since timestamptz,
  -- The step of the last code that was taken: no code is taken twice.
  ADD code_step bigint;
CREATE TABLE recovery_codes (
  colleague_id int NOT NULL REFERENCES colleagues ON DELETE CASCADE,
  code_hash bytea NOT NULL,
  used_at timestamptz,
  PRIMARY KEY (colleague_id, code_hash)
);
`
export const down = `
DROP TABLE recovery_codes;
ALTER TABLE colleagues DROP code_secret, DROP codes_since, DROP code_step;
`
