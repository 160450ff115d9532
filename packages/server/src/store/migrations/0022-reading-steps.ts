/** With which version of each step a brand's history has been read. */
export const up = `
CREATE TABLE reading_steps (
  brand_id int NOT NULL REFERENCES brands ON DELETE CASCADE,
  step text NOT NULL,
  version int NOT NULL,
  PRIMARY KEY (brand_id, step)
);
INSERT INTO reading_steps (brand_id, step, version)
SELECT b.id, s.step, 1 FROM brands b CROSS JOIN unnest(ARRAY['language', 'words', 'sentiment', 'stories', 'watches']) AS s (step);
`
export const down = `DROP TABLE reading_steps;`
