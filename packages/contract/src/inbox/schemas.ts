import { array, boolean, type InferType, number, object, string } from 'yup'
import { emailAddress, id, ids, isInstant, largestId, line, lines } from '../shared/fields.ts'
import { limits } from '../shared/limits.ts'

export const replySchema = object({
  text: lines(limits.replyLength).required('write something before sending'),
  /** Made by the browser once per reply, so that sending twice sends once. */
  key: string().uuid().lowercase().max(36).required(),
  /** The thread's edition the writer saw. */
  edition: number().integer().min(0).max(largestId).required(),
  /** Finish the thread with it. */
  finish: boolean().default(false),
  /** Only to its author, although what they said is public. */
  private: boolean().default(false),
  /** Ids of files that go with it. */
  attachments: ids(50).default([]),
  /** Send although a colleague has acted in between. */
  anyway: boolean().default(false),
  /** The pattern it was begun with. */
  pattern: id().nullable().default(null),
  /** Whose name stands under it; null: nobody's. */
  signOff: id().nullable().default(null),
  /** When it is to go out; null: at once. */
  sendAt: string()
    .nullable()
    .default(null)
    .max(40)
    .test('time', 'not a time', (v) => v == null || isInstant(v)),
})

/** An answer goes by e-mail from now on. */
export const handOffSchema = object({
  profileId: id().required('connect an e-mail address first'),
  address: emailAddress(),
  name: line(limits.nameLength).default(''),
})
export type HandOffDraft = InferType<typeof handOffSchema>

export const threadEventSchema = object({
  kind: string()
    .oneOf(['finish', 'reopen', 'setAside', 'spam', 'notSpam'] as const)
    .required(),
  /** Null: until they write. */
  until: string()
    .nullable()
    .when('kind', {
      is: 'setAside',
      then: (s) =>
        s
          .defined('say until when')
          .max(40)
          .test('time', 'not a time', (v) => v === null || isInstant(v ?? '')),
    }),
})

export const tagSchema = object({
  threads: ids(500).min(1).required(),
  add: array().of(line(40).required('a tag needs a name')).max(20).default([]),
  /** Ids of tags. */
  remove: ids(500).default([]),
})

export type TagDraft = InferType<typeof tagSchema>

/** Other words for an answer that has gone out. */
export const changeReplySchema = object({
  text: lines(limits.replyLength).required('write something before sending'),
  /** Made by the browser once per change. */
  key: string().uuid().lowercase().max(36).required(),
})

/** Takes an answer back that has gone out. */
export const takeBackSchema = object({ key: string().uuid().lowercase().max(36).required() })

export type ChangeReplyDraft = InferType<typeof changeReplySchema>

export type TakeBackDraft = InferType<typeof takeBackSchema>

/** Why a review should not stand there. */
export const reportReasons = ['fake', 'insult', 'private', 'offTopic'] as const

export type ReportReason = (typeof reportReasons)[number]

export const reportSchema = object({
  reason: string()
    .oneOf([...reportReasons])
    .required('say why'),
  text: lines(1000).default(''),
  /** Made by the browser once per report. */
  key: string().uuid().lowercase().max(36).required(),
})

export type ReportDraft = InferType<typeof reportSchema>

/** To somebody, to nobody, to a team, or shared: to whoever of the team has the fewest. */
export const giveSchema = object({
  to: id().nullable().defined(),
  team: id().nullable().default(null),
  share: boolean().default(false),
})
export interface GiveDraft {
  to: number | null
  team?: number | null
  share?: boolean
}

/** Another thread whose mails come into this one. */
export const mergeSchema = object({ thread: id().required() })
export interface MergeDraft {
  thread: number
}

/** From this entry on it is a thread of its own. */
export const splitSchema = object({ entry: id().required() })
export interface SplitDraft {
  entry: number
}

const priority = () => number().integer().min(0).max(2)

/** 0 usual, 1 raised, 2 highest. */
export const prioritySchema = object({ priority: priority().required() })
export interface PriorityDraft {
  priority: number
}

export const manyKinds = ['finish', 'reopen', 'setAside', 'spam', 'notSpam', 'give', 'prioritise'] as const

/** One change of many threads: an event, whom they are given to, or how high they are put. */
export const manyChangeSchema = object({
  threads: ids(500).min(1).required(),
  kind: string()
    .oneOf([...manyKinds])
    .required(),
  until: string()
    .nullable()
    .max(40)
    .test('time', 'not a time', (v) => v == null || isInstant(v)),
  to: id().nullable().default(null),
  team: id().nullable().default(null),
  share: boolean().default(false),
  priority: priority().when('kind', { is: 'prioritise', then: (s) => s.required() }),
})
export interface ManyChangeDraft {
  threads: number[]
  kind: (typeof manyKinds)[number]
  /** Left out or null: until they write. */
  until?: string | null
  to?: number | null
  team?: number | null
  share?: boolean
  priority?: number
}

/** What is left at the end of a shift: each thread with why, and to whom it goes; with neither it is nobody's. */
export const handOverSchema = object({
  threads: array()
    .of(
      object({
        thread: id().required(),
        to: id().nullable().default(null),
        team: id().nullable().default(null),
        why: lines(500).default(''),
      }),
    )
    .min(1)
    .max(200)
    .required(),
  /** What holds for all of them. */
  word: lines(1000).default(''),
})
export interface HandOverDraft {
  threads: { thread: number; to: number | null; team?: number | null; why?: string }[]
  word?: string
}

/** Changes of many threads to be taken back, by the events they made. */
export const manyUndoSchema = object({
  changes: array()
    .of(object({ thread: id().required(), event: id().required() }))
    .min(1)
    .max(500)
    .required(),
})
export interface ManyUndoDraft {
  changes: { thread: number; event: number }[]
}

/** Calls an action back; `anyway` although it may have been done. */
export const cancelSchema = object({ anyway: boolean().default(false) })

export type CancelDraft = InferType<typeof cancelSchema>

export type ReplyDraft = InferType<typeof replySchema>

export type ThreadEventDraft = InferType<typeof threadEventSchema>
