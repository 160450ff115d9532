import { boolean, object, string } from 'yup'
import { line } from '../shared/fields.ts'

export const ownLineSchema = object({ text: line(300).required('write something') })
export interface OwnLineDraft {
  text: string
}

export const ownLineChangeSchema = object({ text: line(300), done: boolean() })
export interface OwnLineChange {
  text?: string
  done?: boolean
}

/** When it comes by mail, in hours and minutes where the brand is; null: not. */
export const morningMailSchema = object({
  at: string()
    .nullable()
    .defined('say when')
    .matches(/^(?:[01]\d|2[0-3]):[0-5]\d$/, 'this is no time of day, such as 07:30'),
})
export interface MorningMailDraft {
  at: string | null
}
