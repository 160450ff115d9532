/**
 * Near copies of one text share a story; `print` is the text's fingerprint. Search words now carry their places, so that
 * phrases can be found: every entry is read again for it.
 */
export const up = `
ALTER TABLE entries ADD story_id bigint, ADD print bigint;
CREATE INDEX entries_story ON entries (story_id) WHERE story_id IS NOT NULL;
CREATE INDEX entries_prints ON entries (brand_id, at) INCLUDE (print, story_id) WHERE print IS NOT NULL;
ALTER TABLE brands ADD stories_version int NOT NULL DEFAULT 0;
UPDATE entries SET analysed_at = NULL;
`
export const down = `
ALTER TABLE brands DROP stories_version;
DROP INDEX entries_story, entries_prints;
ALTER TABLE entries DROP story_id, DROP print;
`
