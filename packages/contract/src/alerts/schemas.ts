import { type AlertCondition, alertLimits } from '@murrabel/core/alerts'
import { array, boolean, type InferType, number, object, string } from 'yup'
import { edition, line } from '../shared/fields.ts'
import { limits } from '../shared/limits.ts'

export const bellSeenSchema = object({
  upTo: number().integer().min(0).max(Number.MAX_SAFE_INTEGER).required(),
})

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
