/**
 * One table of everything that is to be done in the background: what, on which thing, for whom, when next, who holds it,
 * and why it failed last. A row is held under a lease that its worker keeps alive; without a heartbeat another takes over.
 */
export const up = `
CREATE TABLE due_work (
  id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
  kind text NOT NULL,
  -- What it is about: mostly an id.
  subject text NOT NULL,
  -- Those that take turns with each other: a brand, a network, a receiver.
  owner text NOT NULL,
  state text NOT NULL DEFAULT 'due' CHECK (state IN ('due', 'failed')),
  next_at timestamptz NOT NULL DEFAULT now(),
  attempts int NOT NULL DEFAULT 0,
  -- It has succeeded before: what is proven is not kept waiting by what is not.
  proven boolean NOT NULL DEFAULT false,
  lease uuid,
  lease_until timestamptz,
  -- Asked for again while it ran: it runs once more.
  asked_again boolean NOT NULL DEFAULT false,
  progress jsonb,
  error text,
  created_at timestamptz NOT NULL DEFAULT now(),
  changed_at timestamptz NOT NULL DEFAULT now(),
  UNIQUE (kind, subject)
);
CREATE INDEX due_work_next ON due_work (kind, next_at) WHERE state = 'due';
CREATE INDEX due_work_lease ON due_work (lease) WHERE lease IS NOT NULL;
-- Processes that work on it, and when each was last heard of.
CREATE TABLE workers (
  id uuid PRIMARY KEY,
  started_at timestamptz NOT NULL DEFAULT now(),
  beat_at timestamptz NOT NULL DEFAULT now()
);
DROP INDEX entries_unanalysed;
CREATE INDEX entries_unanalysed ON entries (brand_id, id) WHERE analysed_at IS NULL;
INSERT INTO due_work (kind, subject, owner) SELECT 'analyse', id::text, 'brand ' || id FROM brands;
INSERT INTO due_work (kind, subject, owner, next_at)
  SELECT 'collect', id::text, CASE WHEN network = 'feed' THEN outside_id ELSE network END, now() FROM profiles
  WHERE network <> 'file' AND status IN ('collecting', 'connected');
INSERT INTO due_work (kind, subject, owner) SELECT 'watchHistory', id::text, 'brand ' || id FROM brands;
INSERT INTO due_work (kind, subject, owner) SELECT 'reread', id::text, 'brand ' || id FROM brands;
INSERT INTO due_work (kind, subject, owner) SELECT 'learn', id::text, 'brand ' || id FROM brands;
INSERT INTO due_work (kind, subject, owner) SELECT 'checkAlert', id::text, 'brand ' || brand_id FROM alerts WHERE active AND deleted_at IS NULL;
INSERT INTO due_work (kind, subject, owner) SELECT 'deliver', id::text, target FROM alert_deliveries WHERE state IN ('waiting', 'sending');
INSERT INTO due_work (kind, subject, owner, next_at) SELECT 'look', id::text, network, next_look_at FROM public_profiles;
INSERT INTO due_work (kind, subject, owner, next_at)
  SELECT 'wake', id::text, 'brand ' || brand_id, set_aside_until FROM threads WHERE state = 'aside' AND set_aside_until IS NOT NULL;
DROP INDEX alert_deliveries_due;
ALTER TABLE alert_deliveries DROP next_at;
UPDATE alert_deliveries SET state = 'waiting' WHERE state = 'sending';
DROP INDEX public_profiles_due;
ALTER TABLE public_profiles DROP next_look_at, DROP failures;
DROP INDEX alerts_active;
DROP INDEX threads_aside;
`
export const down = `
CREATE INDEX threads_aside ON threads (set_aside_until) WHERE state = 'aside';
CREATE INDEX alerts_active ON alerts (checked_at) WHERE active AND deleted_at IS NULL;
ALTER TABLE public_profiles ADD next_look_at timestamptz NOT NULL DEFAULT now(), ADD failures int NOT NULL DEFAULT 0;
CREATE INDEX public_profiles_due ON public_profiles (next_look_at);
ALTER TABLE alert_deliveries ADD next_at timestamptz NOT NULL DEFAULT now();
CREATE INDEX alert_deliveries_due ON alert_deliveries (next_at) WHERE state IN ('waiting', 'sending');
DROP INDEX entries_unanalysed;
CREATE INDEX entries_unanalysed ON entries (id) WHERE analysed_at IS NULL;
DROP TABLE workers, due_work;
`
