/**
 * Items that could not be read or stored are set apart with their reason and can be tried again; nothing waits for them.
 * Dates that cannot be are taken away: such an entry counts from when it came in, and says so.
 */
export const up = `
CREATE TABLE items_apart (
  id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
  brand_id int NOT NULL REFERENCES brands ON DELETE CASCADE,
  profile_id int NOT NULL REFERENCES profiles ON DELETE CASCADE,
  outside_id text NOT NULL,
  stage text NOT NULL CHECK (stage IN ('read', 'store', 'analyse')),
  entry_id bigint REFERENCES entries ON DELETE CASCADE,
  -- As it came, where it came in a piece that can be read again.
  raw jsonb,
  reason text NOT NULL,
  at timestamptz NOT NULL DEFAULT now(),
  UNIQUE (profile_id, outside_id)
);
CREATE INDEX items_apart_entry ON items_apart (entry_id) WHERE entry_id IS NOT NULL;
ALTER TABLE entries ADD undated boolean NOT NULL DEFAULT false;
UPDATE mentions m SET at = p.connected_at FROM entries e JOIN profiles p ON p.id = e.profile_id
  WHERE e.id = m.entry_id AND (m.at < '1990-01-01' OR m.at > now() + interval '1 day');
UPDATE entries e SET at = p.connected_at, undated = true FROM profiles p
  WHERE p.id = e.profile_id AND (e.at < '1990-01-01' OR e.at > now() + interval '1 day');
-- What is no web address could be a script.
UPDATE entries SET url = NULL WHERE url !~* '^https?://';
UPDATE threads SET url = NULL WHERE url !~* '^https?://';
UPDATE accounts SET url = NULL WHERE url !~* '^https?://';
DELETE FROM rollups WHERE n = 0;
`
export const down = `
ALTER TABLE entries DROP undated;
DROP TABLE items_apart;
`
