/** Mail, and files that came with an entry or go with an answer. */
export const up = `
CREATE TABLE mails (
  entry_id bigint PRIMARY KEY REFERENCES entries ON DELETE CASCADE,
  profile_id int NOT NULL REFERENCES profiles ON DELETE CASCADE,
  message_id text,
  -- From, to, cc: names and addresses.
  envelope jsonb NOT NULL,
  folded text NOT NULL,
  html text,
  automatic text CHECK (automatic IN ('reply', 'failure', 'bulk')),
  doubt text CHECK (doubt IN ('own', 'unproven')),
  files_left_out int NOT NULL DEFAULT 0,
  -- What the connector needs to answer it.
  answer_to jsonb
);
CREATE INDEX mails_message ON mails (profile_id, message_id);
CREATE TABLE attachments (
  id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
  brand_id int NOT NULL REFERENCES brands ON DELETE CASCADE,
  -- Null until the answer it was put beside is written.
  entry_id bigint REFERENCES entries ON DELETE CASCADE,
  colleague_id int REFERENCES colleagues ON DELETE SET NULL,
  position int NOT NULL DEFAULT 0,
  name text NOT NULL,
  type text NOT NULL,
  bytes int NOT NULL,
  -- Keys of the file store.
  file text NOT NULL,
  preview text,
  width int,
  height int,
  cid text,
  at timestamptz NOT NULL DEFAULT now()
);
CREATE INDEX attachments_entry ON attachments (entry_id, position);
CREATE INDEX attachments_file ON attachments (file);
CREATE INDEX attachments_preview ON attachments (preview) WHERE preview IS NOT NULL;
CREATE INDEX attachments_waiting ON attachments (at) WHERE entry_id IS NULL;
ALTER TABLE imports DROP CONSTRAINT imports_kind_check, ADD CHECK (kind IN ('reviews', 'feed', 'mail'));
`
export const down = `
DELETE FROM imports WHERE kind = 'mail';
ALTER TABLE imports DROP CONSTRAINT imports_kind_check, ADD CHECK (kind IN ('reviews', 'feed'));
DROP TABLE attachments, mails;
`
