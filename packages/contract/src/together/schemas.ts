import { array, boolean, object, string } from 'yup'
import { noticeKinds } from './answers.ts'
import { edition, id, ids, lines } from '../shared/fields.ts'
import { limits } from '../shared/limits.ts'

export const presenceSchema = object({
  /** Made by the browser, once for each page that is open. */
  tab: string().uuid().lowercase().max(36).required(),
  thread: id().nullable().default(null),
  writing: boolean().default(false),
  /** The page is closed. */
  gone: boolean().default(false),
})
export interface PresenceDraft {
  tab: string
  thread?: number | null
  writing?: boolean
  gone?: boolean
}

/** An answer that is being written; without text, none is. */
export const draftSchema = object({
  text: lines(limits.replyLength).default(''),
  private: boolean().default(false),
  edition: edition().required(),
})
export interface DraftDraft {
  text: string
  private?: boolean
  edition: number
}

export const noteSchema = object({
  edition: edition(),
  text: lines(5000).required('write something before keeping it'),
  mentions: ids(50).default([]),
})
export interface NoteDraft {
  edition?: number
  text: string
  mentions?: number[]
}

/** Notices that were seen: these, or all of a thread. */
export const noticesSeenSchema = object({ ids: ids(200).default([]), thread: id().nullable().default(null) })
export interface NoticesSeenDraft {
  ids?: number[]
  thread?: number | null
}

const kinds = () =>
  array()
    .of(
      string()
        .oneOf([...noticeKinds])
        .required(),
    )
    .max(noticeKinds.length)
    .default([])
const timeOfDay = () =>
  string()
    .matches(/^(?:[01]\d|2[0-3]):[0-5]\d$/, 'this is no time of day, such as 22:00')
    .required('say when')

/** How somebody wants to hear of what concerns them. */
export const noticeChoicesSchema = object({
  silent: kinds(),
  desktop: kinds(),
  mail: kinds(),
  quiet: object({ from: timeOfDay(), until: timeOfDay() }).nullable().default(null),
})
