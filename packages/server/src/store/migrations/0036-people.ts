/** People behind the accounts: everybody begins as one person an account; joins make one of several, and can be undone. */
export const up = `
CREATE TABLE people (
  id bigserial PRIMARY KEY,
  brand_id int NOT NULL REFERENCES brands ON DELETE CASCADE,
  -- Whom they are shown as: themselves, or the first of those they are joined with.
  shown_as bigint NOT NULL,
  name text NOT NULL,
  -- Who named them; null: they are called as their account is.
  named_by int REFERENCES colleagues ON DELETE SET NULL,
  language text,
  standing text CHECK (standing IN ('press', 'partner', 'rival', 'customer', 'troll', 'colleague')),
  note text NOT NULL DEFAULT '',
  -- Not read yet for who else they may be.
  unmet boolean NOT NULL DEFAULT true,
  -- Words of names, handles and addresses, to be found by.
  search tsvector NOT NULL DEFAULT '',
  edition int NOT NULL DEFAULT 1,
  known_since timestamptz NOT NULL DEFAULT now()
);
CREATE INDEX people_shown ON people (shown_as);
CREATE INDEX people_brand ON people (brand_id, id) WHERE shown_as = id;
CREATE INDEX people_unmet ON people (brand_id, id) WHERE unmet;
CREATE INDEX people_search ON people USING gin (search);
ALTER TABLE accounts
  ADD person_id bigint REFERENCES people ON DELETE SET NULL,
  -- The person's shown_as, kept here as well: lists group what was said by it.
  ADD shown_as bigint;
-- Everybody has been one account so far, and was judged as one.
INSERT INTO people (id, brand_id, shown_as, name, standing, note, edition)
  SELECT id, brand_id, id, name, standing, note, edition FROM accounts;
UPDATE accounts SET person_id = id, shown_as = id;
SELECT setval('people_id_seq', greatest((SELECT coalesce(max(id), 0) FROM people), 0) + 1);
ALTER TABLE accounts DROP standing, DROP note, DROP edition;
CREATE INDEX accounts_person ON accounts (person_id);
CREATE INDEX accounts_shown ON accounts (shown_as);
CREATE TABLE person_ways (
  id bigserial PRIMARY KEY,
  brand_id int NOT NULL REFERENCES brands ON DELETE CASCADE,
  person_id bigint NOT NULL REFERENCES people ON DELETE CASCADE,
  kind text NOT NULL CHECK (kind IN ('email', 'phone')),
  -- Addresses in small letters, numbers as E.164.
  value text NOT NULL,
  -- Whether they may be written to this way; null: they have not said.
  consent boolean,
  consent_at timestamptz,
  consent_how text NOT NULL DEFAULT '',
  UNIQUE (person_id, kind, value)
);
CREATE INDEX person_ways_value ON person_ways (brand_id, kind, value);
-- The lower id first. What is undone stays, so that nobody joins them again unasked.
CREATE TABLE person_joins (
  id bigserial PRIMARY KEY,
  brand_id int NOT NULL REFERENCES brands ON DELETE CASCADE,
  one bigint NOT NULL REFERENCES people ON DELETE CASCADE,
  other bigint NOT NULL REFERENCES people ON DELETE CASCADE,
  -- Null: it was certain, and nobody was asked.
  colleague_id int REFERENCES colleagues ON DELETE SET NULL,
  reasons jsonb NOT NULL,
  at timestamptz NOT NULL DEFAULT now(),
  undone_at timestamptz,
  CHECK (one < other)
);
CREATE UNIQUE INDEX person_joins_standing ON person_joins (one, other) WHERE undone_at IS NULL;
CREATE INDEX person_joins_other ON person_joins (other);
-- Those whom a colleague said to be two.
CREATE TABLE person_apart (
  brand_id int NOT NULL REFERENCES brands ON DELETE CASCADE,
  one bigint NOT NULL REFERENCES people ON DELETE CASCADE,
  other bigint NOT NULL REFERENCES people ON DELETE CASCADE,
  colleague_id int REFERENCES colleagues ON DELETE SET NULL,
  at timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (one, other),
  CHECK (one < other)
);
CREATE INDEX person_apart_other ON person_apart (other);
-- Under which people who may be the same meet, as core/people gives them.
CREATE TABLE person_keys (
  brand_id int NOT NULL REFERENCES brands ON DELETE CASCADE,
  key text NOT NULL,
  person_id bigint NOT NULL REFERENCES people ON DELETE CASCADE,
  PRIMARY KEY (brand_id, key, person_id)
);
CREATE INDEX person_keys_person ON person_keys (person_id);
-- Pairs that may be the same, by the ids of the people themselves.
CREATE TABLE person_proposals (
  brand_id int NOT NULL REFERENCES brands ON DELETE CASCADE,
  one bigint NOT NULL REFERENCES people ON DELETE CASCADE,
  other bigint NOT NULL REFERENCES people ON DELETE CASCADE,
  likeness real NOT NULL CHECK (likeness BETWEEN 0 AND 1),
  reasons jsonb NOT NULL,
  at timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (one, other),
  CHECK (one < other)
);
CREATE INDEX person_proposals_best ON person_proposals (brand_id, likeness DESC, one, other);
CREATE INDEX person_proposals_other ON person_proposals (other);
`
export const down = `
DROP TABLE person_proposals, person_keys, person_apart, person_joins, person_ways;
ALTER TABLE accounts
  ADD standing text CHECK (standing IN ('press', 'partner', 'rival', 'customer', 'troll', 'colleague')),
  ADD note text NOT NULL DEFAULT '',
  ADD edition int NOT NULL DEFAULT 1;
UPDATE accounts a SET standing = p.standing, note = p.note, edition = p.edition FROM people p WHERE p.id = a.shown_as;
ALTER TABLE accounts DROP shown_as, DROP person_id;
DROP TABLE people;
`
