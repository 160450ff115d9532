/** What somebody is to do after a thread, by when and who; and leads, with what they are worth. */
export const up = `
CREATE TABLE follow_ups (
  id bigserial PRIMARY KEY,
  brand_id int NOT NULL REFERENCES brands ON DELETE CASCADE,
  thread_id bigint NOT NULL REFERENCES threads ON DELETE CASCADE,
  -- Whom it is about; they are asked by whom they are shown as.
  person_id bigint REFERENCES people ON DELETE SET NULL,
  kind text NOT NULL CHECK (kind IN ('followUp', 'lead')),
  what text NOT NULL,
  -- Of a lead: what it may bring, in the currency it was written in, and what comes next.
  worth numeric(12, 2) CHECK (worth >= 0),
  currency text CHECK (currency ~ '^[A-Z]{3}$'),
  next_step text NOT NULL DEFAULT '',
  due_at timestamptz NOT NULL,
  given_to int REFERENCES colleagues ON DELETE SET NULL,
  made_by int REFERENCES colleagues ON DELETE SET NULL,
  made_at timestamptz NOT NULL DEFAULT now(),
  done_at timestamptz,
  done_by int REFERENCES colleagues ON DELETE SET NULL,
  outcome text NOT NULL DEFAULT '',
  edition int NOT NULL DEFAULT 1,
  CHECK ((worth IS NULL) = (currency IS NULL))
);
CREATE INDEX follow_ups_due ON follow_ups (brand_id, due_at, id);
CREATE INDEX follow_ups_mine ON follow_ups (given_to, due_at) WHERE done_at IS NULL;
CREATE INDEX follow_ups_thread ON follow_ups (thread_id);
CREATE INDEX follow_ups_person ON follow_ups (person_id);
-- The secret address of a colleague's calendar of a brand; null: it is off.
ALTER TABLE memberships ADD calendar_token text UNIQUE;
`
export const down = `
ALTER TABLE memberships DROP calendar_token;
DROP TABLE follow_ups;
`
