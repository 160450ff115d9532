import { boolean, type InferType, number, object, string } from 'yup'
import { emailAddress, line } from '../shared/fields.ts'
import { limits } from '../shared/limits.ts'

export const feedSchema = object({
  address: line(2000).required('enter the address of a feed'),
  name: line(limits.nameLength),
})

export const connectSchema = object({ network: line(60).required() })

const host = () => line(253).required('enter the name of the server')
const port = () => number().integer().min(1).max(65_535)

const mailServer = object({
  host: host(),
  port: port().required('enter its port'),
  /** TLS from the first byte; else it is turned on where the server offers it. */
  secure: boolean().default(true),
  user: line(300).default(''),
  /** Left out: as it was. */
  password: string().max(500).default(''),
})

/** An address of the brand as a profile. */
export const emailSchema = object({
  address: emailAddress().lowercase(),
  name: line(limits.nameLength).default(''),
  /** Where its mail is fetched from; null: other servers bring it to ours. */
  imap: mailServer.nullable().default(null),
  smtp: mailServer.required(),
})

export type EmailDraft = InferType<typeof emailSchema>
