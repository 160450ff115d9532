const list = (text: string) => text.split(/\s+/).filter(Boolean)

/** An ending, what stands in its place in the lists, and a factor on the valence: "schlechteste" is more than "schlecht". */
export type Ending = readonly [suffix: string, put: string, factor: number]

/** @param suffixes endings that are written apart, for all of which the same stands in the lists */
export const endingsOf = (suffixes: string, put: string, factor = 1): Ending[] =>
  list(suffixes).map((suffix) => [suffix, put, factor])

/** The lists a language is read with, as written by hand. Values are valences from -4 to 4, or factors. */
export interface LanguageWords {
  words: Record<string, string>
  whenNegated: Record<string, string>
  negators: string
  intensifiers: Record<string, string>
  softeners: Record<string, string>
  /** After these the weight of the sentence lies on what follows. */
  contrast: string
  /** The clause after these weighs less. */
  concession: string
  /** Across these a negation goes on. */
  joiners: string
  idioms: Record<string, readonly string[]>
  /** Words are joined to short ones before them by an apostrophe ("n'est"). */
  elision: boolean
  /** The negator may stand at the end of its clause ("gefällt mir nicht"). */
  negatorMayFollow?: boolean
  /** Every noun is written with a capital, so that a capital is no sign of a name. */
  nounsCapitalised?: boolean
  tooWords?: string
  /** Forms of the words that are not listed each; the first that leads to a listed word counts. */
  endings?: readonly Ending[]
}

/** What is known of one word of a language. */
export interface WordEntry {
  valence: number
  /** Valence when negated, where that is not the plain opposite. */
  whenNegated: number
  /** Factor on the word of opinion that follows; 1 when it is no such word. */
  factor: number
  negator: boolean
  contrast: boolean
  concession: boolean
  joiner: boolean
  tooWord: boolean
}

export interface IdiomNode {
  next: Map<string, IdiomNode>
  valence: number | null
}

export interface Grammar {
  words: Map<string, WordEntry>
  idioms: IdiomNode
  elision: boolean
  negatorMayFollow: boolean
  nounsCapitalised: boolean
  english: boolean
  endings: readonly Ending[]
}

export const blankEntry: WordEntry = Object.freeze({
  valence: 0,
  whenNegated: 0,
  factor: 1,
  negator: false,
  contrast: false,
  concession: false,
  joiner: false,
  tooWord: false,
})

/** One spelling for look-ups: typographic apostrophes plain, and in English left out ("dont" is "don't"). */
export const wordKey = (word: string) => word.replace(/[’ʼ]/g, "'")

export function compileGrammar(lists: LanguageWords, base: ReadonlyMap<string, number> = new Map()): Grammar {
  const words = new Map<string, WordEntry>()
  const set = (word: string, part: Partial<WordEntry>) =>
    words.set(word, { ...(words.get(word) ?? blankEntry), ...part })
  for (const [word, valence] of base) set(word, { valence })
  const idioms: IdiomNode = { next: new Map(), valence: null }
  for (const [valence, text] of Object.entries(lists.words))
    for (const word of list(text)) {
      set(word, { valence: Number(valence) })
      // Texts are cut at hyphens, so a joined word is read as a phrase.
      if (word.includes('-')) addIdiom(idioms, word, Number(valence))
    }
  for (const [valence, text] of Object.entries(lists.whenNegated))
    for (const word of list(text)) set(word, { whenNegated: Number(valence) })
  for (const table of [lists.intensifiers, lists.softeners])
    for (const [factor, text] of Object.entries(table))
      for (const word of list(text)) set(word, { factor: Number(factor) })
  for (const word of list(lists.negators)) set(word, { negator: true })
  for (const word of list(lists.contrast)) set(word, { contrast: true })
  for (const word of list(lists.concession)) set(word, { concession: true })
  for (const word of list(lists.joiners)) set(word, { joiner: true })
  for (const word of list(lists.tooWords ?? '')) set(word, { tooWord: true })
  for (const [valence, phrases] of Object.entries(lists.idioms))
    for (const phrase of phrases)
      addIdiom(idioms, phrase.trim(), Number(valence) === 0.1 ? 0 : Number(valence))
  return {
    words,
    idioms,
    elision: lists.elision,
    negatorMayFollow: lists.negatorMayFollow ?? false,
    nounsCapitalised: lists.nounsCapitalised ?? false,
    english: base.size > 0,
    endings: lists.endings ?? [],
  }
}

export function addIdiom(root: IdiomNode, phrase: string, valence: number): void {
  let node = root
  for (const word of phrase
    .toLowerCase()
    .replace(/'/g, '')
    .split(/[\s-]+/)) {
    let next = node.next.get(word)
    if (!next) node.next.set(word, (next = { next: new Map(), valence: null }))
    node = next
  }
  node.valence = valence
}
