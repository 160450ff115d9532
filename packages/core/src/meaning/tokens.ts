/** One word, number, mark or emoji of a text, as the model sees it. */
export interface Token {
  /** In lower case, apostrophes plain; a number is `<n>`. */
  key: string
  /** UTF-16 offsets, end exclusive. */
  start: number
  end: number
  /** Position of its sentence. */
  sentence: number
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
const joiners = /^(?:and|but|yet|et|mais|y|pero|und|aber|sondern|sino)$/
const pauses = /^[,;:]$/
const ends = /^[.!?…\n]/
/** How many words after it a denial reaches. */
const reach = 4

const denials: Record<string, RegExp> = {
  en: /^(?:no|not|never|nobody|nothing|none|without|cannot|nor|neither|hardly|barely|nowhere)$|n't$/,
  fr: /^(?:ne|n'|pas|jamais|rien|personne|aucun|aucune|sans|ni|plus)$/,
  es: /^(?:no|nunca|nada|nadie|ningún|ninguna|ninguno|sin|ni|tampoco|jamás)$/,
  de: /^(?:nicht|kein|keine|keinen|keinem|keiner|keines|nie|niemals|nichts|niemand|ohne|weder|kaum)$/,
}

/** Whether a word denies, in any of the languages. */
export const isDenial = (key: string): boolean => Object.values(denials).some((denial) => denial.test(key))

/** What French leaves of a short word before a vowel: a word of its own. */
const elision = /^(?:[jldmnstc]|qu|jusqu|lorsqu|puisqu|quelqu)'(?=.)/

/** A German denial often stands behind its verb: the two words before it are denied, too. */
function denyBehind(tokens: readonly Token[]): void {
  const last = tokens.at(-1)!
  for (const token of tokens.slice(-3, -1)) if (token.sentence === last.sentence) token.denied = true
}

/** @param language one that has a model */
export function tokensOf(text: string, language: string): Tokens {
  const denial = denials[language]!
  const tokens: Token[] = []
  const questions: boolean[] = [false]
  let sentence = 0
  let scope = 0
  let open = false
  for (const { 0: raw, index: start } of text.matchAll(pattern)) {
    if (tokens.length >= mostTokens) break
    if (ends.test(raw)) {
      if (raw.includes('?')) questions[sentence] = true
      if (raw[0] === '!' || raw[0] === '?')
        tokens.push({ key: raw[0], start, end: start + raw.length, sentence, denied: false })
      scope = 0
      if (open) questions[++sentence] = false
      open = false
      continue
    }
    if (raw[0] === '¿' || raw[0] === '¡') continue
    if (pauses.test(raw)) {
      scope = 0
      continue
    }
    open = true
    const key = /^\p{N}/u.test(raw) ? '<n>' : raw.toLowerCase().replace(/[’ʼ]/g, "'")
    const elided = language === 'fr' ? (elision.exec(key)?.[0].length ?? 0) : 0
    for (const [from, to] of elided
      ? [[0, elided] as const, [elided, key.length] as const]
      : [[0, raw.length] as const]) {
      const part = raw === key || elided ? key.slice(from, to) : key
      if (joiners.test(part)) scope = 0
      tokens.push({ key: part, start: start + from, end: start + to, sentence, denied: scope > 0 })
      if (denial.test(part)) {
        scope = reach
        if (language === 'de') denyBehind(tokens)
      } else scope--
    }
  }
  return { tokens, questions }
}
