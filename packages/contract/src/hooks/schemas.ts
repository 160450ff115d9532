import { array, boolean, object, string } from 'yup'
import { line } from '../shared/fields.ts'
import { hookEvents, type HookEvent } from './events.ts'

export const hookSchema = object({
  name: line(80).required('give it a name'),
  target: line(2000).url('a web address begins with https://').required('enter the address'),
  events: array()
    .of(
      string()
        .oneOf([...hookEvents])
        .required(),
    )
    .min(1, 'choose what it hears of')
    .max(hookEvents.length)
    .required(),
  active: boolean().default(true),
})
export interface HookDraft {
  name: string
  target: string
  events: HookEvent[]
  active?: boolean
}
