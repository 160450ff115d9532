import { array, object, string } from 'yup'
import { rights, type Right } from '../shared/access.ts'
import { instant, line } from '../shared/fields.ts'

const names = Object.keys(rights) as Right[]

export const keySchema = object({
  name: line(80).required('give it a name'),
  rights: array().of(string().oneOf(names).required()).min(1, 'choose what it may do').required(),
  endsAt: instant().required('say when it ends'),
})
export interface KeyDraft {
  name: string
  rights: Right[]
  endsAt: string
}

export const doorSchema = object({ name: line(80).required('give it a name') })
export interface DoorDraft {
  name: string
}
