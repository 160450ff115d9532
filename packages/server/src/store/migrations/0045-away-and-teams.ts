/** Colleagues are away for some days, and somebody takes over; some of them make a team. */
export const up = `
CREATE TABLE teams (
  id serial PRIMARY KEY,
  brand_id int NOT NULL REFERENCES brands ON DELETE CASCADE,
  name text NOT NULL
);
CREATE UNIQUE INDEX teams_name ON teams (brand_id, lower(name));
CREATE TABLE team_members (
  team_id int NOT NULL REFERENCES teams ON DELETE CASCADE,
  colleague_id int NOT NULL,
  brand_id int NOT NULL,
  PRIMARY KEY (team_id, colleague_id),
  FOREIGN KEY (colleague_id, brand_id) REFERENCES memberships (colleague_id, brand_id) ON DELETE CASCADE
);
CREATE TABLE absences (
  brand_id int NOT NULL,
  colleague_id int NOT NULL,
  -- Whole days of the brand's zone, the last one included.
  from_day date NOT NULL,
  until_day date NOT NULL,
  from_at timestamptz NOT NULL,
  until_at timestamptz NOT NULL,
  -- Both null: those who answer, each an equal share.
  taker_id int REFERENCES colleagues ON DELETE SET NULL,
  team_id int REFERENCES teams ON DELETE SET NULL,
  began_at timestamptz,
  PRIMARY KEY (brand_id, colleague_id),
  FOREIGN KEY (colleague_id, brand_id) REFERENCES memberships (colleague_id, brand_id) ON DELETE CASCADE
);
-- Threads somebody looks after for another: they go back when that one does.
CREATE TABLE covers (
  thread_id bigint PRIMARY KEY REFERENCES threads ON DELETE CASCADE,
  away_id int NOT NULL REFERENCES colleagues ON DELETE CASCADE,
  taker_id int NOT NULL REFERENCES colleagues ON DELETE CASCADE
);
CREATE INDEX covers_away ON covers (away_id);
`
export const down = `
DROP TABLE covers, absences, team_members, teams;
`
