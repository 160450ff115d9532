/** One word, number, mark or emoji of a text, as the model sees it. */
export interface Token {
  /** In lower case, apostrophes plain; a number is `<n>`. */
  key: string
  /** UTF-16 offsets, end exclusive. */
  start: number
  end: number
  /** Position of its sentence. */
  sentence: number
  /** Position of its clause, in the whole text: commas and words that join end one. */
  clause: number
  /** It follows a word that denies. */
  denied: boolean
}

export interface Tokens {
  tokens: Token[]
  /** Which sentences end with a question mark. */
  questions: boolean[]
}

/** Texts are read up to here; what comes after changes no judgement. */
const mostTokens = 400
const pattern = /\p{L}+(?:['’ʼ]\p{L}+)*|\p{N}+(?:[.,:]\p{N}+)*|\p{Extended_Pictographic}|[.!?…¿¡]+|[,;:]|\n/gu
/** A denial ends before what these add. */
const joiners = new Set(['and', 'but', 'yet', 'et', 'mais', 'y', 'pero', 'und', 'aber', 'sondern', 'sino'])
const codesOf = (marks: string) => new Set([...marks].map((mark) => mark.charCodeAt(0)))
const pauses = codesOf(',;:')
const ends = codesOf('.!?…\n')
const openers = codesOf('¿¡')
/** How many words after it a denial reaches. */
const reach = 4

const wordSet = (words: string): ReadonlySet<string> => new Set(words.split(' '))
const denials: Record<string, ReadonlySet<string>> = {
  en: wordSet('no not never nobody nothing none without cannot nor neither hardly barely nowhere'),
  fr: wordSet("ne n' pas jamais rien personne aucun aucune sans ni plus"),
  es: wordSet('no nunca nada nadie ningún ninguna ninguno sin ni tampoco jamás'),
  de: wordSet('nicht kein keine keinen keinem keiner keines nie niemals nichts niemand ohne weder kaum'),
}
const denies = (key: string, language: string) =>
  denials[language]!.has(key) || (language === 'en' && key.endsWith("n't"))

/** Whether a word denies, in any of the languages. */
export const isDenial = (key: string): boolean =>
  Object.keys(denials).some((language) => denies(key, language))

/** What French leaves of a short word before a vowel: a word of its own. */
const elision = /^(?:[jldmnstc]|qu|jusqu|lorsqu|puisqu|quelqu)'(?=.)/

const digits = /^\p{N}/u
const isNumber = (raw: string, first: number) => (first < 128 ? first >= 48 && first <= 57 : digits.test(raw))
const curled = /[’ʼ]/g
const keyOf = (raw: string) => {
  const key = raw.toLowerCase()
  return key.includes('’') || key.includes('ʼ') ? key.replace(curled, "'") : key
}

/** Puts tokens together, sentence by sentence, with how far a denial reaches. */
class TokenReader implements Tokens {
  readonly tokens: Token[] = []
  readonly questions = [false]
  private sentence = 0
  private clause = 0
  private scope = 0
  /** The sentence has a word. */
  private isOpen = false

  constructor(private readonly language: string) {}

  word(key: string, start: number, end: number): void {
    this.isOpen = true
    if (joiners.has(key)) this.pause()
    const { sentence, clause } = this
    this.tokens.push({ key, start, end, sentence, clause, denied: this.scope > 0 })
    if (denies(key, this.language)) {
      this.scope = reach
      if (this.language === 'de') this.denyBehind()
    } else this.scope--
  }
  /** A comma, its like, or a word that joins. */
  pause(): void {
    this.scope = 0
    this.clause++
  }
  end(marks: string, start: number): void {
    const { sentence, clause } = this
    if (marks.includes('?')) this.questions[sentence] = true
    if (marks[0] === '!' || marks[0] === '?')
      this.tokens.push({ key: marks[0], start, end: start + marks.length, sentence, clause, denied: false })
    this.pause()
    if (this.isOpen) this.questions[++this.sentence] = false
    this.isOpen = false
  }
  /** A German denial often stands behind its verb: the two words before it are denied, too. */
  private denyBehind(): void {
    const { tokens, sentence } = this
    for (let i = Math.max(0, tokens.length - 3); i < tokens.length - 1; i++)
      if (tokens[i]!.sentence === sentence) tokens[i]!.denied = true
  }
}

/** @param language one that has a model */
export function tokensOf(text: string, language: string): Tokens {
  const reader = new TokenReader(language)
  pattern.lastIndex = 0
  for (let found = pattern.exec(text); found; found = pattern.exec(text)) {
    if (reader.tokens.length >= mostTokens) break
    const raw = found[0]
    const start = found.index
    const first = raw.charCodeAt(0)
    if (ends.has(first)) reader.end(raw, start)
    else if (pauses.has(first)) reader.pause()
    else if (!openers.has(first)) {
      const key = isNumber(raw, first) ? '<n>' : keyOf(raw)
      const elided = language === 'fr' ? (elision.exec(key)?.[0].length ?? 0) : 0
      if (elided) {
        reader.word(key.slice(0, elided), start, start + elided)
        reader.word(key.slice(elided), start + elided, start + key.length)
      } else reader.word(key, start, start + raw.length)
    }
  }
  return reader
}
