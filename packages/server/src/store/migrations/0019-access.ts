/** Tries to sign in, known to all processes; secret addresses that can be switched off; versions of what two can change. */
export const up = `
CREATE TABLE sign_in_tries (
  id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
  -- Folded e-mail address as it was typed, hashed: it may be of nobody here.
  account bytea NOT NULL,
  address text NOT NULL,
  succeeded boolean NOT NULL,
  at timestamptz NOT NULL DEFAULT now()
);
CREATE INDEX sign_in_tries_account ON sign_in_tries (account, at);
CREATE INDEX sign_in_tries_address ON sign_in_tries (address, at);
ALTER TABLE alerts ALTER feed_token DROP NOT NULL;
UPDATE alerts SET feed_token = NULL WHERE deleted_at IS NOT NULL;
UPDATE watches SET feed_token = NULL, feed_by = NULL WHERE deleted_at IS NOT NULL;
ALTER TABLE watches ADD edition int NOT NULL DEFAULT 1;
ALTER TABLE watch_groups ADD edition int NOT NULL DEFAULT 1;
ALTER TABLE alerts ADD edition int NOT NULL DEFAULT 1;
ALTER TABLE accounts ADD edition int NOT NULL DEFAULT 1;
ALTER TABLE teaching ADD edition int NOT NULL DEFAULT 1;
CREATE INDEX sessions_colleague ON sessions (colleague_id, brand_id);
`
export const down = `
DROP INDEX sessions_colleague;
ALTER TABLE teaching DROP edition;
ALTER TABLE accounts DROP edition;
ALTER TABLE alerts DROP edition;
ALTER TABLE watch_groups DROP edition;
ALTER TABLE watches DROP edition;
UPDATE alerts SET feed_token = md5(random()::text || id) || md5(random()::text) WHERE feed_token IS NULL;
ALTER TABLE alerts ALTER feed_token SET NOT NULL;
DROP TABLE sign_in_tries;
`
