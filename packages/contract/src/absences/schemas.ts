import { object, string } from 'yup'
import { id, ids, line } from '../shared/fields.ts'

const day = () =>
  string()
    .matches(/^\d{4}-\d\d-\d\d$/, 'this is no day, such as 2026-12-24')
    .test('day', 'this is no day, such as 2026-12-24', (v) => !v || isDay(v))
/** Whether there is such a day. */
const isDay = (text: string): boolean => {
  const at = new Date(`${text}T00:00:00Z`)
  return !Number.isNaN(at.getTime()) && at.toISOString().startsWith(text)
}

export const absenceSchema = object({
  from: day().required('say from which day on'),
  until: day().required('say until which day'),
  takeOver: id().nullable().default(null),
  team: id().nullable().default(null),
})
export interface AbsenceDraft {
  from: string
  until: string
  takeOver?: number | null
  team?: number | null
}

export const teamSchema = object({
  name: line(60).required('give it a name'),
  members: ids(500).required(),
})
export interface TeamDraft {
  name: string
  members: number[]
}
