/** Visits, what customers are known by elsewhere, tags of people, and to which visit a thread belongs. */
export const up = `
CREATE TABLE visits (
  id bigserial PRIMARY KEY,
  brand_id int NOT NULL REFERENCES brands ON DELETE CASCADE,
  person_id bigint NOT NULL REFERENCES people ON DELETE CASCADE,
  -- The person's shown_as, kept here as well, as with accounts.
  shown_as bigint NOT NULL,
  -- How a till or a booking system calls it; null: noted by hand.
  outside_id text,
  at timestamptz NOT NULL,
  route text NOT NULL DEFAULT '',
  ship text NOT NULL DEFAULT '',
  place_id int REFERENCES places ON DELETE SET NULL,
  party int CHECK (party BETWEEN 1 AND 10000),
  price numeric(12, 2) CHECK (price >= 0),
  currency text,
  state text NOT NULL CHECK (state IN ('booked', 'done', 'failed', 'cancelled')),
  source text NOT NULL CHECK (source IN ('file', 'hook', 'call', 'hand')),
  -- When its source said so: what was said later counts.
  told_at timestamptz NOT NULL,
  edition int NOT NULL DEFAULT 1
);
CREATE UNIQUE INDEX visits_outside ON visits (brand_id, outside_id);
CREATE INDEX visits_time ON visits (brand_id, at) INCLUDE (shown_as, place_id);
CREATE INDEX visits_shown ON visits (shown_as, at);
CREATE INDEX visits_person ON visits (person_id);
-- How a file, a till or a booking system calls somebody.
CREATE TABLE person_refs (
  brand_id int NOT NULL REFERENCES brands ON DELETE CASCADE,
  ref text NOT NULL,
  person_id bigint NOT NULL REFERENCES people ON DELETE CASCADE,
  PRIMARY KEY (brand_id, ref)
);
CREATE INDEX person_refs_person ON person_refs (person_id);
CREATE TABLE person_tags (
  person_id bigint NOT NULL REFERENCES people ON DELETE CASCADE,
  tag_id int NOT NULL REFERENCES tags ON DELETE CASCADE,
  PRIMARY KEY (person_id, tag_id)
);
CREATE INDEX person_tags_tag ON person_tags (tag_id, person_id);
-- What colleagues said of a thread and a visit: it belongs to it, or does not.
CREATE TABLE thread_visits (
  thread_id bigint NOT NULL REFERENCES threads ON DELETE CASCADE,
  visit_id bigint NOT NULL REFERENCES visits ON DELETE CASCADE,
  belongs boolean NOT NULL,
  colleague_id int REFERENCES colleagues ON DELETE SET NULL,
  at timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (thread_id, visit_id)
);
CREATE UNIQUE INDEX thread_visits_one ON thread_visits (thread_id) WHERE belongs;
CREATE INDEX thread_visits_visit ON thread_visits (visit_id);
-- What several who were joined are called together; null: each by their own name.
ALTER TABLE people ADD called text;
ALTER TABLE imports DROP CONSTRAINT imports_kind_check,
  ADD CHECK (kind IN ('reviews', 'feed', 'mail', 'chat', 'customers', 'cards'));
`
export const down = `
DELETE FROM imports WHERE kind IN ('customers', 'cards');
ALTER TABLE imports DROP CONSTRAINT imports_kind_check, ADD CHECK (kind IN ('reviews', 'feed', 'mail', 'chat'));
ALTER TABLE people DROP called;
DROP TABLE thread_visits, person_tags, person_refs, visits;
`
