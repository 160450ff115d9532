import { lensSentiments } from '@murrabel/core/lens'
import { boolean, type InferType, mixed, object } from 'yup'
import { ids } from '../shared/fields.ts'

export const keepSchema = object({ ids: ids(500).min(1).required(), kept: boolean().required() })

export type KeepDraft = InferType<typeof keepSchema>

export const correctionSchema = object({
  sentiment: mixed<'positive' | 'neutral' | 'negative'>()
    .oneOf(lensSentiments.filter((s) => s !== 'unread') as ('positive' | 'neutral' | 'negative')[])
    .nullable()
    .defined(),
  /** Somebody was shown it to judge, right or wrong. */
  shown: boolean(),
  /** It was drawn by chance, and not for its doubt. */
  drawn: boolean(),
})

export const correctManySchema = object({
  ids: ids(1000).min(1).required(),
  sentiment: mixed<'positive' | 'neutral' | 'negative'>()
    .oneOf(['positive', 'neutral', 'negative'])
    .nullable()
    .defined(),
})
