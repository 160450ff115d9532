import { boolean, object, string } from 'yup'
import { personStandings } from '@murrabel/core/lens'
import { edition, id, line, lines } from '../shared/fields.ts'
import { limits } from '../shared/limits.ts'
import { wayKinds } from './answers.ts'

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
})
export interface PersonDraft {
  edition?: number
  name?: string
  language?: string | null
  standing?: (typeof personStandings)[number] | null
  note?: string
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
