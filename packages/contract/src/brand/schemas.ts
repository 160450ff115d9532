import { type InferType, object, string } from 'yup'
import { line } from '../shared/fields.ts'

export const signInSchema = object({
  email: line(200).email('enter a valid e-mail address').required('enter your e-mail address'),
  password: string().max(200).required('enter your password'),
})

export type SignIn = InferType<typeof signInSchema>
