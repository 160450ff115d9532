import { array, boolean, type InferType, mixed, object, string } from 'yup'
import { edition, id, ids, line, lines } from '../shared/fields.ts'
import { limits } from '../shared/limits.ts'
import { groupKinds } from './groupKinds.ts'
import { standings } from './voices.ts'

export const termSchema = object({
  text: line(200).required('a term has no text'),
  exactCase: boolean(),
  prefix: boolean(),
  slack: boolean(),
})

const handles = () => array().of(line(200).required()).max(500).default([])

/** More terms than a watch may have are told by the check of the watch itself. */
const terms = () => array().of(termSchema.required()).max(1000).default([])

export const watchQuerySchema = object({
  anyOf: terms(),
  allOf: terms(),
  noneOf: terms(),
  links: array().of(line(300).required()).max(1000).default([]),
  near: array()
    .of(
      object({
        first: termSchema.required(),
        second: termSchema.required(),
        within: mixed<'sentence' | 'paragraph' | number>()
          .test('within', 'say "sentence", "paragraph" or a number of words', (value) =>
            typeof value === 'number'
              ? Number.isInteger(value)
              : value === 'sentence' || value === 'paragraph',
          )
          .required(),
      }).required(),
    )
    .max(50)
    .default([]),
  voices: object({ only: handles(), without: handles() }).default({ only: [], without: [] }),
  channels: array().of(line(20).required()).max(20).default([]),
  languages: array()
    .of(
      line(3)
        .matches(/^[a-z]{2,3}$/, 'a language is written as two letters, such as "fr"')
        .required(),
    )
    .max(50)
    .default([]),
})

export const watchSchema = object({
  name: line(limits.nameLength).required('give the watch a name'),
  query: watchQuerySchema.required(),
  /** The folder it lies in; left out: as it was, or none. */
  groupId: id().nullable(),
  /** Its mentions come into the inbox, where they can be answered; left out: as it was, or not. */
  answered: boolean(),
  edition: edition(),
})

export type WatchDraft = InferType<typeof watchSchema>

export type WatchQueryDraft = InferType<typeof watchQuerySchema>

export const groupSchema = object({
  name: line(limits.nameLength).required('give the group a name'),
  kind: string()
    .oneOf([...groupKinds])
    .default('other'),
  parentId: id().nullable().default(null),
  edition: edition(),
})

export const tunerSchema = object({
  query: watchQuerySchema.required(),
  watchId: id().nullable().default(null),
  marks: array()
    .of(object({ entryId: id().required(), onTopic: boolean().required() }).required())
    .max(2000)
    .default([]),
  /** Hits that are being marked and stay in the sample; the rest of it is hits nobody has marked yet. */
  keep: ids(200).default([]),
})

export const marksSchema = object({
  marks: array()
    .of(object({ entryId: id().required(), onTopic: boolean().nullable().defined() }).required())
    .min(1)
    .max(2000)
    .required(),
})

const names = () => array().of(line(limits.nameLength).required()).max(100).default([])

export const startingSchema = object({
  nicknames: names(),
  people: names(),
  products: names(),
  rivals: names(),
  links: array().of(line(300).required()).max(20).default([]),
})

export const publicProfileSchema = object({
  address: line(500).required('give the address of a public profile'),
  watchId: id().required('say whose profile it is'),
})

export type PublicProfileDraft = InferType<typeof publicProfileSchema>

export const voiceSchema = object({
  standing: string()
    .oneOf([...standings])
    .nullable(),
  note: lines(2000),
  kept: boolean(),
  edition: edition(),
})

export const pausedSchema = object({ paused: boolean().required() })

export type GroupDraft = InferType<typeof groupSchema>

export type TunerDraft = InferType<typeof tunerSchema>

export type MarkDraft = InferType<typeof marksSchema>['marks'][number]

export type StartingDraft = InferType<typeof startingSchema>

export type VoiceDraft = InferType<typeof voiceSchema>
