import * as first from './0001-first.ts'
import * as rollupTriggers from './0002-rollup-triggers.ts'
import * as watchGroups from './0003-watch-groups.ts'
import * as mentionRollups from './0004-mention-rollups.ts'
import * as storiesAndPhrases from './0005-stories-and-phrases.ts'
import * as teaching from './0006-teaching.ts'
import * as voices from './0007-voices.ts'
import * as alerts from './0008-alerts.ts'
import * as publicProfiles from './0009-public-profiles.ts'
import * as tagsAndKept from './0010-tags-and-kept.ts'
import * as mentionDays from './0011-mention-days.ts'
import * as mentionDaysLocal from './0012-mention-days-local.ts'
import * as threadsWithoutLast from './0013-threads-without-last.ts'
import * as dueWork from './0014-due-work.ts'
import * as outsideActions from './0015-outside-actions.ts'
import * as eventLog from './0016-event-log.ts'
import * as setApart from './0017-set-apart.ts'
import * as imports from './0018-imports.ts'
import * as access from './0019-access.ts'
import * as sentimentNames from './0020-sentiment-names.ts'
import * as coveringIndexes from './0021-covering-indexes.ts'
import * as readingSteps from './0022-reading-steps.ts'
import * as mentionsFollow from './0023-mentions-follow.ts'
import * as storyChanges from './0024-story-changes.ts'
import * as rollupsLocalHours from './0025-rollups-local-hours.ts'
import * as reachIndex from './0026-reach-index.ts'
import * as names from './0027-names.ts'
import * as origins from './0028-origins.ts'
import * as edits from './0029-edits.ts'
import * as changedReplies from './0030-changed-replies.ts'
import * as texts from './0031-texts.ts'
import * as mail from './0032-mail.ts'
import * as chat from './0033-chat.ts'
import * as pictures from './0034-pictures.ts'
import * as wishes from './0035-wishes.ts'
import * as people from './0036-people.ts'
import * as followUps from './0037-follow-ups.ts'
import * as visits from './0038-visits.ts'
import * as keys from './0039-keys.ts'
import * as erasure from './0040-erasure.ts'
import * as places from './0041-places.ts'
import * as colleagues from './0042-colleagues.ts'
import * as secondFactor from './0043-second-factor.ts'
import * as hooks from './0044-hooks.ts'
import * as awayAndTeams from './0045-away-and-teams.ts'
import * as log from './0046-log.ts'
import * as look from './0047-look.ts'
import * as personTotals from './0048-person-totals.ts'
import * as peopleIndexes from './0049-people-indexes.ts'
import * as personDays from './0050-person-days.ts'
import * as settled from './0051-settled.ts'
import * as keptLenses from './0052-kept-lenses.ts'
import * as together from './0053-together.ts'
import * as promiseLimit from './0054-promise-limit.ts'
import * as approvals from './0057-approvals.ts'
import * as teamsAndSpam from './0058-teams-and-spam.ts'
import * as noticeChoices from './0059-notice-choices.ts'
import * as regrouping from './0060-regrouping.ts'
import * as draftFiles from './0061-draft-files.ts'
import * as openByColleague from './0062-open-by-colleague.ts'
import * as regroupedVisits from './0063-regrouped-visits.ts'
import * as wordPrints from './0064-word-prints.ts'
import * as outages from './0065-outages.ts'
import * as drawn from './0066-drawn.ts'
import * as peopleToCompare from './0067-people-to-compare.ts'
import * as daysByPlace from './0068-days-by-place.ts'
import * as totalsHeld from './0069-totals-held.ts'
import * as feltAtOnce from './0070-felt-at-once.ts'
import * as today from './0056-today.ts'
import * as patterns from './0055-patterns.ts'

/** In order; append only. */
export const migrations = [
  { name: '0001-first', ...first },
  { name: '0002-rollup-triggers', ...rollupTriggers },
  { name: '0003-watch-groups', ...watchGroups },
  { name: '0004-mention-rollups', ...mentionRollups },
  { name: '0005-stories-and-phrases', ...storiesAndPhrases },
  { name: '0006-teaching', ...teaching },
  { name: '0007-voices', ...voices },
  { name: '0008-alerts', ...alerts },
  { name: '0009-public-profiles', ...publicProfiles },
  { name: '0010-tags-and-kept', ...tagsAndKept },
  { name: '0011-mention-days', ...mentionDays },
  { name: '0012-mention-days-local', ...mentionDaysLocal },
  { name: '0013-threads-without-last', ...threadsWithoutLast },
  { name: '0014-due-work', ...dueWork },
  { name: '0015-outside-actions', ...outsideActions },
  { name: '0016-event-log', ...eventLog },
  { name: '0017-set-apart', ...setApart },
  { name: '0018-imports', ...imports },
  { name: '0019-access', ...access },
  { name: '0020-sentiment-names', ...sentimentNames },
  { name: '0021-covering-indexes', ...coveringIndexes },
  { name: '0022-reading-steps', ...readingSteps },
  { name: '0023-mentions-follow', ...mentionsFollow },
  { name: '0024-story-changes', ...storyChanges },
  { name: '0025-rollups-local-hours', ...rollupsLocalHours },
  { name: '0026-reach-index', ...reachIndex },
  { name: '0027-names', ...names },
  { name: '0028-origins', ...origins },
  { name: '0029-edits', ...edits },
  { name: '0030-changed-replies', ...changedReplies },
  { name: '0031-texts', ...texts },
  { name: '0032-mail', ...mail },
  { name: '0033-chat', ...chat },
  { name: '0034-pictures', ...pictures },
  { name: '0035-wishes', ...wishes },
  { name: '0036-people', ...people },
  { name: '0037-follow-ups', ...followUps },
  { name: '0038-visits', ...visits },
  { name: '0039-keys', ...keys },
  { name: '0040-erasure', ...erasure },
  { name: '0041-places', ...places },
  { name: '0042-colleagues', ...colleagues },
  { name: '0043-second-factor', ...secondFactor },
  { name: '0044-hooks', ...hooks },
  { name: '0045-away-and-teams', ...awayAndTeams },
  { name: '0046-log', ...log },
  { name: '0047-look', ...look },
  { name: '0048-person-totals', ...personTotals },
  { name: '0049-people-indexes', ...peopleIndexes },
  { name: '0050-person-days', ...personDays },
  { name: '0051-settled', ...settled },
  { name: '0052-kept-lenses', ...keptLenses },
  { name: '0053-together', ...together },
  { name: '0054-promise-limit', ...promiseLimit },
  { name: '0055-patterns', ...patterns },
  { name: '0056-today', ...today },
  { name: '0057-approvals', ...approvals },
  { name: '0058-teams-and-spam', ...teamsAndSpam },
  { name: '0059-notice-choices', ...noticeChoices },
  { name: '0060-regrouping', ...regrouping },
  { name: '0061-draft-files', ...draftFiles },
  { name: '0062-open-by-colleague', ...openByColleague },
  { name: '0063-regrouped-visits', ...regroupedVisits },
  { name: '0064-word-prints', ...wordPrints },
  { name: '0065-outages', ...outages },
  { name: '0066-drawn', ...drawn },
  { name: '0067-people-to-compare', ...peopleToCompare },
  { name: '0068-days-by-place', ...daysByPlace },
  { name: '0069-totals-held', ...totalsHeld },
  { name: '0070-felt-at-once', ...feltAtOnce },
]
