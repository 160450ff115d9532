import { readdirSync, readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { sentiments, wishes } from '../src/meaning/model.ts'
import type { TextKind } from '../src/meaning/features.ts'

/** A text of ours, with what a reader should find in it. */
export interface Lesson {
  text: string
  language: string
  /** Where it comes from: texts of one trade stand on one side of every split. */
  trade: string
  kind: TextKind
  /** Index into `sentiments`. */
  sentiment: number
  /** Index into `wishes`. */
  wish: number
  /** 0 to 1. */
  wantsAnswer: number
}

const kinds: Record<string, TextKind> = {
  R: 'review',
  C: 'comment',
  M: 'message',
  H: 'headline',
  F: 'post',
  N: 'mention',
}
/** What texts may be. */
export const textKinds = Object.values(kinds)
const signs = { '-': 'negative', '0': 'neutral', '+': 'positive' } as const
const wishLetters = 'qrcpfon'
const answers: Record<string, number> = { y: 1, m: 0.5, n: 0 }
const line = /^([-0+]) ([qrcpfon]) ([ymn]) ([RCMHFN]) (\S.*)$/

/** Texts that are trained on, and fresh ones that never are. */
export type TextsOf = 'texts' | 'fresh'

const folder = (language: string, of: TextsOf) =>
  fileURLToPath(new URL(`${of}/${language}/`, import.meta.url))

/**
 * All texts of a language: a file a trade, or a file for what was written at a time; a text a line, before it sentiment (- 0 +), wish (question, request, complaint,
 * praise, fault, offer, none), whether an answer is wanted (yes, maybe, no) and kind (Review, Comment, Message, Headline,
 * Forum, meNtion).
 *
 * @throws where a line is not of that form, or a text stands there twice
 */
export function readTexts(language: string, of: TextsOf = 'texts'): Lesson[] {
  const seen = new Set<string>()
  return readdirSync(folder(language, of))
    .filter((file) => file.endsWith('.txt'))
    .sort()
    .flatMap((file) =>
      readFileSync(folder(language, of) + file, 'utf8')
        .trim()
        .split('\n')
        .map((each, i) => {
          const parts = line.exec(each)
          if (!parts) throw new Error(`${language}/${file}, line ${i + 1}: ${each}`)
          const [, sign, wish, answer, kind, text] = parts as unknown as [string, '-', ...string[]]
          if (seen.has(text!))
            throw new Error(`${language}/${file}, line ${i + 1} stands there twice: ${text}`)
          seen.add(text!)
          return {
            text: text!,
            language,
            trade: file,
            kind: kinds[kind!]!,
            sentiment: sentiments.indexOf(signs[sign]),
            wish: wishes.indexOf(wishes[wishLetters.indexOf(wish!)]!),
            wantsAnswer: answers[answer!]!,
          }
        }),
    )
}

/** In the order in which they are trained together. */
export const trainedLanguages = ['de', 'en', 'es', 'fr']
