import { compileAspects, type CompiledAspects, type OwnWord } from '@murrabel/core/sentiment'
import type { AlikeAspect, AnswersModel, Model } from '@murrabel/core/learning'
import type { Term } from '@murrabel/core/watches'

/** What a brand has taught, as plain values. */
export interface TeachingSource {
  version: number
  ownWords: OwnWord[]
  aspectTerms: { id: number; terms: Term[] }[]
  /** Null when nothing was learnt, or it is no better, or nobody wants it. */
  model: Model | null
  /** Words that tell an aspect where none of its terms stands, by its number. */
  alikeAspects: [number, AlikeAspect][]
  /** The same of what is answered. */
  answers: AnswersModel | null
}

/** The same, made ready for reading. */
export interface Teaching extends TeachingSource {
  aspects: CompiledAspects
}

export const compileTeaching = (source: TeachingSource): Teaching => ({
  ...source,
  aspects: compileAspects(source.aspectTerms, new Map(source.alikeAspects)),
})
