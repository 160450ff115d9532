import { array, boolean, number, object, string } from 'yup'
import { personStandings } from '@murrabel/core/lens'
import type { VisitState } from '@murrabel/core/people'
import { edition, emailAddress, id, instant, line, lines } from '../shared/fields.ts'
import { limits } from '../shared/limits.ts'
import { visitStates, wayKinds } from './answers.ts'

/** What a colleague says of a person; what is left out stays as it is. An empty name: as on the network. */
export const personSchema = object({
  edition: edition(),
  name: line(limits.nameLength),
  language: string()
    .matches(/^[a-z]{2,3}$/, 'this is no language code, such as "fr"')
    .nullable(),
  standing: string()
    .oneOf([...personStandings])
    .nullable(),
  note: lines(2000),
  /** Names of all their tags; new names become tags. */
  tags: array().of(line(40).required('a tag needs a name')).max(20),
})
export interface PersonDraft {
  edition?: number
  name?: string
  language?: string | null
  standing?: (typeof personStandings)[number] | null
  note?: string
  tags?: string[]
}

export const waySchema = object({
  kind: string()
    .oneOf([...wayKinds])
    .required(),
  value: line(254).required('write the address or number'),
  consent: boolean().nullable(),
  consentHow: line(200),
})
export interface WayDraft {
  kind: (typeof wayKinds)[number]
  value: string
  consent?: boolean | null
  consentHow?: string
}

export const pairSchema = object({ one: id().required(), other: id().required() })
export interface PairDraft {
  one: number
  other: number
}

/** Somebody whom no channel has brought: their name, and how they are reached. */
export const newPersonSchema = object({
  name: line(limits.nameLength).required('write a name'),
  email: line(254),
  phone: line(80),
  note: lines(2000),
})
export interface NewPersonDraft {
  name: string
  email?: string
  phone?: string
  note?: string
}

const currency = () => string().matches(/^[A-Z]{3}$/, 'this is no currency code, such as "GBP"')
const visitParts = {
  at: instant().required('say when'),
  route: line(160),
  ship: line(80),
  party: number().integer().min(1).max(10_000).nullable(),
  price: number().min(0).max(1e9).nullable(),
  currency: currency().nullable(),
  state: string().oneOf([...visitStates]),
}

export const visitSchema = object({
  edition: edition(),
  ...visitParts,
  reference: line(80).nullable(),
  placeId: id().nullable(),
})
export interface VisitDraft {
  edition?: number
  at: string
  route?: string
  ship?: string
  placeId?: number | null
  party?: number | null
  price?: number | null
  currency?: string | null
  state?: VisitState
  reference?: string | null
}

/** Whether a thread is about a visit; null takes back what was said. */
export const belongsSchema = object({ belongs: boolean().nullable().defined('say whether it belongs') })
export interface BelongsDraft {
  belongs: boolean | null
}

const consent = () =>
  object({
    given: boolean().required('say whether it was given'),
    at: instant(),
    how: line(200),
  }).default(undefined)

/** One customer as a till, a booking system or a form tells of them, with a visit of theirs. */
export const customerSchema = object({
  /** How the other system calls them. */
  reference: line(80),
  name: line(limits.nameLength),
  email: emailAddress().optional(),
  phone: line(80),
  language: string().matches(/^[a-z]{2,3}$/, 'this is no language code, such as "fr"'),
  tags: array().of(line(40).required('a tag needs a name')).max(20).default([]),
  note: lines(2000),
  consent: object({ email: consent(), phone: consent() }).default({}),
  visit: object({
    ...visitParts,
    reference: line(80).required('a visit needs the reference by which it is known again'),
    /** The place by its name. */
    place: line(limits.nameLength),
  }).default(undefined),
})
export interface CustomerConsent {
  given: boolean
  at?: string
  how?: string
}
export interface CustomerDraft {
  reference?: string
  name?: string
  email?: string
  phone?: string
  language?: string
  tags?: string[]
  note?: string
  consent?: { email?: CustomerConsent; phone?: CustomerConsent }
  visit?: Omit<VisitDraft, 'placeId' | 'edition' | 'reference'> & { reference: string; place?: string }
}

/** Customers as another system tells of them; `at`: when it was so there, so that what arrives late changes nothing. */
export const customersSchema = object({
  at: instant(),
  customers: array().of(customerSchema).min(1).max(500).required('there are no customers'),
})
export interface CustomersDraft {
  at?: string
  customers: CustomerDraft[]
}
