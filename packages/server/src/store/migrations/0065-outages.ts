/**
 * Times in which an account was not collected and what was written meanwhile did not come in afterwards: no entries then are not
 * nothing said. What came in later leaves none.
 */
export const up = `
CREATE TABLE outages (
  id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
  profile_id int NOT NULL REFERENCES profiles ON DELETE CASCADE,
  -- When it was last collected in full.
  from_at timestamptz NOT NULL,
  -- Null: it goes on.
  to_at timestamptz
);
CREATE UNIQUE INDEX outages_open ON outages (profile_id) WHERE to_at IS NULL;
CREATE INDEX outages_profile ON outages (profile_id, from_at);
INSERT INTO outages (profile_id, from_at)
SELECT id, coalesce(collected_at, connected_at) FROM profiles WHERE status IN ('failing', 'expired');
`
export const down = `DROP TABLE outages;`
