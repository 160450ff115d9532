/** A word or phrase to look for. */
export interface Term {
  text: string
  /** Only this spelling of capitals and accents. Default false. */
  exactCase?: boolean
  /** The last word may go on: "ferr" also finds "ferries". A text that ends in "*" says the same. Default false. */
  prefix?: boolean
  /** Allow one misspelling (a letter more, less, other, or two swapped) in words of 6 letters or more. Default false. */
  slack?: boolean
}

/** Two terms that must stand near each other, in either order. */
export interface NearPair {
  first: Term
  second: Term
  /** The same sentence, the same paragraph, or at most this many words from one to the other (1: neighbours). */
  within: 'sentence' | 'paragraph' | number
}

export interface WatchQuery {
  id: string | number
  anyOf?: readonly Term[]
  allOf?: readonly Term[]
  noneOf?: readonly Term[]
  near?: readonly NearPair[]
  /** Hosts, or hosts with the start of a path: "orrin.example/tickets". */
  links?: readonly string[]
  /** Handles of voices to listen to alone, or to leave out. */
  voices?: { only?: readonly string[]; without?: readonly string[] }
  channels?: readonly string[]
  languages?: readonly string[]
}

/** What a watch is matched against. */
export interface WatchDoc {
  text: string
  /** Addresses that came beside the text (an attachment, the page itself). */
  links?: readonly string[]
  language?: string
  channel?: string
  voice?: string
}

export const watchLimits = {
  /** More terms than a person can look after; a list that long is a data set, to be split. */
  terms: 400,
  /** Characters of one term: longer than any name or set phrase. */
  termLength: 120,
  /** Words of one term. */
  termWords: 10,
  /** Letters a prefix needs: fewer would catch a large part of the language. */
  prefixLetters: 3,
  nearWords: 50,
  links: 100,
} as const
