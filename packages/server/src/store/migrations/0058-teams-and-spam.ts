/** A thread may be a team's; what was put aside as spam, why, and what people said of it. */
export const up = `
ALTER TABLE threads
  ADD team_id int REFERENCES teams ON DELETE SET NULL,
  ADD spam_at timestamptz,
  ADD spam_why text CHECK (spam_why IN ('person', 'sender', 'words')),
  -- The thread that taught it.
  ADD spam_like bigint REFERENCES threads ON DELETE SET NULL,
  ADD CHECK ((spam_at IS NULL) = (spam_why IS NULL));
CREATE INDEX threads_team ON threads (team_id) WHERE team_id IS NOT NULL;
CREATE INDEX threads_spam ON threads (brand_id, spam_at) WHERE spam_at IS NOT NULL;
CREATE INDEX threads_spam_like ON threads (spam_like) WHERE spam_like IS NOT NULL;
-- What a person said of a thread: spam, or none.
CREATE TABLE spam_marks (
  thread_id bigint PRIMARY KEY REFERENCES threads ON DELETE CASCADE,
  brand_id int NOT NULL REFERENCES brands ON DELETE CASCADE,
  -- What it was said of: whoever wrote it, and its words.
  entry_id bigint REFERENCES entries ON DELETE SET NULL,
  -- Fingerprint of the words; null where they are few, or were erased.
  print bigint,
  spam boolean NOT NULL,
  by_id int REFERENCES colleagues ON DELETE SET NULL,
  at timestamptz NOT NULL DEFAULT now()
);
CREATE INDEX spam_marks_entry ON spam_marks (entry_id);
CREATE INDEX spam_marks_brand ON spam_marks (brand_id, at DESC);
`
export const down = `
DROP TABLE spam_marks;
ALTER TABLE threads DROP COLUMN team_id, DROP COLUMN spam_at, DROP COLUMN spam_why, DROP COLUMN spam_like;
`
