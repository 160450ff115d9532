/** Groups of watches, nested as folders; watches that are paused; what a person marked as on or off topic. */
export const up = `
CREATE TABLE watch_groups (
  id serial PRIMARY KEY,
  brand_id int NOT NULL REFERENCES brands ON DELETE CASCADE,
  parent_id int REFERENCES watch_groups ON DELETE CASCADE,
  name text NOT NULL,
  kind text NOT NULL CHECK (kind IN ('brand', 'people', 'places', 'products', 'rivals', 'trade', 'links', 'other')),
  CHECK (parent_id <> id)
);
CREATE UNIQUE INDEX watch_groups_name ON watch_groups (brand_id, coalesce(parent_id, 0), lower(name));
ALTER TABLE watches
  ADD group_id int REFERENCES watch_groups ON DELETE SET NULL,
  ADD paused_at timestamptz,
  ADD feed_token text UNIQUE;
CREATE TABLE marks (
  watch_id int NOT NULL REFERENCES watches ON DELETE CASCADE,
  entry_id bigint NOT NULL REFERENCES entries ON DELETE CASCADE,
  on_topic boolean NOT NULL,
  colleague_id int REFERENCES colleagues ON DELETE SET NULL,
  at timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (watch_id, entry_id)
);
CREATE INDEX marks_entry ON marks (entry_id);
`
export const down = `
DROP TABLE marks;
ALTER TABLE watches DROP group_id, DROP paused_at, DROP feed_token;
DROP TABLE watch_groups;
`
