import { isStopWord } from '../phrases/index.ts'
import { foldAccents, placedWords, splitSentences } from '../text/index.ts'
import { angryWords, greetings, moneyBack, plainAnswers } from './replyWords.ts'

/** Something about an answer that its writer may want to look at before it goes out. */
export type ReplyDoubt =
  /** It greets somebody by another name than the customer's. */
  | { kind: 'name'; words: string; start: number; end: number }
  /** Where everybody reads it, it holds an address, a number, a card or a booking. */
  | {
      kind: 'personal'
      what: 'email' | 'phone' | 'card' | 'account' | 'reference'
      words: string
      start: number
      end: number
    }
  /** A gap that was to be filled. */
  | { kind: 'gap'; words: string; start: number; end: number }
  /** It is in another language than what it answers; BCP 47. */
  | { kind: 'language'; theirs: string; ours: string }
  /** It promises more money than a colleague may without asking. */
  | { kind: 'money'; words: string; amount: number; currency: string; start: number; end: number }
  /** Words that hurt, or shouting. */
  | { kind: 'angry'; words: string; start: number; end: number }
  /** A question of theirs that it says nothing to. */
  | { kind: 'question'; words: string }
  /** The same words as the last answer to this person. */
  | { kind: 'repeated'; likeness: number }

export interface ReplyToCheck {
  text: string
  /** Everybody can read it. */
  public: boolean
  /** Language of the answer; `und` where it cannot be told. */
  language: string
}

export interface ReplySetting {
  /** What the customer is called and signs as, all that is known. */
  names: readonly string[]
  /** Those of the team, who sign what they write. */
  colleagues: readonly string[]
  /** What is answered: everything of theirs since our last answer, oldest first. */
  asked: readonly { text: string; language: string | null }[]
  /** The last answer to this person, anywhere; null: none. */
  last: string | null
  /** A promise above this is doubted, in any currency; null: none is. */
  moneyLimit: number | null
}

/**
 * What the writer of an answer may want to look at before it goes out. Nothing is forbidden by it: each is a doubt, with the words
 * it rests on (UTF-16 offsets).
 *
 * @example checkReply({ text: 'Dear Hester, sorry.', public: false, language: 'en' }, { names: ['Perrin Oakes'], colleagues: [], asked: [], last: null, moneyLimit: null })[0].kind // "name"
 */
export function checkReply(reply: ReplyToCheck, setting: ReplySetting): ReplyDoubt[] {
  const { text } = reply
  return [
    ...otherNames(text, setting),
    ...(reply.public ? personalPlaces(text) : []),
    ...gaps(text),
    ...otherLanguage(reply, setting),
    ...promises(text, setting),
    ...anger(text),
    ...unanswered(text, setting),
    ...repeated(text, setting),
  ]
}

