/** Lenses over threads that people keep, for themselves or for the team, each in their own order. */
export const up = `
CREATE TABLE kept_lenses (
  id serial PRIMARY KEY,
  brand_id int NOT NULL REFERENCES brands ON DELETE CASCADE,
  -- Whose it is; null: the team's.
  colleague_id int REFERENCES colleagues ON DELETE CASCADE,
  name text NOT NULL,
  -- As its address writes it, on top of a lens that asks for nothing.
  lens text NOT NULL,
  edition int NOT NULL DEFAULT 1,
  made_by int REFERENCES colleagues ON DELETE SET NULL,
  made_at timestamptz NOT NULL DEFAULT now()
);
CREATE INDEX kept_lenses_whose ON kept_lenses (brand_id, colleague_id);
CREATE TABLE kept_lens_order (
  colleague_id int NOT NULL REFERENCES colleagues ON DELETE CASCADE,
  lens_id int NOT NULL REFERENCES kept_lenses ON DELETE CASCADE,
  position int NOT NULL,
  PRIMARY KEY (colleague_id, lens_id)
);
`
export const down = `
DROP TABLE kept_lens_order;
DROP TABLE kept_lenses;
`
