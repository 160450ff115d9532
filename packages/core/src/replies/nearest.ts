import { isStopWord } from '../phrases/index.ts'
import { placedWords } from '../text/index.ts'

/** Weight of a word that stands in a text, and of the text's length: k1 and b of BM25 (Robertson and Zaragoza 2009). */
const k1 = 1.2
const b = 0.75
/** An answer in another language, or to another wish, helps less. */
const otherLanguage = 0.45
const otherWish = 0.9
/** At most so much is added for aspects in common. */
const aspectsAdd = 0.3
/** Below this share of what the text would score with itself, nothing is near: among 1,500 texts of chance one in twenty has one above. */
export const nearFrom = 0.25
/** Words of a text that are looked for. */
const wordsAtMost = 24

/** What is asked now. */
export interface AskedNow {
  /** Its forms, as `formsOf` gives them. */
  forms: readonly string[]
  language: string | null
  wish: string | null
  aspects: readonly string[]
}

/** What was asked once, and answered. */
export interface AskedOnce {
  /** Its different words, folded. */
  words: readonly string[]
  language: string | null
  wish: string | null
  aspects: readonly string[]
}

/** How common words are where the texts come from. */
export interface WordCommonness {
  /** All texts. */
  texts: number
  /** Of them, those with a word of this form. */
  having: ReadonlyMap<string, number>
}

export interface Nearness {
  /** Position among the texts given. */
  index: number
  /** 0 to about 1.3: of what the text would score with itself. */
  score: number
  /** The forms found in both, those that tell most first. */
  shared: string[]
}

/**
 * The beginning by which forms of a word are one: "crossing" and "crossings", "refunded" and "refund".
 *
 * @example formOf('crossings') // "crossin"
 */
export const formOf = (word: string): string =>
  word.length >= 7 ? word.slice(0, -2) : word.length >= 5 ? word.slice(0, -1) : word

/** Letters that a word may have beyond its form. */
const tail = 4
const hasForm = (word: string, form: string) => word.startsWith(form) && word.length - form.length <= tail

/** The forms of the words that say something in a text, each once, as they come. */
export function formsOf(text: string): string[] {
  const forms = placedWords(text)
    .map(({ word }) => word)
    .filter((word) => word.length > 1 && !isStopWord(word) && !/^\d+$/.test(word))
    .map(formOf)
  return [...new Set(forms)].slice(0, wordsAtMost)
}

/** BM25's weight of a form: the rarer, the more it tells. */
const weightOf = (form: string, { texts, having }: WordCommonness): number => {
  const n = Math.min(texts, having.get(form) ?? 0)
  return Math.log(1 + (texts - n + 0.5) / (n + 0.5))
}

/**
 * Texts like the one that is asked, nearest first: BM25 over forms of words, each counted once a text, more for the same language, wish
 * and aspects. Those that share a single common word are left out.
 *
 * @example nearestTexts({ forms: ['dog'], language: 'en', wish: null, aspects: [] }, [], { texts: 0, having: new Map() }) // []
 */
export function nearestTexts(
  asked: AskedNow,
  texts: readonly AskedOnce[],
  commonness: WordCommonness,
): Nearness[] {
  const weights = new Map(asked.forms.map((form) => [form, weightOf(form, commonness)]))
  const self = asked.forms.reduce((sum, form) => sum + weights.get(form)!, 0)
  if (!self) return []
  const average = texts.reduce((sum, { words }) => sum + words.length, 0) / Math.max(1, texts.length)
  const found = texts.flatMap((text, index): Nearness[] => {
    const shared = asked.forms.filter((form) => text.words.some((word) => hasForm(word, form)))
    if (!shared.length || (shared.length === 1 && asked.forms.length > 1)) return []
    const damped = (k1 + 1) / (1 + k1 * (1 - b + (b * text.words.length) / Math.max(1, average)))
    const score =
      (shared.reduce((sum, form) => sum + weights.get(form)!, 0) *
        Math.min(1, damped) *
        nearer(asked, text)) /
      self
    shared.sort((x, y) => weights.get(y)! - weights.get(x)!)
    return score < nearFrom ? [] : [{ index, score, shared }]
  })
  return found.sort((x, y) => y.score - x.score || x.index - y.index)
}

function nearer(asked: AskedNow, text: AskedOnce): number {
  const language = asked.language && text.language && asked.language !== text.language ? otherLanguage : 1
  const wish = asked.wish && text.wish && asked.wish !== text.wish ? otherWish : 1
  const common = asked.aspects.filter((aspect) => text.aspects.includes(aspect)).length
  const all = new Set([...asked.aspects, ...text.aspects]).size
  return language * wish * (1 + (all ? (aspectsAdd * common) / all : 0))
}
