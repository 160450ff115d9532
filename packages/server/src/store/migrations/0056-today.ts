/** What somebody has looked at, their own list, and when the day's news comes to them by mail. */
export const up = `
ALTER TABLE memberships ADD looks_since timestamptz, ADD looked_at timestamptz;
CREATE TABLE own_lines (
  id int GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
  brand_id int NOT NULL REFERENCES brands ON DELETE CASCADE,
  colleague_id int NOT NULL REFERENCES colleagues ON DELETE CASCADE,
  text text NOT NULL,
  done_at timestamptz
);
CREATE INDEX own_lines_whose ON own_lines (colleague_id, brand_id);
CREATE TABLE morning_mails (
  id int GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
  brand_id int NOT NULL,
  colleague_id int NOT NULL,
  at text NOT NULL CHECK (at ~ '^[0-2][0-9]:[0-5][0-9]$'),
  UNIQUE (colleague_id, brand_id),
  FOREIGN KEY (colleague_id, brand_id) REFERENCES memberships (colleague_id, brand_id) ON DELETE CASCADE
);
`
export const down = `
DROP TABLE morning_mails;
DROP TABLE own_lines;
ALTER TABLE memberships DROP looks_since, DROP looked_at;
`
