import { array, boolean, number, object } from 'yup'
import { edition, id, line, lines } from '../shared/fields.ts'
import { limits } from '../shared/limits.ts'
import { termSchema } from '../watches/schemas.ts'
import type { BrandWord } from './answers.ts'

export const wordsSchema = object({
  edition: edition(),
  words: array()
    .of(
      object({
        term: line(80).required('a word of your own has no text'),
        valence: number().min(-4).max(4).required(),
      }).required(),
    )
    .max(1000)
    .required()
    .test('twice', '', function (words: BrandWord[] | undefined) {
      const seen = new Set<string>()
      for (const { term } of words ?? []) {
        // A word without a term is told by its own check.
        if (!term) continue
        const key = term.trim().toLowerCase()
        if (seen.has(key))
          return this.createError({
            message: `"${term}" stands twice in the list, so it is not clear what it means. Keep one.`,
          })
        seen.add(key)
      }
      return true
    }),
})

export const aspectsSchema = object({
  edition: edition(),
  aspects: array()
    .of(
      object({
        id: id(),
        name: line(limits.nameLength).required('give the aspect a name'),
        terms: array()
          .of(termSchema.required())
          .min(1, 'give the aspect at least one term')
          .max(100)
          .required(),
      }).required(),
    )
    .max(40)
    .required(),
})

export const learningSchema = object({ wanted: boolean().required() })

export const readingSchema = object({
  text: lines(5000).required('write a sentence to try'),
  words: array()
    .of(
      object({
        term: line(80).required(),
        valence: number().min(-4).max(4).required(),
      }).required(),
    )
    .max(1000),
})

export const doubtSchema = object({
  below: number().min(0, 'a confidence is from 0 to 1').max(1, 'a confidence is from 0 to 1').required(),
})
