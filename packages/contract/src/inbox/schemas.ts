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
    .oneOf(['finish', 'reopen', 'setAside'] as const)
    .required(),
  until: string().when('kind', {
    is: 'setAside',
    then: (s) =>
      s
        .required('say until when')
        .max(40)
        .test('time', 'not a time', (v) => isInstant(v ?? '')),
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

/** To somebody, to nobody, or to whoever of a team has the fewest. */
export const giveSchema = object({ to: id().nullable().defined(), team: id().nullable().default(null) })
export interface GiveDraft {
  to: number | null
  team?: number | null
}

/** Calls an action back; `anyway` although it may have been done. */
export const cancelSchema = object({ anyway: boolean().default(false) })

export type CancelDraft = InferType<typeof cancelSchema>

export type ReplyDraft = InferType<typeof replySchema>

export type ThreadEventDraft = InferType<typeof threadEventSchema>
