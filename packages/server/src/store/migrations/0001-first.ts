/** Brands, their people and profiles, what came in and what goes out. */
export const up = `
CREATE TABLE brands (
  id serial PRIMARY KEY,
  name text NOT NULL,
  zone text NOT NULL,
  languages text[] NOT NULL DEFAULT '{en}',
  due_policy jsonb NOT NULL DEFAULT '{}',
  created_at timestamptz NOT NULL DEFAULT now()
);
CREATE TABLE places (
  id serial PRIMARY KEY,
  brand_id int NOT NULL REFERENCES brands ON DELETE CASCADE,
  name text NOT NULL,
  address text NOT NULL DEFAULT '',
  phone text NOT NULL DEFAULT '',
  week jsonb,
  closed_days jsonb NOT NULL DEFAULT '[]',
  UNIQUE (brand_id, name)
);
CREATE TABLE colleagues (
  id serial PRIMARY KEY,
  email text NOT NULL UNIQUE,
  name text NOT NULL,
  password_hash text NOT NULL,
  created_at timestamptz NOT NULL DEFAULT now()
);
CREATE TABLE memberships (
  colleague_id int NOT NULL REFERENCES colleagues ON DELETE CASCADE,
  brand_id int NOT NULL REFERENCES brands ON DELETE CASCADE,
  role text NOT NULL CHECK (role IN ('owner', 'lead', 'specialist', 'placeManager', 'reader')),
  -- Null: all of them.
  place_ids int[],
  profile_ids int[],
  PRIMARY KEY (colleague_id, brand_id)
);
CREATE TABLE sessions (
  token_hash bytea PRIMARY KEY,
  colleague_id int NOT NULL REFERENCES colleagues ON DELETE CASCADE,
  brand_id int NOT NULL REFERENCES brands ON DELETE CASCADE,
  created_at timestamptz NOT NULL DEFAULT now(),
  expires_at timestamptz NOT NULL
);
CREATE TABLE profiles (
  id serial PRIMARY KEY,
  brand_id int NOT NULL REFERENCES brands ON DELETE CASCADE,
  place_id int REFERENCES places ON DELETE SET NULL,
  channel text NOT NULL,
  network text NOT NULL,
  outside_id text NOT NULL,
  name text NOT NULL,
  url text,
  status text NOT NULL CHECK (status IN ('collecting', 'connected', 'expired', 'disconnected', 'failing')),
  key_sealed bytea,
  cursor text,
  hook_token text NOT NULL UNIQUE,
  hook_secret_sealed bytea,
  history_done int NOT NULL DEFAULT 0,
  history_total int,
  error text,
  connected_at timestamptz NOT NULL DEFAULT now(),
  collected_at timestamptz,
  UNIQUE (brand_id, network, outside_id)
);
CREATE TABLE oauth_flows (
  state text PRIMARY KEY,
  brand_id int NOT NULL REFERENCES brands ON DELETE CASCADE,
  colleague_id int NOT NULL REFERENCES colleagues ON DELETE CASCADE,
  network text NOT NULL,
  verifier text NOT NULL,
  created_at timestamptz NOT NULL DEFAULT now()
);
CREATE TABLE raw_items (
  profile_id int NOT NULL REFERENCES profiles ON DELETE CASCADE,
  outside_id text NOT NULL,
  payload jsonb NOT NULL,
  received_at timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (profile_id, outside_id)
);
CREATE TABLE deliveries (
  profile_id int NOT NULL REFERENCES profiles ON DELETE CASCADE,
  delivery_id text NOT NULL,
  received_at timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (profile_id, delivery_id)
);
CREATE TABLE accounts (
  id bigserial PRIMARY KEY,
  brand_id int NOT NULL REFERENCES brands ON DELETE CASCADE,
  network text NOT NULL,
  outside_id text NOT NULL,
  name text NOT NULL,
  handle text,
  url text,
  UNIQUE (brand_id, network, outside_id)
);
CREATE TABLE threads (
  id bigserial PRIMARY KEY,
  brand_id int NOT NULL REFERENCES brands ON DELETE CASCADE,
  profile_id int NOT NULL REFERENCES profiles ON DELETE CASCADE,
  place_id int REFERENCES places ON DELETE SET NULL,
  outside_id text NOT NULL,
  title text,
  url text,
  state text NOT NULL DEFAULT 'open' CHECK (state IN ('open', 'waiting', 'aside', 'done')),
  set_aside_until timestamptz,
  given_to int REFERENCES colleagues ON DELETE SET NULL,
  priority int NOT NULL DEFAULT 0,
  lead_entry_id bigint,
  due_at timestamptz,
  pressing_at timestamptz,
  last_at timestamptz NOT NULL,
  version int NOT NULL DEFAULT 1,
  UNIQUE (profile_id, outside_id)
);
CREATE TABLE entries (
  id bigserial PRIMARY KEY,
  brand_id int NOT NULL,
  profile_id int NOT NULL REFERENCES profiles ON DELETE CASCADE,
  thread_id bigint NOT NULL REFERENCES threads ON DELETE CASCADE,
  account_id bigint REFERENCES accounts ON DELETE SET NULL,
  place_id int,
  -- Null while our own entry has not reached the network.
  outside_id text,
  direction text NOT NULL CHECK (direction IN ('in', 'out')),
  kind text NOT NULL CHECK (kind IN ('review', 'comment', 'message', 'question', 'mention')),
  channel text NOT NULL,
  title text,
  text text NOT NULL,
  rating real CHECK (rating BETWEEN 1 AND 5),
  at timestamptz NOT NULL,
  url text,
  reach int NOT NULL DEFAULT 0,
  private boolean NOT NULL DEFAULT false,
  paid boolean NOT NULL DEFAULT false,
  lead boolean NOT NULL DEFAULT false,
  language text,
  sentiment text NOT NULL DEFAULT 'unread' CHECK (sentiment IN ('positive', 'neutral', 'negative', 'unread')),
  score real NOT NULL DEFAULT 0,
  confidence real NOT NULL DEFAULT 0,
  spans jsonb NOT NULL DEFAULT '[]',
  corrected_by int REFERENCES colleagues ON DELETE SET NULL,
  search tsvector,
  analysed_at timestamptz,
  UNIQUE (profile_id, outside_id)
);
CREATE TABLE watches (
  id serial PRIMARY KEY,
  brand_id int NOT NULL REFERENCES brands ON DELETE CASCADE,
  name text NOT NULL,
  query jsonb NOT NULL,
  version int NOT NULL DEFAULT 1,
  history_done int NOT NULL DEFAULT 0,
  history_total int NOT NULL DEFAULT 0,
  deleted_at timestamptz,
  created_by int REFERENCES colleagues ON DELETE SET NULL,
  updated_at timestamptz NOT NULL DEFAULT now()
);
CREATE TABLE mentions (
  watch_id int NOT NULL REFERENCES watches ON DELETE CASCADE,
  entry_id bigint NOT NULL REFERENCES entries ON DELETE CASCADE,
  at timestamptz NOT NULL,
  spans jsonb NOT NULL,
  PRIMARY KEY (watch_id, entry_id)
);
CREATE TABLE thread_events (
  id bigserial PRIMARY KEY,
  thread_id bigint NOT NULL REFERENCES threads ON DELETE CASCADE,
  colleague_id int REFERENCES colleagues ON DELETE SET NULL,
  kind text NOT NULL,
  detail jsonb NOT NULL DEFAULT '{}',
  before jsonb NOT NULL DEFAULT '{}',
  version int NOT NULL,
  at timestamptz NOT NULL DEFAULT now(),
  undone_at timestamptz
);
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
CREATE TABLE audit (
  id bigserial PRIMARY KEY,
  brand_id int REFERENCES brands ON DELETE CASCADE,
  colleague_id int REFERENCES colleagues ON DELETE SET NULL,
  action text NOT NULL,
  subject text NOT NULL,
  detail jsonb NOT NULL DEFAULT '{}',
  at timestamptz NOT NULL DEFAULT now()
);
CREATE TABLE rollups (
  brand_id int NOT NULL,
  hour timestamptz NOT NULL,
  profile_id int NOT NULL,
  kind text NOT NULL,
  sentiment text NOT NULL,
  n int NOT NULL,
  PRIMARY KEY (brand_id, hour, profile_id, kind, sentiment)
);
CREATE INDEX threads_pressing ON threads (brand_id, state, pressing_at, lead_entry_id);
CREATE INDEX threads_lead ON threads (lead_entry_id);
CREATE INDEX threads_aside ON threads (set_aside_until) WHERE state = 'aside';
CREATE INDEX entries_time ON entries (brand_id, at DESC, id DESC) WHERE direction = 'in';
CREATE INDEX entries_lead_time ON entries (brand_id, at DESC, id DESC) WHERE direction = 'in' AND lead;
CREATE INDEX entries_thread ON entries (thread_id, at, id);
CREATE INDEX entries_account ON entries (account_id, at DESC) WHERE direction = 'in';
CREATE INDEX entries_unanalysed ON entries (id) WHERE analysed_at IS NULL;
CREATE INDEX entries_search ON entries USING gin (search) WHERE direction = 'in';
CREATE INDEX mentions_time ON mentions (watch_id, at DESC, entry_id DESC);
CREATE INDEX mentions_entry ON mentions (entry_id);
CREATE INDEX thread_events_thread ON thread_events (thread_id, id);
CREATE INDEX outbox_due ON outbox (next_at) WHERE state IN ('waiting', 'sending');
CREATE INDEX outbox_thread ON outbox (thread_id);
CREATE INDEX audit_brand ON audit (brand_id, id);
`

export const down = `
DROP TABLE rollups, audit, outbox, thread_events, mentions, watches, entries, threads, accounts, deliveries, raw_items,
  oauth_flows, profiles, sessions, memberships, colleagues, places, brands CASCADE;
`
