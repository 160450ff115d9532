import { array, boolean, object } from 'yup'
import { edition, id, line, lines } from '../shared/fields.ts'
import { limits } from '../shared/limits.ts'

/** An answer that is about to go out. */
export const replyCheckSchema = object({
  text: lines(limits.replyLength).required('write something before sending'),
  /** Everybody can read it where it goes. */
  public: boolean().default(false),
})
export interface ReplyCheckDraft {
  text: string
  public: boolean
}

/** Languages that a pattern can be written in; `und`: for any. */
export const patternLanguages = ['und', 'en', 'fr', 'es', 'de', 'it', 'nl', 'pt'] as const

/** A reply pattern: one meaning, with a text for each language. */
export const patternSchema = object({
  edition: edition(),
  name: line(limits.nameLength).required('a pattern needs a name'),
  folder: line(limits.nameLength).default(''),
  texts: array()
    .of(
      object({
        language: line(8)
          .oneOf([...patternLanguages])
          .required(),
        text: lines(limits.replyLength).required('write something'),
      }),
    )
    .min(1, 'write a text in at least one language')
    .max(patternLanguages.length)
    .test('once', 'each language has one text', (texts) => {
      const languages = (texts ?? []).map(({ language }) => language)
      return new Set(languages).size === languages.length
    })
    .required(),
})
export interface PatternDraft {
  edition?: number
  name: string
  folder?: string
  texts: { language: string; text: string }[]
}

/** The role in whose name replies are signed. */
export const signOffSchema = object({
  edition: edition(),
  text: lines(200).required('a sign-off needs words'),
  /** Whose it is; null: everybody may sign with it. */
  whose: id().nullable().default(null),
})
export interface SignOffDraft {
  edition?: number
  text: string
  whose?: number | null
}
