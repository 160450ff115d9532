/**
 * A text's fingerprint holds its words, four bytes each, so that copies with changes are found and notices of one form with other facts
 * are not. The history's stories are read again.
 */
export const up = `
DROP INDEX entries_prints;
ALTER TABLE entries DROP print;
ALTER TABLE entries ADD print bytea;
CREATE INDEX entries_prints ON entries (brand_id, at) WHERE print IS NOT NULL;
DELETE FROM story_changes;
ALTER TABLE story_changes DROP prints;
ALTER TABLE story_changes ADD prints bytea[] NOT NULL DEFAULT '{}';
UPDATE brands SET stories_version = stories_version + 1;
`
export const down = `
UPDATE brands SET stories_version = stories_version + 1;
DELETE FROM story_changes;
ALTER TABLE story_changes DROP prints;
ALTER TABLE story_changes ADD prints bigint[] NOT NULL DEFAULT '{}';
DROP INDEX entries_prints;
ALTER TABLE entries DROP print;
ALTER TABLE entries ADD print bigint;
CREATE INDEX entries_prints ON entries (brand_id, at) INCLUDE (print, story_id) WHERE print IS NOT NULL;
`
