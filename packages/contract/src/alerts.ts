import { alertLimits, type AlertCondition, type Telling } from '@murrabel/core/alerts'
import { array, boolean, number, object, string, type InferType } from 'yup'
import { edition, line } from './fields.ts'
import { limits } from './schemas.ts'

const [leastHours, mostHours] = alertLimits.hours
const [leastDays, mostDays] = alertLimits.days
const [leastQuiet, mostQuiet] = alertLimits.quietMinutes

const conditionSchema = object({
  kind: string()
    .oneOf(['any', 'reach', 'more', 'spike', 'net'] as const)
    .required('say when it is to tell'),
  above: number().when('kind', {
    is: 'reach',
    then: (s) =>
      s.integer().min(1, 'a reach is at least 1').max(2_000_000_000).required('say from which reach on'),
  }),
  hours: number().when('kind', {
    is: 'more',
    then: (s) =>
      s
        .integer()
        .min(leastHours, `at least ${leastHours} hour`)
        .max(mostHours, `at most ${mostHours} hours`)
        .required('say in how many hours'),
  }),
  below: number().when('kind', {
    is: 'net',
    then: (s) =>
      s
        .min(-1, 'at least −100 points')
        .max(1, 'at most 100 points')
        .required('say under which net sentiment'),
  }),
  days: number().when('kind', {
    is: 'net',
    then: (s) =>
      s.integer().min(leastDays).max(mostDays, `at most ${mostDays} days`).required('say of how many days'),
  }),
})

const lensText = () => line(2000).defined('say what it is to listen to')

export const alertTrialSchema = object({
  lens: lensText(),
  condition: conditionSchema.required(),
  quietMinutes: number()
    .integer()
    .min(leastQuiet)
    .max(mostQuiet, 'at most a week')
    .required('say how long it keeps quiet'),
})

export const alertSchema = alertTrialSchema.shape({
  name: line(limits.nameLength).required('give the alert a name'),
  inApp: boolean().default(true),
  emails: array()
    .of(line(200).email('"${value}" is no e-mail address').required())
    .max(20, 'at most 20 e-mail addresses')
    .default([]),
  webhook: line(2000).url('a web address begins with https://').nullable().default(null),
  active: boolean().default(true),
  edition: edition(),
})

export type AlertDraft = InferType<typeof alertSchema>
export type AlertTrialDraft = InferType<typeof alertTrialSchema>

/** The condition of a draft, as the core takes it. */
export const conditionOf = (draft: AlertTrialDraft['condition']): AlertCondition => draft as AlertCondition

export interface AlertAnswer {
  id: number
  name: string
  lens: string
  condition: AlertCondition
  quietMinutes: number
  inApp: boolean
  emails: string[]
  webhook: string | null
  /** Shown to those who may change the alert: what the receiver checks signatures with. */
  webhookSecret: string | null
  active: boolean
  open: boolean
  toldAt: string | null
  tellings: number
  /** Addresses of its feeds, secret; null when they are switched off, or for those who may not change it. */
  atom: string | null
  json: string | null
  edition: number
  lastFailure: string | null
}

export interface AlertTrialAnswer {
  days: number
  /** Begins only, newest last. */
  tellings: (Telling & { text: string })[]
  begins: number
  aDay: number
  tooOften: boolean
}

export interface AlertEventAnswer {
  id: number
  alertId: number
  alert: string
  kind: 'begin' | 'end'
  at: string
  text: string
  /** Where its entries are: the path and query of a page. */
  link: string
}

export interface BellAnswer {
  unseen: number
  events: AlertEventAnswer[]
  /** Answers of ours that did not go out: they stay until somebody decides. */
  notSent: {
    id: number
    threadId: number
    profile: string
    network: string
    channel: string
    text: string
    error: string | null
    uncertain: boolean
    at: string
  }[]
}

export interface FeedAddresses {
  /** Null: switched off. */
  atom: string | null
  json: string | null
}
