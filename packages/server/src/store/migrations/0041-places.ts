/** Places and the brand as they are set up by hand: special days by name, links, rules of due times. */
export const up = `
ALTER TABLE places
  ADD url text NOT NULL DEFAULT '',
  -- Days with hours of their own: date, name, spans; no spans: closed.
  ADD special_days jsonb NOT NULL DEFAULT '[]',
  ADD edition int NOT NULL DEFAULT 1;
UPDATE places SET special_days = (
  SELECT coalesce(jsonb_agg(jsonb_build_object('date', d, 'name', '', 'hours', '[]'::jsonb)), '[]') FROM jsonb_array_elements_text(closed_days) d
);
ALTER TABLE places DROP closed_days;
ALTER TABLE brands ADD nicknames text[] NOT NULL DEFAULT '{}', ADD edition int NOT NULL DEFAULT 1;
`
export const down = `
ALTER TABLE brands DROP edition, DROP nicknames;
ALTER TABLE places ADD closed_days jsonb NOT NULL DEFAULT '[]';
UPDATE places SET closed_days = (
  SELECT coalesce(jsonb_agg(d->'date'), '[]') FROM jsonb_array_elements(special_days) d WHERE d->'hours' = '[]'
);
ALTER TABLE places DROP edition, DROP special_days, DROP url;
`
