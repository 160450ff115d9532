import { type InferType, object, string } from 'yup'
import { id, line, lines } from '../shared/fields.ts'

export const signInSchema = object({
  email: line(200).email('enter a valid e-mail address').required('enter your e-mail address'),
  password: string().max(200).required('enter your password'),
  /** Of the app, or one of the recovery codes, where a second factor is on. */
  code: line(40).default(''),
})

export type SignIn = Omit<InferType<typeof signInSchema>, 'code'> & { code?: string }

export const switchSchema = object({ brandId: id().required('say which brand') })
export type SwitchDraft = InferType<typeof switchSchema>

/** A fault of the application in somebody's browser, as the server keeps it in its log. */
export const faultSchema = object({
  /** What the person was told, so that both can be found by it. */
  number: string()
    .matches(/^[A-Z0-9]{4}-[A-Z0-9]{4}$/, 'a number is like 4K7P-Q2MD')
    .required(),
  text: lines(4000).default(''),
  /** The page, without what was searched for. */
  path: line(200).default(''),
  version: line(40).default(''),
})

export type Fault = InferType<typeof faultSchema>
