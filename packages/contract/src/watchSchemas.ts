import { array, boolean, mixed, number, object, string, type InferType } from 'yup'
import { groupKinds } from './answers.ts'
import { limits, watchQuerySchema, termSchema } from './schemas.ts'
import { standings, type BrandWord } from './watching.ts'

const id = () => number().integer().positive()

export const groupSchema = object({
  name: string().trim().required('give the group a name').max(limits.nameLength),
  kind: string()
    .oneOf([...groupKinds])
    .default('other'),
  parentId: id().nullable().default(null),
})

export const tunerSchema = object({
  query: watchQuerySchema.required(),
  watchId: id().nullable().default(null),
  marks: array()
    .of(object({ entryId: id().required(), onTopic: boolean().required() }).required())
    .max(2000)
    .default([]),
  /** Hits that are being marked and stay in the sample; the rest of it is hits nobody has marked yet. */
  keep: array().of(id().required()).max(200).default([]),
})

export const marksSchema = object({
  marks: array()
    .of(object({ entryId: id().required(), onTopic: boolean().nullable().defined() }).required())
    .min(1)
    .max(2000)
    .required(),
})

const names = () => array().of(string().trim().required().max(limits.nameLength)).max(100).default([])
export const startingSchema = object({
  nicknames: names(),
  people: names(),
  products: names(),
  rivals: names(),
  links: array().of(string().trim().required().max(300)).max(20).default([]),
})

export const publicProfileSchema = object({
  address: string().trim().required('give the address of a public profile').max(500),
  watchId: id().required('say whose profile it is'),
})
export type PublicProfileDraft = InferType<typeof publicProfileSchema>

export const voiceSchema = object({
  standing: string()
    .oneOf([...standings])
    .nullable(),
  note: string().trim().max(2000),
  kept: boolean(),
})

export const wordsSchema = object({
  words: array()
    .of(
      object({
        term: string().trim().required('a word of your own has no text').max(80),
        valence: number().min(-4).max(4).required(),
      }).required(),
    )
    .max(1000)
    .required()
    .test('twice', '', function (words: BrandWord[] | undefined) {
      const seen = new Set<string>()
      for (const { term } of words ?? []) {
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
  aspects: array()
    .of(
      object({
        id: id(),
        name: string().trim().required('give the aspect a name').max(limits.nameLength),
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
  text: string().required('write a sentence to try').max(5000),
  words: array()
    .of(
      object({
        term: string().trim().required().max(80),
        valence: number().min(-4).max(4).required(),
      }).required(),
    )
    .max(1000),
})

export const correctManySchema = object({
  ids: array().of(id().required()).min(1).max(1000).required(),
  label: mixed<'positive' | 'neutral' | 'negative'>()
    .oneOf(['positive', 'neutral', 'negative'])
    .nullable()
    .defined(),
})

export const fileSchema = object({ file: string().required('the file is empty') })
export const pausedSchema = object({ paused: boolean().required() })

export type GroupDraft = InferType<typeof groupSchema>
export type TunerDraft = InferType<typeof tunerSchema>
export type MarkDraft = InferType<typeof marksSchema>['marks'][number]
export type StartingDraft = InferType<typeof startingSchema>
export type VoiceDraft = InferType<typeof voiceSchema>
