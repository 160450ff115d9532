/** What people put on threads and entries to find them again. */
export const up = `
CREATE TABLE tags (
  id int GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
  brand_id int NOT NULL REFERENCES brands ON DELETE CASCADE,
  name text NOT NULL CHECK (name <> '')
);
CREATE UNIQUE INDEX tags_name ON tags (brand_id, lower(name));
CREATE TABLE thread_tags (
  thread_id bigint NOT NULL REFERENCES threads ON DELETE CASCADE,
  tag_id int NOT NULL REFERENCES tags ON DELETE CASCADE,
  colleague_id int REFERENCES colleagues ON DELETE SET NULL,
  at timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (thread_id, tag_id)
);
CREATE INDEX thread_tags_tag ON thread_tags (tag_id, thread_id);
CREATE TABLE kept_entries (
  entry_id bigint PRIMARY KEY REFERENCES entries ON DELETE CASCADE,
  colleague_id int REFERENCES colleagues ON DELETE SET NULL,
  at timestamptz NOT NULL DEFAULT now()
);
`
export const down = `
DROP TABLE kept_entries;
DROP TABLE thread_tags;
DROP TABLE tags;
`
