/** What guards against overwriting is an edition everywhere; what an alert does is to fire; phrases are distinctive. */
export const up = `
ALTER TABLE threads RENAME COLUMN version TO edition;
ALTER TABLE events RENAME COLUMN version TO edition;
ALTER TABLE alerts RENAME COLUMN told_at TO fired_at;
ALTER TABLE alert_told RENAME TO alert_fired;
ALTER INDEX alert_told_at RENAME TO alert_fired_at;
ALTER INDEX alert_told_entry RENAME TO alert_fired_entry;
UPDATE alerts SET lens = regexp_replace(lens, '(^|&)order=telling(&|$)', '\\1order=distinctive\\2');
`
export const down = `
UPDATE alerts SET lens = regexp_replace(lens, '(^|&)order=distinctive(&|$)', '\\1order=telling\\2');
ALTER INDEX alert_fired_entry RENAME TO alert_told_entry;
ALTER INDEX alert_fired_at RENAME TO alert_told_at;
ALTER TABLE alert_fired RENAME TO alert_told;
ALTER TABLE alerts RENAME COLUMN fired_at TO told_at;
ALTER TABLE events RENAME COLUMN edition TO version;
ALTER TABLE threads RENAME COLUMN edition TO version;
`
