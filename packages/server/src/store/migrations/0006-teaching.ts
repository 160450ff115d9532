/** What a brand teaches: its own words, its aspects, each person's corrections, and what was learnt from them. */
export const up = `
CREATE TABLE brand_words (
  id serial PRIMARY KEY,
  brand_id int NOT NULL REFERENCES brands ON DELETE CASCADE,
  term text NOT NULL,
  valence real NOT NULL CHECK (valence BETWEEN -4 AND 4),
  colleague_id int REFERENCES colleagues ON DELETE SET NULL,
  at timestamptz NOT NULL DEFAULT now()
);
CREATE UNIQUE INDEX brand_words_term ON brand_words (brand_id, lower(term));
CREATE TABLE aspects (
  id serial PRIMARY KEY,
  brand_id int NOT NULL REFERENCES brands ON DELETE CASCADE,
  name text NOT NULL,
  terms jsonb NOT NULL DEFAULT '[]'
);
CREATE UNIQUE INDEX aspects_name ON aspects (brand_id, lower(name));
CREATE TABLE aspect_readings (
  aspect_id int NOT NULL REFERENCES aspects ON DELETE CASCADE,
  entry_id bigint NOT NULL REFERENCES entries ON DELETE CASCADE,
  felt text NOT NULL CHECK (felt IN ('positive', 'neutral', 'negative', 'unread')),
  PRIMARY KEY (aspect_id, entry_id)
);
CREATE INDEX aspect_readings_entry ON aspect_readings (entry_id);
CREATE TABLE corrections (
  entry_id bigint NOT NULL REFERENCES entries ON DELETE CASCADE,
  colleague_id int NOT NULL REFERENCES colleagues ON DELETE CASCADE,
  label text NOT NULL CHECK (label IN ('positive', 'neutral', 'negative')),
  at timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (entry_id, colleague_id)
);
INSERT INTO corrections (entry_id, colleague_id, label) SELECT id, corrected_by, sentiment FROM entries WHERE corrected_by IS NOT NULL AND sentiment <> 'unread';
CREATE TABLE teaching (
  brand_id int PRIMARY KEY REFERENCES brands ON DELETE CASCADE,
  -- What the history is to be read with; a run that meets a newer number ends.
  version int NOT NULL DEFAULT 1,
  history_done int NOT NULL DEFAULT 0,
  history_total int NOT NULL DEFAULT 0,
  -- A person's wish; what was learnt is used when it is wanted and measured better.
  wanted boolean NOT NULL DEFAULT true,
  model jsonb,
  figures jsonb,
  corrections_seen int NOT NULL DEFAULT 0,
  learnt_at timestamptz
);
INSERT INTO teaching (brand_id) SELECT id FROM brands;
`
export const down = `DROP TABLE teaching, corrections, aspect_readings, aspects, brand_words;`
