import { found } from './0050-person-days.ts'
import { countedByPlace } from './0068-days-by-place.ts'

/**
 * Whoever counts a person anew holds their row even where another removed it meanwhile: it was found before, was gone when it
 * was to be held, and who had come to say something had no row then. A row that is there is held, and not written.
 */
const hold = `INSERT INTO person_totals AS t (person_id, brand_id) SELECT id, brand_id FROM people WHERE id = ANY(ids) ORDER BY id
  ON CONFLICT (person_id) DO UPDATE SET said = t.said WHERE false;`

export const up = `
${countedByPlace(hold)}
-- Whoever was left without a row.
SELECT person_totals_count(array_agg(id)) FROM people p
WHERE NOT EXISTS (SELECT 1 FROM person_totals t WHERE t.person_id = p.id)
  AND EXISTS (SELECT 1 FROM accounts a JOIN entries e ON e.account_id = a.id WHERE a.shown_as = p.id AND e.direction = 'in')
HAVING count(*) > 0;
`

export const down = countedByPlace(found)
