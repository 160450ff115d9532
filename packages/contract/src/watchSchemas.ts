import { array, boolean, mixed, number, object, string, type InferType } from 'yup'
import { groupKinds } from './answers.ts'
import { edition, id, ids, line, lines, plain } from './fields.ts'
import { limits, watchQuerySchema, termSchema } from './schemas.ts'
import { standings, type BrandWord } from './watching.ts'

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

export const correctManySchema = object({
  ids: ids(1000).min(1).required(),
  label: mixed<'positive' | 'neutral' | 'negative'>()
    .oneOf(['positive', 'neutral', 'negative'])
    .nullable()
    .defined(),
})

export const fileSchema = object({ file: plain(2_000_000).required('the file is empty') })
export const pausedSchema = object({ paused: boolean().required() })
export const bellSeenSchema = object({
  upTo: number().integer().min(0).max(Number.MAX_SAFE_INTEGER).required(),
})

export type GroupDraft = InferType<typeof groupSchema>
export type TunerDraft = InferType<typeof tunerSchema>
export type MarkDraft = InferType<typeof marksSchema>['marks'][number]
export type StartingDraft = InferType<typeof startingSchema>
export type VoiceDraft = InferType<typeof voiceSchema>
