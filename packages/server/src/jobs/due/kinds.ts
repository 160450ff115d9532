/** Everything that is done in the background. */
export const workKinds = [
  'analyse',
  'collect',
  'act',
  'wake',
  'countAnew',
  'absence',
  'checkAlert',
  'deliver',
  'hook',
  'watchHistory',
  'reread',
  'readAgain',
  'learn',
  'meet',
  'oweAnew',
  'letter',
  'morning',
  'noticeMail',
  'look',
  'import',
  'join',
  'prune',
] as const
export type WorkKind = (typeof workKinds)[number]

/** How work of a kind takes its turns and what becomes of it when it fails. */
export interface WorkRules {
  /** Pieces at once in one process. */
  atOnce: number
  /** Pieces at once of one owner, over all processes. */
  perOwner: number
  /** It comes again by itself: what has succeeded before goes ahead of what never has. */
  recurring?: boolean
  /** A piece that takes longer counts as failed. */
  longestMs: number
  /** Failures after which it is given up; infinite: it is tried for ever. */
  tries: number
  /** Waits between tries double from the first to the longest, with jitter. */
  firstWaitMs: number
  longestWaitMs: number
}

const minute = 60_000
const hour = 60 * minute
const endless = { tries: Infinity, firstWaitMs: 1_000, longestWaitMs: 5 * minute }

export const workRules: Record<WorkKind, WorkRules> = {
  analyse: { ...endless, atOnce: 3, perOwner: 1, longestMs: hour },
  collect: {
    atOnce: 12,
    perOwner: 3,
    recurring: true,
    longestMs: hour,
    tries: Infinity,
    firstWaitMs: 1_000,
    longestWaitMs: 6 * hour,
  },
  // A reply waits for a network that is down for most of a day before somebody is asked to decide.
  act: {
    atOnce: 8,
    perOwner: 1,
    longestMs: 2 * minute,
    tries: 12,
    firstWaitMs: 1_000,
    longestWaitMs: 2 * hour,
  },
  noticeMail: { ...endless, atOnce: 2, perOwner: 1, longestMs: minute },
  morning: { ...endless, atOnce: 2, perOwner: 1, longestMs: 5 * minute },
  wake: { ...endless, atOnce: 4, perOwner: 2, longestMs: minute },
  countAnew: { ...endless, atOnce: 2, perOwner: 1, longestMs: minute },
  absence: { ...endless, atOnce: 2, perOwner: 1, longestMs: 10 * minute },
  checkAlert: { ...endless, atOnce: 3, perOwner: 1, recurring: true, longestMs: 2 * minute },
  deliver: {
    atOnce: 6,
    perOwner: 1,
    longestMs: 2 * minute,
    tries: 10,
    firstWaitMs: 1_000,
    longestWaitMs: 2 * hour,
  },
  hook: {
    atOnce: 6,
    perOwner: 1,
    longestMs: 2 * minute,
    tries: 10,
    firstWaitMs: 1_000,
    longestWaitMs: 2 * hour,
  },
  watchHistory: { ...endless, atOnce: 1, perOwner: 1, longestMs: 6 * hour },
  reread: { ...endless, atOnce: 1, perOwner: 1, longestMs: 6 * hour },
  readAgain: { ...endless, atOnce: 1, perOwner: 1, longestMs: 6 * hour },
  learn: { ...endless, atOnce: 1, perOwner: 1, longestMs: 10 * minute },
  meet: { ...endless, atOnce: 1, perOwner: 1, longestMs: hour },
  letter: {
    atOnce: 3,
    perOwner: 1,
    longestMs: 2 * minute,
    tries: 10,
    firstWaitMs: 1_000,
    longestWaitMs: 2 * hour,
  },
  oweAnew: { ...endless, atOnce: 1, perOwner: 1, longestMs: hour },
  look: {
    atOnce: 4,
    perOwner: 2,
    recurring: true,
    longestMs: 5 * minute,
    tries: Infinity,
    firstWaitMs: 10 * minute,
    longestWaitMs: 24 * hour,
  },
  import: { atOnce: 1, perOwner: 1, longestMs: hour, tries: 5, firstWaitMs: 1_000, longestWaitMs: minute },
  join: { ...endless, atOnce: 2, perOwner: 1, longestMs: minute },
  prune: { ...endless, atOnce: 1, perOwner: 1, longestMs: hour },
}
