/** What colleagues do beside each other: who is where, answers that are being written, notes, and what is told to somebody. */
export const up = `
-- Who has a page open, and where they are; rows that were not renewed are over. Nothing is lost with it.
CREATE UNLOGGED TABLE presence (
  tab uuid PRIMARY KEY,
  brand_id int NOT NULL REFERENCES brands ON DELETE CASCADE,
  colleague_id int NOT NULL REFERENCES colleagues ON DELETE CASCADE,
  thread_id bigint REFERENCES threads ON DELETE SET NULL,
  writing boolean NOT NULL DEFAULT false,
  at timestamptz NOT NULL
);
CREATE INDEX presence_brand ON presence (brand_id, at);

CREATE TABLE drafts (
  thread_id bigint NOT NULL REFERENCES threads ON DELETE CASCADE,
  colleague_id int NOT NULL REFERENCES colleagues ON DELETE CASCADE,
  text text NOT NULL,
  private boolean NOT NULL DEFAULT false,
  -- The thread's as its writer saw it when they began.
  edition int NOT NULL,
  at timestamptz NOT NULL,
  PRIMARY KEY (thread_id, colleague_id)
);
CREATE INDEX drafts_whose ON drafts (colleague_id, at);

CREATE TABLE notes (
  id bigserial PRIMARY KEY,
  thread_id bigint NOT NULL REFERENCES threads ON DELETE CASCADE,
  colleague_id int REFERENCES colleagues ON DELETE SET NULL,
  text text NOT NULL,
  edition int NOT NULL DEFAULT 1,
  at timestamptz NOT NULL,
  edited_at timestamptz,
  removed_at timestamptz
);
CREATE INDEX notes_thread ON notes (thread_id, at);
CREATE TABLE note_mentions (
  note_id bigint NOT NULL REFERENCES notes ON DELETE CASCADE,
  colleague_id int NOT NULL REFERENCES colleagues ON DELETE CASCADE,
  PRIMARY KEY (note_id, colleague_id)
);
CREATE INDEX note_mentions_whom ON note_mentions (colleague_id);

CREATE TABLE notices (
  id bigserial PRIMARY KEY,
  brand_id int NOT NULL REFERENCES brands ON DELETE CASCADE,
  colleague_id int NOT NULL REFERENCES colleagues ON DELETE CASCADE,
  kind text NOT NULL CHECK (kind IN ('mention', 'given')),
  thread_id bigint NOT NULL REFERENCES threads ON DELETE CASCADE,
  note_id bigint REFERENCES notes ON DELETE CASCADE,
  by_id int REFERENCES colleagues ON DELETE SET NULL,
  at timestamptz NOT NULL,
  seen_at timestamptz
);
CREATE INDEX notices_whose ON notices (colleague_id, brand_id, id DESC);
CREATE INDEX notices_thread ON notices (thread_id);
-- Nothing is told twice over.
CREATE UNIQUE INDEX notices_once ON notices (colleague_id, kind, thread_id, coalesce(note_id, 0)) WHERE seen_at IS NULL;
`
export const down = `
DROP TABLE notices;
DROP TABLE note_mentions;
DROP TABLE notes;
DROP TABLE drafts;
DROP TABLE presence;
`
