import { number, object, string } from 'yup'
import type { Role } from '../brand/answers.ts'
import { emailAddress, ids, line } from '../shared/fields.ts'
import { limits } from '../shared/limits.ts'

export const roles = [
  'owner',
  'lead',
  'specialist',
  'placeManager',
  'reader',
] as const satisfies readonly Role[]
const role = () =>
  string()
    .oneOf([...roles])
    .required()
const limitsOf = { placeIds: ids(500).nullable().defined(), profileIds: ids(500).nullable().defined() }

export const invitationSchema = object({ email: emailAddress().lowercase(), role: role(), ...limitsOf })
export interface InvitationDraft {
  email: string
  role: Role
  placeIds: number[] | null
  profileIds: number[] | null
}

export const colleagueSchema = object({ role: role(), ...limitsOf })
export type ColleagueDraft = Omit<InvitationDraft, 'email'>

/** Somebody leaves: who takes their open threads; null: those who answer, each an equal share. */
export const leaveSchema = object({ takeOver: number().integer().positive().nullable().defined() })
export interface LeaveDraft {
  takeOver: number | null
}

/** Long enough that nobody guesses it; what it is made of is one's own matter. */
const password = () =>
  string().min(10, 'a password has at least 10 characters').max(200).required('choose a password')

export const joinSchema = object({
  name: line(limits.nameLength).default(''),
  password: string().max(200).required('enter a password'),
  /** Where whoever joins has an account with a second factor. */
  code: line(40).default(''),
})
export interface JoinDraft {
  name?: string
  password: string
  code?: string
}

export const newPasswordSchema = object({ password: password() })
export const passwordSchema = object({
  old: string().max(200).required('enter the password you have'),
  password: password(),
})
export interface PasswordDraft {
  old: string
  password: string
}

export const forgotSchema = object({ email: line(200).required('enter your e-mail address') })

/** What changes the way one signs in asks for the password again. */
export const provenSchema = object({ password: string().max(200).required('enter the password you have') })
export interface Proven {
  password: string
}

export const codeSchema = object({ code: line(40).required('enter the code of the app') })
export interface CodeDraft {
  code: string
}
