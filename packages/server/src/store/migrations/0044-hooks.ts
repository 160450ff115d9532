/** Other programs hear what happens here: by signed messages, each of which is kept until it is old. */
export const up = `
CREATE TABLE event_hooks (
  id serial PRIMARY KEY,
  brand_id int NOT NULL REFERENCES brands ON DELETE CASCADE,
  name text NOT NULL,
  target text NOT NULL,
  secret_sealed bytea NOT NULL,
  -- What it hears of.
  events text[] NOT NULL,
  active boolean NOT NULL DEFAULT true,
  made_by int REFERENCES colleagues ON DELETE SET NULL,
  made_at timestamptz NOT NULL DEFAULT now(),
  -- Since when nothing has arrived; null: the last message has.
  failing_since timestamptz
);
CREATE INDEX event_hooks_brand ON event_hooks (brand_id);
CREATE TABLE hook_deliveries (
  id bigserial PRIMARY KEY,
  hook_id int NOT NULL REFERENCES event_hooks ON DELETE CASCADE,
  event text NOT NULL,
  subject_id bigint,
  thread_id bigint,
  colleague_id int,
  detail jsonb NOT NULL DEFAULT '{}',
  at timestamptz NOT NULL DEFAULT now(),
  -- As it was sent first: what is sent again says the same.
  body text,
  state text NOT NULL DEFAULT 'waiting' CHECK (state IN ('waiting', 'sent', 'failed')),
  attempts int NOT NULL DEFAULT 0,
  error text,
  sent_at timestamptz
);
CREATE INDEX hook_deliveries_hook ON hook_deliveries (hook_id, id DESC);
CREATE INDEX hook_deliveries_at ON hook_deliveries (at);
`
export const down = `
DROP TABLE hook_deliveries, event_hooks;
`
