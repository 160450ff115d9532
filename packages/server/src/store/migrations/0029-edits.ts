/** What people change and take away after they said it. */
export const up = `
ALTER TABLE entries ADD edited_at timestamptz, ADD deleted_at timestamptz,
  -- When it was last changed so much that it is said anew.
  ADD said_anew_at timestamptz;
ALTER TABLE threads ADD lead_said_anew_at timestamptz;
-- What stood before a change, until when.
CREATE TABLE entry_edits (
  id bigserial PRIMARY KEY,
  entry_id bigint NOT NULL REFERENCES entries ON DELETE CASCADE,
  title text,
  text text NOT NULL,
  rating real,
  until timestamptz NOT NULL
);
CREATE INDEX entry_edits_entry ON entry_edits (entry_id, until);
-- What was taken away, also before it came.
CREATE TABLE gone_items (
  profile_id int NOT NULL REFERENCES profiles ON DELETE CASCADE,
  outside_id text NOT NULL,
  at timestamptz NOT NULL,
  PRIMARY KEY (profile_id, outside_id)
);
`
export const down = `
DROP TABLE gone_items, entry_edits;
ALTER TABLE threads DROP lead_said_anew_at;
ALTER TABLE entries DROP said_anew_at, DROP deleted_at, DROP edited_at;
`