const words = (name: string) => foldAccents(name).match(/\p{L}[\p{L}\p{M}'’-]*/gu) ?? []

/** A name after a greeting, at the beginning of a line. */
const greeted = new RegExp(
  String.raw`(?:^|\n)[ \t]*(?:${greetings.join('|')})[ \t,]+((?:(?:\p{Lu}\p{L}{0,3}\.|Mr|Mrs|Ms|Miss|Mx|Dr|Madame|Monsieur|Mme|Herr|Frau|Señora?|Sra|Sr)[ \t]+)*)(\p{Lu}[\p{L}'’-]+(?:[ \t]+\p{Lu}[\p{L}'’-]+){0,2})`,
  'gu',
)
/** What stands after a greeting and is no name. */
const nobody = new Set(
  'all everyone everybody there team both customer guest sir madam friend friends madame monsieur messieurs mesdames tous toutes kunde kundin gast herren damen cliente señor señora senor senora amigo amiga todos'.split(
    ' ',
  ),
)

function otherNames(text: string, { names, colleagues }: ReplySetting): ReplyDoubt[] {
  const theirs = new Set(names.flatMap(words))
  // Whoever is known by a number or a handle alone may be called by any name.
  if (!names.some((name) => /^\p{L}[\p{L}'’.-]* \p{L}/u.test(name))) return []
  const ours = new Set(colleagues.flatMap(words))
  return [...text.matchAll(greeted)].flatMap((match) => {
    const name = match[2]!
    const said = words(name)
    if (said.some((word) => nobody.has(word) || theirs.has(word) || ours.has(word))) return []
    // A short form: "Tom" of "Thomas" begins alike.
    if (said.some((word) => [...theirs].some((known) => alikeName(word, known)))) return []
    const start = match.index + match[0].lastIndexOf(name)
    return [{ kind: 'name' as const, words: name, start, end: start + name.length }]
  })
}
const alikeName = (a: string, b: string) =>
  a.length >= 3 && b.length >= 3 && (a.startsWith(b.slice(0, 3)) || b.startsWith(a.slice(0, 3)))

/** Numbers of cards have a check digit. */
function isCard(digits: string): boolean {
  if (digits.length < 13 || digits.length > 19) return false
  let sum = 0
  for (let i = 0; i < digits.length; i++) {
    const digit = Number(digits[digits.length - 1 - i])
    const doubled = i % 2 ? digit * 2 : digit
    sum += doubled > 9 ? doubled - 9 : doubled
  }
  return sum % 10 === 0
}

const place = (match: RegExpMatchArray) => ({
  words: match[0],
  start: match.index!,
  end: match.index! + match[0].length,
})

/** Where a text holds an address, a number, a card or a booking, first to last. */
export function personalPlaces(text: string): Extract<ReplyDoubt, { kind: 'personal' }>[] {
  const found: Extract<ReplyDoubt, { kind: 'personal' }>[] = []
  const add = (what: (typeof found)[number]['what'], at: { words: string; start: number; end: number }) => {
    if (!found.some(({ start, end }) => at.start < end && start < at.end))
      found.push({ kind: 'personal', what, ...at })
  }
  for (const match of text.matchAll(/[\w.+-]{1,64}@[\w-]+(?:\.[\w-]+)+/g)) add('email', place(match))
  for (const match of text.matchAll(/\b[A-Z]{2}\d{2}(?: ?[A-Z0-9]{4}){3,7}(?: ?[A-Z0-9]{1,3})?\b/g))
    add('account', place(match))
  for (const match of text.matchAll(/\b\d(?:[ -]?\d){12,18}\b/g))
    if (isCard(match[0].replace(/\D/g, ''))) add('card', place(match))
  for (const match of text.matchAll(/(?<![\w+])(?:\+|00)[1-9](?:[ ()./-]{0,2}\d){6,14}/g))
    add('phone', place(match))
  for (const match of text.matchAll(/(?<![\w+])0\d{2,4}[ /-]?\d{3,4}[ -]?\d{3,4}\b/g))
    add('phone', place(match))
  // A booking or a case: letters and figures together, as ours and theirs are written.
  for (const match of text.matchAll(/\b(?=[A-Z0-9-]*\d[A-Z0-9-]*\d[A-Z0-9-]*\d)[A-Z]{2,5}-?\d{3,10}\b/g))
    add('reference', place(match))
  return found.sort((a, b) => a.start - b.start)
}

/** Brackets of any kind around a word, and signs that somebody leaves for later. */
const gap =
  /\{\{?[^{}\n]{0,40}\}\}?|\[(?!\d+\])\p{L}[^[\]\n]{0,40}\](?!\()|<\p{L}[\p{L} ]{1,30}>|(?<![\p{L}\d])(?:[Xx]{3,}|_{3,}|TODO|TBC|TBD|tbc|tbd|\?{3,})(?![\p{L}\d])/gu
const gaps = (text: string): ReplyDoubt[] =>
  [...text.matchAll(gap)].map((match) => ({ kind: 'gap', ...place(match) }))

function otherLanguage({ language, text }: ReplyToCheck, { asked }: ReplySetting): ReplyDoubt[] {
  const theirs = asked.findLast((each) => each.language && each.language !== 'und')?.language
  // A word or two may be in any language.
  const enough = (text.match(/\p{L}+/gu) ?? []).length >= 5
  return enough && theirs && language !== 'und' && language !== theirs
    ? [{ kind: 'language', theirs, ours: language }]
    : []
}

const signs: Record<string, string> = { '£': 'GBP', '€': 'EUR', $: 'USD' }
const currency = '£|€|\\$|GBP|EUR|USD|CHF'
const figure = String.raw`\d{1,3}(?:[ .,'’\u00a0]\d{3})*(?:[.,]\d{1,2})?|\d+(?:[.,]\d{1,2})?`
const amounts = new RegExp(
  String.raw`(?<before>${currency})\s?(?<a>${figure})|(?<b>${figure})\s?(?<after>${currency}|pounds?|euros?|livres|pfund)(?!\p{L})`,
  'giu',
)
const spelt: Record<string, string> = {
  pound: 'GBP',
  pounds: 'GBP',
  livres: 'GBP',
  pfund: 'GBP',
  euro: 'EUR',
  euros: 'EUR',
}

/**
 * A written amount as a number; the last sign before one or two figures divides the cents.
 *
 * @example amountOf('1.250,50') // 1250.5
 */
export function amountOf(written: string): number {
  const cents = /[.,](\d{1,2})$/.exec(written)
  const whole = (cents ? written.slice(0, cents.index) : written).replace(/\D/g, '')
  return Number(`${whole}.${cents?.[1] ?? '0'}`)
}

function promises(text: string, { moneyLimit }: ReplySetting): ReplyDoubt[] {
  if (moneyLimit === null) return []
  return splitSentences(text).flatMap(({ start, end }) => {
    const sentence = text.slice(start, end)
    if (!moneyBack.test(foldAccents(sentence))) return []
    return [...sentence.matchAll(amounts)].flatMap((match): ReplyDoubt[] => {
      const { before, after, a, b } = match.groups!
      const amount = amountOf((a ?? b)!)
      const unit = (before ?? after)!
      if (!(amount > moneyLimit)) return []
      return [
        {
          kind: 'money',
          words: match[0],
          amount,
          currency: signs[unit] ?? spelt[unit.toLowerCase()] ?? unit.toUpperCase(),
          start: start + match.index,
          end: start + match.index + match[0].length,
        },
      ]
    })
  })
}

function anger(text: string): ReplyDoubt[] {
  const folded = foldAccents(text)
  const said =
    folded.length === text.length
      ? [...folded.matchAll(angryWords)].map((match) => ({
          kind: 'angry' as const,
          words: text.slice(match.index, match.index + match[0].length),
          start: match.index,
          end: match.index + match[0].length,
        }))
      : []
  // Four words and more that shout.
  const shouted = [...text.matchAll(/(?<!\p{L})\p{Lu}{2,}(?:[ ,!']+\p{Lu}{2,}){3,}!*/gu)].map((match) => ({
    kind: 'angry' as const,
    ...place(match),
  }))
  return [...said, ...shouted]
}

/** Letters by which two forms of a word are one. */
const stem = (word: string) => word.slice(0, Math.max(4, word.length - 3))
const contentOf = (text: string): Set<string> =>
  new Set(placedWords(text).flatMap(({ word }) => (word.length > 2 && !isStopWord(word) ? [stem(word)] : [])))
/** A plain word that answers a question of yes or no, or says when, how much or where to look; "we do". */
const answering = new RegExp(
  String.raw`(?<!\p{L})(?:${plainAnswers})(?!\p{L})|(?<!\p{L})(?:we|you|they|it|i) (?:do|does|can|may|will|did|are|is)(?=[,.!;]|$)|\d|https?:`,
  'mu',
)
/** A question that asks for nothing: "how are you?", "really?". */
const shortest = 3

function unanswered(text: string, { asked }: ReplySetting): ReplyDoubt[] {
  const said = contentOf(text)
  const answers = answering.test(foldAccents(text))
  const questions = asked.flatMap(({ text: theirs }) =>
    splitSentences(theirs)
      .map(({ start, end }) => theirs.slice(start, end).trim())
      .filter((sentence) => /\?["'”’»)\s]*$/.test(sentence)),
  )
  return questions.flatMap((question) => {
    const content = [...contentOf(question)]
    if (placedWords(question).length < shortest || !content.length) return []
    if (content.some((word) => said.has(word))) return []
    // With one question, a plain answer is an answer to it.
    return answers && questions.length === 1 ? [] : [{ kind: 'question' as const, words: question }]
  })
}

/** From here on it is the same text. */
const sameFrom = 0.85
function repeated(text: string, { last }: ReplySetting): ReplyDoubt[] {
  if (last === null) return []
  const pairs = (of: string) => {
    const list = placedWords(of).map(({ word }) => word)
    return new Set(list.slice(1).map((word, i) => `${list[i]} ${word}`))
  }
  const [ours, before] = [pairs(text), pairs(last)]
  if (ours.size < 6) return []
  const shared = [...ours].filter((pair) => before.has(pair)).length
  const likeness = shared / (ours.size + before.size - shared)
  return likeness >= sameFrom ? [{ kind: 'repeated', likeness }] : []
}
