/** What somebody asked for of their own data, and that it is not brought back. */
export const up = `
ALTER TABLE entries ADD erased boolean NOT NULL DEFAULT false;
ALTER TABLE people ADD erased_at timestamptz;
-- Of what was erased here; it is not taken in again, wherever it stands.
ALTER TABLE gone_items ADD erased boolean NOT NULL DEFAULT false;
CREATE TABLE data_requests (
  id serial PRIMARY KEY,
  brand_id int NOT NULL REFERENCES brands ON DELETE CASCADE,
  kind text NOT NULL CHECK (kind IN ('handOut', 'erase')),
  person_id bigint NOT NULL,
  -- Who asked for it, as the colleague wrote it down.
  asked_by text NOT NULL,
  colleague_id int REFERENCES colleagues ON DELETE SET NULL,
  at timestamptz NOT NULL DEFAULT now(),
  -- How much there was of each: no text.
  counts jsonb NOT NULL
);
CREATE INDEX data_requests_brand ON data_requests (brand_id, id);
-- By what somebody was known, under a key outside the database: what is told of them late is known again, and nothing else is.
CREATE TABLE erased_refs (
  brand_id int NOT NULL REFERENCES brands ON DELETE CASCADE,
  hash bytea NOT NULL,
  at timestamptz NOT NULL,
  PRIMARY KEY (brand_id, hash)
);
`
export const down = `
DROP TABLE erased_refs, data_requests;
ALTER TABLE gone_items DROP erased;
ALTER TABLE people DROP erased_at;
ALTER TABLE entries DROP erased;
`
