import { checkQuery, type QueryProblem } from '@murrabel/core/watches'
import { lensSentiments } from '@murrabel/core/lens'
import { array, boolean, mixed, number, object, string, type InferType } from 'yup'
import { dateOrders } from './dateOrder.ts'
import { edition, id, ids, largestId, line, lines } from './fields.ts'

export const limits = {
  /** A reply longer than any channel takes. */
  replyLength: 10_000,
  nameLength: 80,
  /** Bytes of a file of reviews. */
  importBytes: 20_000_000,
  importRows: 100_000,
  importColumns: 200,
  feedBytes: 10_000_000,
  /** Entries of one export. */
  exportRows: 100_000,
  pageRows: 200,
} as const

export const signInSchema = object({
  email: line(200).email('enter a valid e-mail address').required('enter your e-mail address'),
  password: string().max(200).required('enter your password'),
})

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
  edition: edition(),
})

export const replySchema = object({
  text: lines(limits.replyLength).required('write something before sending'),
  /** Made by the browser once per reply, so that sending twice sends once. */
  key: string().uuid().lowercase().max(36).required(),
  /** The thread's version the writer saw. */
  version: number().integer().min(0).max(largestId).required(),
  /** Finish the thread with it. */
  finish: boolean().default(false),
  /** Send although a colleague has acted in between. */
  anyway: boolean().default(false),
})

const isoInstant = /^\d{4}-\d\d-\d\dT\d\d:\d\d(?::\d\d(?:\.\d{1,9})?)?(?:Z|[+-]\d\d:\d\d)$/
/** An instant as ISO 8601 writes it, in years that a calendar of ours reaches. */
const isInstant = (text: string) =>
  isoInstant.test(text) && Date.parse(text) >= 0 && Date.parse(text) < Date.UTC(2200, 0, 1)

export const threadEventSchema = object({
  kind: string()
    .oneOf(['finish', 'reopen', 'setAside'] as const)
    .required(),
  until: string().when('kind', {
    is: 'setAside',
    then: (s) =>
      s
        .required('say until when')
        .max(40)
        .test('time', 'not a time', (v) => isInstant(v ?? '')),
  }),
})

export const tagSchema = object({
  threads: ids(500).min(1).required(),
  add: array().of(line(40).required('a tag needs a name')).max(20).default([]),
  /** Ids of tags. */
  remove: ids(500).default([]),
})
export type TagDraft = InferType<typeof tagSchema>
export const keepSchema = object({ ids: ids(500).min(1).required(), kept: boolean().required() })
export type KeepDraft = InferType<typeof keepSchema>

export const giveSchema = object({ to: id().nullable().defined() })
/** Calls an action back; `anyway` although it may have been done. */
export const cancelSchema = object({ anyway: boolean().default(false) })
export type CancelDraft = InferType<typeof cancelSchema>

export const correctionSchema = object({
  label: mixed<'positive' | 'neutral' | 'negative'>()
    .oneOf(lensSentiments.filter((s) => s !== 'unread') as ('positive' | 'neutral' | 'negative')[])
    .nullable()
    .defined(),
})

export const feedSchema = object({
  address: line(2000).required('enter the address of a feed'),
  name: line(limits.nameLength),
})

export const connectSchema = object({ network: line(60).required() })

const column = () => line(200).nullable().default(null)
export const startImportSchema = object({
  /** Of reviews: which column holds what. */
  mapping: object({
    text: column(),
    rating: column(),
    at: column(),
    author: column(),
    title: column(),
    place: column(),
    outsideId: column(),
    url: column(),
  }).default({}),
  /** How dates such as 03/04/2026 are meant; needed where the column itself does not say. */
  dateOrder: string()
    .oneOf([...dateOrders])
    .nullable()
    .default(null),
  /** Takes in the good rows although others are refused; otherwise all or nothing. */
  anyway: boolean().default(false),
})

export type SignIn = InferType<typeof signInSchema>
export type WatchDraft = InferType<typeof watchSchema>
export type WatchQueryDraft = InferType<typeof watchQuerySchema>
export type ReplyDraft = InferType<typeof replySchema>
export type ThreadEventDraft = InferType<typeof threadEventSchema>
export type StartImportDraft = InferType<typeof startImportSchema>
export type ImportMapping = StartImportDraft['mapping']

const sentences: Record<QueryProblem['code'], (value: string) => string> = {
  nothingAsked: () =>
    'The watch has nothing to look for: give at least one term under "any of" or "all of", or a web address.',
  tooManyTerms: (v) =>
    `The watch has ${v} terms; at most 400 can be looked after. Split it into several watches.`,
  termEmpty: (v) =>
    `"${v}" holds no letter, figure or emoji, so it would match nothing or everything. Write a word.`,
  termTooLong: (v) => `"${v}" is too long: a term has at most 10 words and 120 characters.`,
  prefixTooShort: (v) =>
    `"${v}" is too short to stand for all words that begin with it: give at least 3 letters.`,
  slackTooShort: (v) =>
    `"${v}" is too short for misspellings: only words of 6 letters or more can be misspelled and still be known.`,
  nearSame: (v) => `"${v}" cannot be near itself: give two different terms.`,
  nearWords: (v) => `"${v}" is no distance: give 1 to 50 words.`,
  linkInvalid: (v) =>
    `"${v}" is not a web address: write a host such as skerrivane.example, with a path if you like.`,
  excludesItself: (v) => `"${v}" is both demanded and left out, so nothing could match.`,
}

/** What keeps a watch from being saved, as fields of the form. */
export function watchProblems(
  query: Partial<WatchQueryDraft>,
): { field: string; code: string; message: string; value?: string }[] {
  return checkQuery(query).map(({ path, code, value }) => ({
    field: path ? `query.${path}` : 'query',
    code,
    message: sentences[code](value ?? ''),
    value,
  }))
}
