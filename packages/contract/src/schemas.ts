import { checkQuery, type QueryProblem } from '@murrabel/core/watches'
import { lensSentiments } from '@murrabel/core/lens'
import { array, boolean, mixed, number, object, string, type InferType } from 'yup'

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
  email: string().trim().email('enter a valid e-mail address').max(200).required('enter your e-mail address'),
  password: string().max(200).required('enter your password'),
})

export const termSchema = object({
  text: string().trim().required('a term has no text').max(200),
  exactCase: boolean(),
  prefix: boolean(),
  slack: boolean(),
})
const handles = () => array().of(string().trim().required().max(200)).max(500).default([])
const terms = () => array().of(termSchema.required()).default([])

export const watchQuerySchema = object({
  anyOf: terms(),
  allOf: terms(),
  noneOf: terms(),
  links: array().of(string().trim().required().max(300)).default([]),
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
  channels: array().of(string().trim().required().max(20)).max(20).default([]),
  languages: array()
    .of(
      string()
        .trim()
        .matches(/^[a-z]{2,3}$/, 'a language is written as two letters, such as "fr"')
        .required(),
    )
    .max(50)
    .default([]),
})

export const watchSchema = object({
  name: string().trim().required('give the watch a name').max(limits.nameLength),
  query: watchQuerySchema.required(),
  /** The folder it lies in; left out: as it was, or none. */
  groupId: number().integer().positive().nullable(),
})

export const replySchema = object({
  text: string().trim().required('write something before sending').max(limits.replyLength),
  /** Made by the browser once per reply, so that sending twice sends once. */
  key: string().uuid().required(),
  /** The thread's version the writer saw. */
  version: number().integer().required(),
  /** Finish the thread with it. */
  finish: boolean().default(false),
  /** Send although a colleague has acted in between. */
  anyway: boolean().default(false),
})

export const threadEventSchema = object({
  kind: string()
    .oneOf(['finish', 'reopen', 'setAside'] as const)
    .required(),
  until: string().when('kind', {
    is: 'setAside',
    then: (s) =>
      s.required('say until when').test('time', 'not a time', (v) => !Number.isNaN(Date.parse(v ?? ''))),
  }),
})

const ids = () => array().of(number().integer().positive().required())
export const tagSchema = object({
  threads: ids().min(1).max(500).required(),
  add: array().of(string().trim().required('a tag needs a name').max(40)).max(20).default([]),
  /** Ids of tags. */
  remove: ids().max(500).default([]),
})
export type TagDraft = InferType<typeof tagSchema>
export const keepSchema = object({ ids: ids().min(1).max(500).required(), kept: boolean().required() })
export type KeepDraft = InferType<typeof keepSchema>

export const giveSchema = object({ to: number().integer().positive().nullable().defined() })

export const correctionSchema = object({
  label: mixed<'positive' | 'neutral' | 'negative'>()
    .oneOf(lensSentiments.filter((s) => s !== 'unread') as ('positive' | 'neutral' | 'negative')[])
    .nullable()
    .defined(),
})

export const feedSchema = object({
  address: string().trim().required('enter the address of a feed').max(2000),
  name: string().trim().max(limits.nameLength),
})

export const connectSchema = object({ network: string().required().max(60) })

export const importReviewsSchema = object({
  name: string().trim().required('give the import a name').max(limits.nameLength),
  csv: string().required('the file is empty'),
  mapping: object({
    text: string().nullable().default(null),
    rating: string().nullable().default(null),
    at: string().nullable().default(null),
    author: string().nullable().default(null),
    title: string().nullable().default(null),
    place: string().nullable().default(null),
    outsideId: string().nullable().default(null),
    url: string().nullable().default(null),
  }).required(),
})

export const previewReviewsSchema = object({ csv: string().required('the file is empty') })

export const previewFeedSchema = object({ document: string().required('the file is empty') })

export const importFeedSchema = object({
  name: string().trim().required().max(limits.nameLength),
  document: string().required('the file is empty'),
})

export type SignIn = InferType<typeof signInSchema>
export type WatchDraft = InferType<typeof watchSchema>
export type WatchQueryDraft = InferType<typeof watchQuerySchema>
export type ReplyDraft = InferType<typeof replySchema>
export type ThreadEventDraft = InferType<typeof threadEventSchema>
export type ImportMapping = InferType<typeof importReviewsSchema>['mapping']
export type ImportReviewsDraft = InferType<typeof importReviewsSchema>

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
