import { lensChannels, lensKinds, lensSentiments } from '@murrabel/core/lens'
import type { DueRule } from '@murrabel/core/inbox'
import { array, mixed, number, object, string } from 'yup'
import type { DayHours } from '@murrabel/core/places'
import { edition, line } from '../shared/fields.ts'
import { limits } from '../shared/limits.ts'
import type { DueMinutes, SpecialDay } from './answers.ts'

const isSpan = (value: unknown): boolean =>
  Array.isArray(value) && value.length === 2 && value.every((each) => Number.isInteger(each))
/** Spans of a day as minutes from midnight; which are possible, `hoursProblem` says. */
const dayHours = () =>
  mixed<DayHours>(
    (value): value is DayHours => Array.isArray(value) && value.length <= 6 && value.every(isSpan),
  )

const day = () =>
  string()
    .matches(/^\d{4}-\d\d-\d\d$/, 'this is no day, such as 2026-12-25')
    .test('day', 'there is no such day', (value) => !value || !Number.isNaN(Date.parse(`${value}T00:00:00Z`)))

export const placeSchema = object({
  edition: edition(),
  name: line(limits.nameLength).required('give it a name'),
  address: line(300),
  phone: line(80),
  url: line(500).matches(/^$|^https?:\/\/\S+$/, 'this is no web address'),
  week: array()
    .of(dayHours().required())
    .length(7, 'a week has seven days')
    .nullable()
    .defined('say its hours'),
  specialDays: array()
    .of(object({ date: day().required(), name: line(80).default(''), hours: dayHours().required() }))
    .max(400)
    .default([]),
})
export interface PlaceDraft {
  edition?: number
  name: string
  address?: string
  phone?: string
  url?: string
  week: DayHours[] | null
  specialDays?: SpecialDay[]
}

const minutes = () => number().integer().min(1).max(60_000)

export const brandSetUpSchema = object({
  edition: edition(),
  name: line(limits.nameLength).required('give it a name'),
  nicknames: array().of(line(60).required()).max(20).default([]),
  languages: array()
    .of(
      string()
        .matches(/^[a-z]{2,3}$/, 'this is no language code, such as "fr"')
        .required(),
    )
    .min(1, 'name a language')
    .max(20)
    .required(),
  promiseLimit: number().integer().min(0).max(1_000_000).nullable().optional(),
  due: object({
    messageMinutes: minutes().required(),
    questionMinutes: minutes().required(),
    commentMinutes: minutes().required(),
    reviewMinutes: minutes().required(),
    poorReviewMinutes: minutes().required(),
    askedMinutes: minutes().required(),
    kindWordMinutes: minutes().required(),
  }).required(),
  rules: array()
    .of(
      object({
        kinds: array()
          .of(
            string()
              .oneOf([...lensKinds])
              .required(),
          )
          .default([]),
        channels: array()
          .of(
            string()
              .oneOf([...lensChannels])
              .required(),
          )
          .default([]),
        sentiments: array()
          .of(
            string()
              .oneOf([...lensSentiments])
              .required(),
          )
          .default([]),
        priority: number().integer().min(0).max(2).default(0),
        minutes: minutes().nullable().defined('say how soon'),
      }),
    )
    .max(30)
    .default([]),
})
export interface BrandSetUpDraft {
  edition?: number
  name: string
  nicknames: string[]
  languages: string[]
  /** Left out: as it was. */
  promiseLimit?: number | null
  due: DueMinutes
  rules: DueRule[]
}

export const lookSchema = object({
  colour: string()
    .matches(/^#[0-9a-f]{6}$/, 'this is no colour, such as #14505c')
    .nullable()
    .defined('choose a colour'),
})
export interface LookDraft {
  colour: string | null
}
