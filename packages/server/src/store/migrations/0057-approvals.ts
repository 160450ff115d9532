/** Answers that wait for a lead's word, and what became of them. */
export const up = `
CREATE TABLE approvals (
  id int GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
  brand_id int NOT NULL REFERENCES brands ON DELETE CASCADE,
  thread_id bigint NOT NULL REFERENCES threads ON DELETE CASCADE,
  by_id int REFERENCES colleagues ON DELETE SET NULL,
  of_id int REFERENCES colleagues ON DELETE SET NULL,
  text text NOT NULL,
  private boolean NOT NULL DEFAULT false,
  finish boolean NOT NULL DEFAULT true,
  pattern_id int REFERENCES patterns ON DELETE SET NULL,
  sign_off_id int REFERENCES sign_offs ON DELETE SET NULL,
  comment text NOT NULL DEFAULT '',
  key uuid NOT NULL,
  asked_at timestamptz NOT NULL,
  state text NOT NULL DEFAULT 'asked' CHECK (state IN ('asked', 'approved', 'returned', 'takenBack')),
  decided_by int REFERENCES colleagues ON DELETE SET NULL,
  decided_at timestamptz,
  sent_text text,
  word text NOT NULL DEFAULT '',
  CONSTRAINT approvals_key UNIQUE (brand_id, key)
);
CREATE UNIQUE INDEX approvals_waiting ON approvals (thread_id) WHERE state = 'asked';
CREATE INDEX approvals_thread ON approvals (thread_id, asked_at);
CREATE INDEX approvals_brand ON approvals (brand_id) WHERE state = 'asked';
ALTER TABLE notices DROP CONSTRAINT notices_kind_check;
ALTER TABLE notices ADD CONSTRAINT notices_kind_check CHECK (kind IN ('mention', 'given', 'asked', 'approved', 'returned'));
`
export const down = `
DELETE FROM notices WHERE kind IN ('asked', 'approved', 'returned');
ALTER TABLE notices DROP CONSTRAINT notices_kind_check;
ALTER TABLE notices ADD CONSTRAINT notices_kind_check CHECK (kind IN ('mention', 'given'));
DROP TABLE approvals;
`
