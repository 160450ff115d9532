/** Keys of programs that act for a colleague, and doors through which customers come in. */
export const up = `
CREATE TABLE access_keys (
  id serial PRIMARY KEY,
  brand_id int NOT NULL REFERENCES brands ON DELETE CASCADE,
  colleague_id int NOT NULL REFERENCES colleagues ON DELETE CASCADE,
  name text NOT NULL,
  token_hash bytea NOT NULL UNIQUE,
  -- The last letters, by which somebody knows it again.
  ending text NOT NULL,
  rights text[] NOT NULL,
  made_at timestamptz NOT NULL DEFAULT now(),
  ends_at timestamptz NOT NULL,
  used_at timestamptz
);
CREATE INDEX access_keys_colleague ON access_keys (colleague_id, brand_id);
CREATE TABLE customer_doors (
  id serial PRIMARY KEY,
  brand_id int NOT NULL REFERENCES brands ON DELETE CASCADE,
  name text NOT NULL,
  token text NOT NULL UNIQUE,
  secret_sealed bytea NOT NULL,
  made_by int REFERENCES colleagues ON DELETE SET NULL,
  made_at timestamptz NOT NULL DEFAULT now(),
  last_at timestamptz,
  taken int NOT NULL DEFAULT 0,
  refused int NOT NULL DEFAULT 0,
  -- What was wrong with the last message, if something was.
  problem text
);
CREATE INDEX customer_doors_brand ON customer_doors (brand_id);
`
export const down = `
DROP TABLE customer_doors, access_keys;
`
