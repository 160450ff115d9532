/** What each writer of stories has placed lately, so that another process adds that to what it knows and loads nothing anew. */
export const up = `
CREATE TABLE story_changes (
  brand_id int NOT NULL REFERENCES brands ON DELETE CASCADE,
  version int NOT NULL,
  at timestamptz[] NOT NULL,
  prints bigint[] NOT NULL,
  stories bigint[] NOT NULL,
  PRIMARY KEY (brand_id, version)
);
`
export const down = `DROP TABLE story_changes;`
