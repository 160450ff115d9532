/** What everybody sees of profiles: those of rivals, and our own beside them. */
export const up = `
CREATE TABLE public_profiles (
  id int GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
  brand_id int NOT NULL REFERENCES brands ON DELETE CASCADE,
  -- The rival's watch; none for a profile of our own.
  watch_id int REFERENCES watches ON DELETE CASCADE,
  channel text NOT NULL,
  network text NOT NULL,
  name text NOT NULL,
  url text NOT NULL,
  looked_at timestamptz,
  next_look_at timestamptz NOT NULL DEFAULT now(),
  failures int NOT NULL DEFAULT 0,
  problem text,
  created_at timestamptz NOT NULL DEFAULT now(),
  UNIQUE (brand_id, url)
);
CREATE INDEX public_profiles_due ON public_profiles (next_look_at);
CREATE TABLE public_days (
  profile_id int NOT NULL REFERENCES public_profiles ON DELETE CASCADE,
  day date NOT NULL,
  -- At the end of the day, where the network tells it.
  followers int,
  posts int NOT NULL DEFAULT 0,
  -- Ratings of 1 to 5 given on that day.
  stars int[] NOT NULL DEFAULT '{0,0,0,0,0}',
  PRIMARY KEY (profile_id, day)
);
`
export const down = `
DROP TABLE public_days;
DROP TABLE public_profiles;
`
