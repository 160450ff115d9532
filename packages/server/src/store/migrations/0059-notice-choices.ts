/** Of what somebody hears, and how: in the bell, on the desktop, by mail; and when not. */
export const up = `
CREATE TABLE notice_choices (
  id int GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
  brand_id int NOT NULL,
  colleague_id int NOT NULL,
  -- Kinds of notices: those the bell leaves out, those that show on the desktop, those that are mailed.
  silent text[] NOT NULL DEFAULT '{}',
  desktop text[] NOT NULL DEFAULT '{}',
  mail text[] NOT NULL DEFAULT '{}',
  -- Hours and minutes where the brand is; both or none.
  quiet_from text,
  quiet_until text,
  UNIQUE (brand_id, colleague_id),
  CHECK ((quiet_from IS NULL) = (quiet_until IS NULL)),
  FOREIGN KEY (colleague_id, brand_id) REFERENCES memberships (colleague_id, brand_id) ON DELETE CASCADE
);
ALTER TABLE notices ADD mailed_at timestamptz;
ALTER TABLE notices DROP CONSTRAINT notices_kind_check;
ALTER TABLE notices ADD CONSTRAINT notices_kind_check
  CHECK (kind IN ('mention', 'given', 'givenTeam', 'asked', 'approved', 'returned', 'notSent'));
`
export const down = `
DELETE FROM notices WHERE kind IN ('givenTeam', 'notSent');
ALTER TABLE notices DROP CONSTRAINT notices_kind_check;
ALTER TABLE notices ADD CONSTRAINT notices_kind_check CHECK (kind IN ('mention', 'given', 'asked', 'approved', 'returned'));
ALTER TABLE notices DROP COLUMN mailed_at;
DROP TABLE notice_choices;
`
