/** Colleagues come by invitation and set their passwords themselves; letters are mails of ours that are no answers. */
export const up = `
CREATE TABLE invitations (
  id serial PRIMARY KEY,
  brand_id int NOT NULL REFERENCES brands ON DELETE CASCADE,
  email text NOT NULL,
  role text NOT NULL CHECK (role IN ('owner', 'lead', 'specialist', 'placeManager', 'reader')),
  place_ids int[],
  profile_ids int[],
  token_hash bytea NOT NULL UNIQUE,
  invited_by int REFERENCES colleagues ON DELETE SET NULL,
  at timestamptz NOT NULL DEFAULT now(),
  ends_at timestamptz NOT NULL,
  used_at timestamptz
);
-- One that waits for each address.
CREATE UNIQUE INDEX invitations_open ON invitations (brand_id, email) WHERE used_at IS NULL;
CREATE TABLE password_resets (
  token_hash bytea PRIMARY KEY,
  colleague_id int NOT NULL REFERENCES colleagues ON DELETE CASCADE,
  at timestamptz NOT NULL DEFAULT now(),
  ends_at timestamptz NOT NULL,
  used_at timestamptz
);
CREATE INDEX password_resets_colleague ON password_resets (colleague_id);
-- A text with a link in it goes when it was sent.
CREATE TABLE letters (
  id bigserial PRIMARY KEY,
  address text NOT NULL,
  subject text NOT NULL,
  text text,
  at timestamptz NOT NULL DEFAULT now(),
  sent_at timestamptz,
  error text
);
ALTER TABLE sessions ADD agent text NOT NULL DEFAULT '', ADD seen_at timestamptz, ADD id bigserial;
`
export const down = `
ALTER TABLE sessions DROP id, DROP seen_at, DROP agent;
DROP TABLE letters, password_resets, invitations;
`
