export const lensKinds = ['review', 'comment', 'message', 'question', 'mention'] as const
export type EntryKind = (typeof lensKinds)[number]

/** Said to us; heard by a watch whose mentions are answered; only heard. */
export const lensOrigins = ['sent', 'watched', 'heard'] as const
export type EntryOrigin = (typeof lensOrigins)[number]

export const lensStates = ['open', 'waiting', 'aside', 'done'] as const
export type ThreadState = (typeof lensStates)[number]

/** How high a thread was put, at least. */
export const priorityValues = ['any', 'raised', 'highest'] as const
export type PriorityAsked = (typeof priorityValues)[number]

export const spamValues = ['any', 'only', 'without'] as const
export type SpamAsked = (typeof spamValues)[number]

export const lensOrders = ['pressing', 'newest', 'oldest', 'reach', 'distinctive'] as const
export type LensOrder = (typeof lensOrders)[number]

export const peopleOrders = ['said', 'latest', 'unhappiest', 'name'] as const
export type PeopleOrder = (typeof peopleOrders)[number]

/** What somebody is to the brand. */
export const personStandings = ['press', 'partner', 'rival', 'customer', 'troll', 'colleague'] as const
export type PersonStanding = (typeof personStandings)[number]
/** Whether somebody had a visit; "any" leaves visits aside. */
export const visitedValues = ['any', 'yes', 'no'] as const
export type Visited = (typeof visitedValues)[number]

export const followUpKinds = ['followUp', 'lead'] as const
export type FollowUpKind = (typeof followUpKinds)[number]

/** Not done; past its time and not done; done. */
export const followUpStates = ['open', 'late', 'done', 'any'] as const
export type FollowUpState = (typeof followUpStates)[number]

/** What something in the log happened to. */
export const logSubjects = [
  'thread',
  'entry',
  'person',
  'post',
  'action',
  'watch',
  'group',
  'alert',
  'profile',
  'publicProfile',
  'import',
  'brand',
  'colleague',
] as const
export type LogSubject = (typeof logSubjects)[number]

export const lensChannels = [
  'pages',
  'photos',
  'posts',
  'maps',
  'reviews',
  'video',
  'forum',
  'texts',
  'email',
  'chat',
  'news',
  'import',
] as const

export { wishes as lensWishes } from '../meaning/model.ts'
export const lensSentiments = ['positive', 'neutral', 'negative', 'unread'] as const

/** Longest words or phrase, longest list, and longest range in days. */
export const lensLimits = { words: 200, list: 50, days: 3700 } as const
