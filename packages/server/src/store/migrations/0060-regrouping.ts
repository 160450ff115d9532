/** Mails that people bring into one thread, or take apart, with what moved, so that it can be taken back. */
export const up = `
ALTER TABLE threads ADD merged_into bigint REFERENCES threads ON DELETE SET NULL;
CREATE INDEX threads_merged_into ON threads (merged_into) WHERE merged_into IS NOT NULL;
CREATE TABLE regroupings (
  event_id bigint PRIMARY KEY REFERENCES events ON DELETE CASCADE,
  from_id bigint NOT NULL REFERENCES threads ON DELETE CASCADE,
  to_id bigint NOT NULL REFERENCES threads ON DELETE CASCADE,
  -- Ids of what moved; of tags, those that were not there before.
  entries bigint[] NOT NULL,
  actions bigint[] NOT NULL,
  notes bigint[] NOT NULL,
  follow_ups bigint[] NOT NULL,
  approvals int[] NOT NULL,
  tags int[] NOT NULL,
  -- How the thread was that was brought into the other; or the edition of the one that was made.
  before jsonb,
  edition int NOT NULL
);
CREATE INDEX regroupings_from ON regroupings (from_id);
CREATE INDEX regroupings_to ON regroupings (to_id);
`
export const down = `
DROP TABLE regroupings;
ALTER TABLE threads DROP COLUMN merged_into;
`
