/**
 * Everything we do outside: replies now, later hiding, reporting, mails, texts, posts, listings. What is aimed at is
 * fixed when it is decided. An answer that failed or was called back is marked on its entry: it answers nobody.
 */
export const up = `
CREATE TABLE outside_actions (
  id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
  brand_id int NOT NULL REFERENCES brands ON DELETE CASCADE,
  profile_id int NOT NULL REFERENCES profiles ON DELETE CASCADE,
  thread_id bigint REFERENCES threads ON DELETE CASCADE,
  -- Our own entry that shows it, where it has one.
  entry_id bigint REFERENCES entries ON DELETE SET NULL,
  kind text NOT NULL CHECK (kind IN ('reply', 'hide', 'remove', 'report', 'mail', 'text', 'post', 'listing')),
  -- Under which the network does it once.
  key uuid NOT NULL,
  -- Ids on the network, as they were when it was decided.
  target jsonb NOT NULL,
  payload jsonb NOT NULL,
  cause text NOT NULL CHECK (cause IN ('colleague', 'rule', 'ask', 'system')),
  colleague_id int REFERENCES colleagues ON DELETE SET NULL,
  state text NOT NULL DEFAULT 'waiting' CHECK (state IN ('waiting', 'sending', 'sent', 'failed', 'cancelled')),
  attempts int NOT NULL DEFAULT 0,
  -- A try ended without the network's word: it may have been done.
  uncertain boolean NOT NULL DEFAULT false,
  error text,
  outside_id text,
  created_at timestamptz NOT NULL DEFAULT now(),
  changed_at timestamptz NOT NULL DEFAULT now(),
  sent_at timestamptz,
  UNIQUE (brand_id, key)
);
ALTER TABLE entries ADD withdrawn boolean NOT NULL DEFAULT false;
INSERT INTO outside_actions (brand_id, profile_id, thread_id, entry_id, kind, key, target, payload, cause, colleague_id, state, attempts, uncertain, error, outside_id, created_at, changed_at, sent_at)
  SELECT o.brand_id, o.profile_id, o.thread_id, o.entry_id, 'reply', o.key,
    jsonb_build_object('threadId', t.outside_id, 'entryId', coalesce(l.outside_id, ''), 'kind', coalesce(l.kind, 'comment')),
    jsonb_build_object('text', o.text), CASE WHEN o.created_by IS NULL THEN 'system' ELSE 'colleague' END, o.created_by,
    CASE WHEN o.state = 'sending' THEN 'waiting' ELSE o.state END, o.attempts, o.attempts > 0 AND o.state IN ('waiting', 'sending', 'failed', 'cancelled'),
    o.error, e.outside_id, o.created_at, coalesce(o.sent_at, o.created_at), o.sent_at
  FROM outbox o JOIN threads t ON t.id = o.thread_id LEFT JOIN entries l ON l.id = t.lead_entry_id LEFT JOIN entries e ON e.id = o.entry_id ORDER BY o.id;
UPDATE entries e SET withdrawn = true FROM outside_actions a WHERE a.entry_id = e.id AND a.state IN ('failed', 'cancelled');
INSERT INTO due_work (kind, subject, owner) SELECT 'act', id::text, 'profile ' || profile_id FROM outside_actions WHERE state = 'waiting';
DROP TABLE outbox;
CREATE INDEX outside_actions_thread ON outside_actions (thread_id);
CREATE INDEX outside_actions_entry ON outside_actions (entry_id);
CREATE INDEX outside_actions_failed ON outside_actions (brand_id, changed_at) WHERE state = 'failed';
CREATE INDEX outside_actions_key ON outside_actions (key);
`
export const down = `
CREATE TABLE outbox (
  id bigserial PRIMARY KEY,
  brand_id int NOT NULL REFERENCES brands ON DELETE CASCADE,
  profile_id int NOT NULL REFERENCES profiles ON DELETE CASCADE,
  thread_id bigint NOT NULL REFERENCES threads ON DELETE CASCADE,
  entry_id bigint REFERENCES entries ON DELETE SET NULL,
  key uuid NOT NULL UNIQUE,
  text text NOT NULL,
  state text NOT NULL DEFAULT 'waiting' CHECK (state IN ('waiting', 'sending', 'sent', 'failed', 'cancelled')),
  attempts int NOT NULL DEFAULT 0,
  next_at timestamptz NOT NULL DEFAULT now(),
  error text,
  created_by int REFERENCES colleagues ON DELETE SET NULL,
  created_at timestamptz NOT NULL DEFAULT now(),
  sent_at timestamptz
);
INSERT INTO outbox (brand_id, profile_id, thread_id, entry_id, key, text, state, attempts, error, created_by, created_at, sent_at)
  SELECT brand_id, profile_id, thread_id, entry_id, key, payload->>'text', state, attempts, error, colleague_id, created_at, sent_at
  FROM outside_actions WHERE kind = 'reply' AND thread_id IS NOT NULL ORDER BY id ON CONFLICT DO NOTHING;
CREATE INDEX outbox_due ON outbox (next_at) WHERE state IN ('waiting', 'sending');
CREATE INDEX outbox_thread ON outbox (thread_id);
DELETE FROM due_work WHERE kind = 'act';
DROP TABLE outside_actions;
ALTER TABLE entries DROP withdrawn;
`
