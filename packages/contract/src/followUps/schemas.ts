import { number, object, string } from 'yup'
import { followUpKinds, type FollowUpKind } from '@murrabel/core/lens'
import { edition, id, instant, line, lines } from '../shared/fields.ts'

/** What is to be done, by when and who; a lead says what it may bring and what comes next as well. */
export const followUpSchema = object({
  edition: edition(),
  kind: string()
    .oneOf([...followUpKinds])
    .required(),
  what: line(300).required('say what is to be done'),
  dueAt: instant().required('say by when'),
  givenTo: id().nullable(),
  worth: number().min(0).max(9_999_999_999).nullable(),
  currency: string()
    .matches(/^[A-Z]{3}$/, 'this is no currency, such as EUR')
    .nullable(),
  nextStep: lines(1000),
})
export interface FollowUpDraft {
  edition?: number
  kind: FollowUpKind
  what: string
  dueAt: string
  givenTo?: number | null
  worth?: number | null
  currency?: string | null
  nextStep?: string
}

export const outcomeSchema = object({ edition: edition(), outcome: line(300) })
export interface OutcomeDraft {
  edition?: number
  outcome?: string
}
