/**
 * What is wanted of us in an entry, and whether an answer is; below which confidence a reading of sentiment is in doubt for a
 * brand. The indexes on time hold what is wanted, so that lenses need no text.
 */
const before = 'thread_id, profile_id, place_id, account_id, kind, channel, sentiment, language, reach'
const covered = `${before}, wish`

const indexes = (columns: string) => `
DROP INDEX entries_time;
DROP INDEX entries_lead_time;
CREATE INDEX entries_time ON entries (brand_id, at DESC, id DESC) INCLUDE (${columns}) WHERE direction = 'in';
CREATE INDEX entries_lead_time ON entries (brand_id, at DESC, id DESC) INCLUDE (${columns}) WHERE direction = 'in' AND lead;
`

export const up = `
ALTER TABLE entries
  -- Null where it is not told with even odds.
  ADD COLUMN wish text CHECK (wish IN ('question', 'request', 'complaint', 'praise', 'fault', 'offer', 'none')),
  ADD COLUMN wish_confidence real,
  ADD COLUMN wants_answer real,
  ADD COLUMN stars_differ boolean NOT NULL DEFAULT false;
ALTER TABLE brands ADD COLUMN doubt_below real NOT NULL DEFAULT 0.6 CHECK (doubt_below BETWEEN 0 AND 1);
ALTER TABLE corrections
  -- What the machine read, where it was asked before anybody judged; and whether somebody was shown it to judge.
  ADD COLUMN read_as text,
  ADD COLUMN read_confidence real,
  ADD COLUMN shown boolean NOT NULL DEFAULT false;
ALTER TABLE teaching ADD COLUMN answers_model jsonb, ADD COLUMN answers_figures jsonb, ADD COLUMN aspects_learnt jsonb;
${indexes(covered)}
`

export const down = `
${indexes(before)}
ALTER TABLE teaching DROP COLUMN answers_model, DROP COLUMN answers_figures, DROP COLUMN aspects_learnt;
ALTER TABLE corrections DROP COLUMN read_as, DROP COLUMN read_confidence, DROP COLUMN shown;
ALTER TABLE brands DROP COLUMN doubt_below;
ALTER TABLE entries DROP COLUMN wish, DROP COLUMN wish_confidence, DROP COLUMN wants_answer, DROP COLUMN stars_differ;
`
