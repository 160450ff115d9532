/**
 * People who were read and have not been compared with the others: reading is a step for each, comparing one for many. A table of its
 * own, since a mark in their rows would write all their indexes anew.
 */
export const up = `
CREATE TABLE people_to_compare (
  brand_id integer NOT NULL REFERENCES brands(id) ON DELETE CASCADE,
  person_id bigint NOT NULL REFERENCES people(id) ON DELETE CASCADE,
  PRIMARY KEY (brand_id, person_id)
);
CREATE INDEX people_to_compare_person ON people_to_compare (person_id);
`
export const down = `DROP TABLE people_to_compare;`
