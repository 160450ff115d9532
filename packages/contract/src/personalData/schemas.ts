import { object } from 'yup'
import { line } from '../shared/fields.ts'

export const dataRequestSchema = object({
  askedBy: line(200).required('write down who asked for it, and how'),
})
export interface DataRequestDraft {
  askedBy: string
}
