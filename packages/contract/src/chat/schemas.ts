import { originOf } from '@murrabel/core/text'
import { array, number, object, string, type InferType } from 'yup'
import { emailAddress, id, line, lines } from '../shared/fields.ts'
import { limits } from '../shared/limits.ts'

const origin = () =>
  line(300)
    .transform((value: unknown) => (typeof value === 'string' ? (originOf(value) ?? value) : value))
    .required('enter the address of a site')
    .test('origin', 'this is not the address of a site', (value) => originOf(value ?? '') !== null)

/** The chat box of a site of the brand. */
export const chatSiteSchema = object({
  name: line(limits.nameLength).required('give the chat a name'),
  origins: array().of(origin()).min(1, 'enter the address of a site').max(20).required(),
  answerWithin: number().integer().min(1).max(120).default(5),
  mailProfileId: id().nullable().default(null),
  greeting: line(200).default(''),
})
export type ChatSiteDraft = InferType<typeof chatSiteSchema>

/** Longest text that a visitor can send at once. */
export const chatTextLength = 2000

/** Made in the visitor's browser: whoever has it is that visitor. */
const token = () =>
  string()
    .required()
    .matches(/^[\w-]{32,64}$/)

const page = object({ url: line(2000).default(''), title: line(300).default('') }).default({
  url: '',
  title: '',
})

export const chatStateSchema = object({})
export const chatVisitSchema = object({ token: token() })

export const chatLineSchema = object({
  token: token(),
  /** Made in the visitor's browser: the same line twice is one. */
  id: string()
    .required()
    .matches(/^[\w-]{8,64}$/),
  text: lines(chatTextLength).required('write something before sending'),
  name: line(limits.nameLength).default(''),
  language: line(35).default(''),
  page,
})
export type ChatLineDraft = InferType<typeof chatLineSchema>

export const chatMailSchema = object({
  token: token(),
  email: emailAddress(),
  name: line(limits.nameLength).default(''),
})
export type ChatMailDraft = InferType<typeof chatMailSchema>
