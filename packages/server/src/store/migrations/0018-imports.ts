/** Files that are brought in: kept until they are in, so that the work can be taken up again, with its progress and result. */
export const up = `
CREATE TABLE imports (
  id int GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
  brand_id int NOT NULL REFERENCES brands ON DELETE CASCADE,
  colleague_id int REFERENCES colleagues ON DELETE SET NULL,
  kind text NOT NULL CHECK (kind IN ('reviews', 'feed')),
  name text NOT NULL,
  -- Null when it has been taken in.
  document text,
  state text NOT NULL DEFAULT 'draft' CHECK (state IN ('draft', 'running', 'done', 'failed')),
  settings jsonb NOT NULL DEFAULT '{}',
  done int NOT NULL DEFAULT 0,
  total int,
  added int NOT NULL DEFAULT 0,
  known int NOT NULL DEFAULT 0,
  refused int NOT NULL DEFAULT 0,
  problems jsonb NOT NULL DEFAULT '[]',
  error text,
  created_at timestamptz NOT NULL DEFAULT now(),
  changed_at timestamptz NOT NULL DEFAULT now()
);
CREATE INDEX imports_brand ON imports (brand_id, id);
`
export const down = `DELETE FROM due_work WHERE kind = 'import'; DROP TABLE imports;`
