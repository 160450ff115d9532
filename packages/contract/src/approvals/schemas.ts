import { boolean, object, string } from 'yup'
import { id, ids, lines } from '../shared/fields.ts'
import { limits } from '../shared/limits.ts'

/** An answer that a lead is to look at before it goes out. */
export const approvalSchema = object({
  text: lines(limits.replyLength).required('write something before asking'),
  private: boolean().default(false),
  /** The thread is finished with it. */
  finish: boolean().default(true),
  pattern: id().nullable().default(null),
  signOff: id().nullable().default(null),
  /** Whose word; null: any lead's. */
  of: id().nullable().default(null),
  comment: lines(1000).default(''),
  attachments: ids(50).default([]),
  /** Made by the browser once for each. */
  key: string().uuid().lowercase().max(36).required(),
})
export interface ApprovalDraft {
  text: string
  private?: boolean
  finish?: boolean
  pattern?: number | null
  signOff?: number | null
  of?: number | null
  comment?: string
  attachments?: readonly number[]
  key: string
}

export const decisionSchema = object({
  approve: boolean().required('approve it or return it'),
  /** Other words, where it is approved with a change. */
  text: lines(limits.replyLength).default(''),
  /** To its writer; one that is returned says why. */
  word: lines(1000)
    .default('')
    .when('approve', { is: false, then: (schema) => schema.required('say what is to change') }),
})
export interface DecisionDraft {
  approve: boolean
  text?: string
  word?: string
}
