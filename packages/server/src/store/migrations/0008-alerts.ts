/** Alerts, what they told, and each way it went out. */
export const up = `
CREATE TABLE alerts (
  id serial PRIMARY KEY,
  brand_id int NOT NULL REFERENCES brands ON DELETE CASCADE,
  name text NOT NULL,
  -- The lens as its address writes it.
  lens text NOT NULL,
  condition jsonb NOT NULL,
  quiet_minutes int NOT NULL,
  in_app boolean NOT NULL DEFAULT true,
  emails text[] NOT NULL DEFAULT '{}',
  webhook text,
  webhook_secret_sealed bytea,
  feed_token text NOT NULL UNIQUE,
  active boolean NOT NULL DEFAULT true,
  open boolean NOT NULL DEFAULT false,
  told_at timestamptz,
  checked_at timestamptz,
  created_by int REFERENCES colleagues ON DELETE SET NULL,
  created_at timestamptz NOT NULL DEFAULT now(),
  deleted_at timestamptz
);
CREATE INDEX alerts_active ON alerts (checked_at) WHERE active AND deleted_at IS NULL;
CREATE TABLE alert_events (
  id bigserial PRIMARY KEY,
  alert_id int NOT NULL REFERENCES alerts ON DELETE CASCADE,
  brand_id int NOT NULL,
  kind text NOT NULL CHECK (kind IN ('begin', 'end')),
  at timestamptz NOT NULL,
  detail jsonb NOT NULL DEFAULT '{}'
);
CREATE INDEX alert_events_alert ON alert_events (alert_id, id DESC);
CREATE INDEX alert_events_brand ON alert_events (brand_id, id DESC);
-- Single entries an alert has told of, so that none is told twice.
CREATE TABLE alert_told (
  alert_id int NOT NULL REFERENCES alerts ON DELETE CASCADE,
  entry_id bigint NOT NULL REFERENCES entries ON DELETE CASCADE,
  at timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (alert_id, entry_id)
);
CREATE INDEX alert_told_at ON alert_told (at);
CREATE INDEX alert_told_entry ON alert_told (entry_id);
CREATE TABLE alert_deliveries (
  id bigserial PRIMARY KEY,
  event_id bigint NOT NULL REFERENCES alert_events ON DELETE CASCADE,
  way text NOT NULL CHECK (way IN ('email', 'webhook')),
  target text NOT NULL,
  state text NOT NULL DEFAULT 'waiting' CHECK (state IN ('waiting', 'sending', 'sent', 'failed')),
  attempts int NOT NULL DEFAULT 0,
  next_at timestamptz NOT NULL DEFAULT now(),
  error text,
  sent_at timestamptz,
  UNIQUE (event_id, way, target)
);
CREATE INDEX alert_deliveries_due ON alert_deliveries (next_at) WHERE state IN ('waiting', 'sending');
ALTER TABLE watches ADD feed_by int REFERENCES colleagues ON DELETE SET NULL;
ALTER TABLE memberships ADD bell_seen bigint NOT NULL DEFAULT 0;
`
export const down = `
ALTER TABLE watches DROP feed_by;
ALTER TABLE memberships DROP bell_seen;
DROP TABLE alert_deliveries, alert_told, alert_events, alerts;
`
