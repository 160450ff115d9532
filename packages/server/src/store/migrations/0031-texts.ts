/** Texts that come in pieces, what became of ours, and who wants to hear nothing more. */
export const up = `
-- Pieces of what its author wrote as one; the joined entry has the id of the whole.
CREATE TABLE item_pieces (
  profile_id int NOT NULL REFERENCES profiles ON DELETE CASCADE,
  whole text NOT NULL,
  number int NOT NULL,
  of int NOT NULL,
  item jsonb NOT NULL,
  at timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (profile_id, whole, number)
);
CREATE INDEX item_pieces_at ON item_pieces (at);
-- Also of what has not been confirmed yet.
CREATE TABLE delivery_reports (
  profile_id int NOT NULL REFERENCES profiles ON DELETE CASCADE,
  outside_id text NOT NULL,
  state text NOT NULL CHECK (state IN ('delivered', 'failed')),
  reason text,
  at timestamptz NOT NULL,
  PRIMARY KEY (profile_id, outside_id)
);
-- The last thing they said about hearing from us, and when.
ALTER TABLE accounts ADD contact_wish text CHECK (contact_wish IN ('stop', 'start')), ADD contact_wish_at timestamptz;
`
export const down = `
ALTER TABLE accounts DROP contact_wish_at, DROP contact_wish;
DROP TABLE delivery_reports, item_pieces;
`
