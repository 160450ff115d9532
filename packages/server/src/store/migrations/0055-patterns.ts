/** What replies begin and end with, and when they go out. */
export const up = `
CREATE TABLE patterns (
  id int GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
  brand_id int NOT NULL REFERENCES brands ON DELETE CASCADE,
  name text NOT NULL,
  name_key text NOT NULL,
  folder text NOT NULL DEFAULT '',
  made_by int REFERENCES colleagues ON DELETE SET NULL,
  changed_at timestamptz NOT NULL DEFAULT now(),
  edition int NOT NULL DEFAULT 1,
  CONSTRAINT patterns_name UNIQUE (brand_id, name_key)
);
CREATE TABLE pattern_texts (
  pattern_id int NOT NULL REFERENCES patterns ON DELETE CASCADE,
  language text NOT NULL,
  text text NOT NULL,
  PRIMARY KEY (pattern_id, language)
);
CREATE TABLE sign_offs (
  id int GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
  brand_id int NOT NULL REFERENCES brands ON DELETE CASCADE,
  colleague_id int REFERENCES colleagues ON DELETE CASCADE,
  text text NOT NULL,
  edition int NOT NULL DEFAULT 1
);
CREATE INDEX sign_offs_brand ON sign_offs (brand_id);
ALTER TABLE memberships ADD sign_off_id int REFERENCES sign_offs ON DELETE SET NULL;
ALTER TABLE outside_actions
  ADD pattern_id int REFERENCES patterns ON DELETE SET NULL,
  ADD send_at timestamptz;
CREATE INDEX outside_actions_pattern ON outside_actions (pattern_id, sent_at) WHERE pattern_id IS NOT NULL;
`
export const down = `
ALTER TABLE outside_actions DROP pattern_id, DROP send_at;
ALTER TABLE memberships DROP sign_off_id;
DROP TABLE sign_offs;
DROP TABLE pattern_texts;
DROP TABLE patterns;
`
