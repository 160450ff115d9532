/** Pictures that an entry shows, the post that a thread of comments stands under, and how often entries were liked and shared. */
export const up = `
CREATE TABLE pictures (
  id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
  entry_id bigint NOT NULL REFERENCES entries ON DELETE CASCADE,
  position int NOT NULL,
  -- Where it lies on the network.
  address text NOT NULL,
  alt text NOT NULL,
  -- Key of the file store, once somebody has looked at it.
  preview text,
  width int,
  height int,
  failed_at timestamptz,
  UNIQUE (entry_id, position)
);
CREATE INDEX pictures_preview ON pictures (preview) WHERE preview IS NOT NULL;
ALTER TABLE threads ADD post_id bigint REFERENCES entries ON DELETE SET NULL;
CREATE INDEX threads_post ON threads (post_id) WHERE post_id IS NOT NULL;
ALTER TABLE entries ADD likes int, ADD shares int;
-- What we said ourselves lately, whose figures are asked for.
CREATE INDEX entries_own ON entries (profile_id, at DESC) WHERE direction = 'out';
`
export const down = `
DROP INDEX entries_own;
ALTER TABLE entries DROP likes, DROP shares;
ALTER TABLE threads DROP post_id;
DROP TABLE pictures;
`
