/** Chats on the brand's own sites, and conversations that go on by another profile. */
export const up = `
CREATE TABLE chat_sites (
  profile_id int PRIMARY KEY REFERENCES profiles ON DELETE CASCADE,
  origins text[] NOT NULL,
  answer_within int NOT NULL,
  mail_profile_id int REFERENCES profiles ON DELETE SET NULL,
  greeting text NOT NULL DEFAULT ''
);
CREATE TABLE chat_visits (
  id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
  profile_id int NOT NULL REFERENCES chat_sites ON DELETE CASCADE,
  -- Of a secret that only the visitor's browser has.
  token_hash bytea NOT NULL,
  -- Of the network address it began from, for limits alone.
  address_hash bytea NOT NULL,
  name text,
  email text,
  language text,
  page_url text,
  page_title text,
  began_at timestamptz NOT NULL,
  present_until timestamptz NOT NULL,
  -- Lines since the minute and the day began that are counted now.
  minute_at timestamptz NOT NULL,
  minute_lines int NOT NULL DEFAULT 0,
  day_at timestamptz NOT NULL,
  day_lines int NOT NULL DEFAULT 0,
  UNIQUE (profile_id, token_hash)
);
CREATE INDEX chat_visits_address ON chat_visits (profile_id, address_hash, began_at);
-- A thread that is answered by another profile, unless the customer is still where it began.
CREATE TABLE handoffs (
  thread_id bigint PRIMARY KEY REFERENCES threads ON DELETE CASCADE,
  profile_id int NOT NULL REFERENCES profiles ON DELETE CASCADE,
  address text NOT NULL,
  name text NOT NULL,
  subject text NOT NULL,
  present_until timestamptz NOT NULL
);
ALTER TABLE imports DROP CONSTRAINT imports_kind_check, ADD CHECK (kind IN ('reviews', 'feed', 'mail', 'chat'));
`
export const down = `
DELETE FROM imports WHERE kind = 'chat';
ALTER TABLE imports DROP CONSTRAINT imports_kind_check, ADD CHECK (kind IN ('reviews', 'feed', 'mail'));
DROP TABLE handoffs, chat_visits, chat_sites;
`
