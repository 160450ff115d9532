import { foldAccents } from '../text/index.ts'
import { isDenial, tokensOf, type Token } from './tokens.ts'

/** What sayings and pairs of them tell is the same in all languages. */
export interface SayingNames {
  /** Names of the sayings, each behind its sign, divided by spaces. */
  sayings: string
  /** A pair a line: its sign, the first saying, `+` in a sentence or `..` anywhere, the second. */
  pairs: string
}

/** Stands before the name of a saying, so that none is taken for a word. */
const mark = '^'
/** The saying that every word which denies belongs to. */
const denial = 'no'
/** Two sayings tell something together where they and what is between them have at most so many words. */
const widest = 11
/** Denied by a word that stands so many words before it. */
const reach = 2
/** A pair with a word that denies: from one to the other at most so many words. */
const denialReach = 5

/** -1 unhappy, 1 glad, 0 neither by itself. */
type Sign = -1 | 0 | 1
const signs: Record<string, Sign> = { '-': -1, '0': 0, '+': 1 }

/** A saying or a pair of them, as it stands in a text. */
export interface Told {
  /** Among the names of all that can be told. */
  number: number
  /** Name of the feature. */
  name: string
  sign: Sign
  denied: boolean
  /** The words it stands on: the first and last token of each part. */
  parts: readonly (readonly [first: number, last: number])[]
}

/** A saying or a pair, as it is and denied: its name, and its number among all of them. */
interface Named {
  names: readonly [plain: string, denied: string]
  sign: Sign
  number: number
}

interface Pair extends Named {
  second: number
  /** It may stretch over sentences. */
  apart: boolean
  /** One of the two is a word that denies. */
  denies: boolean
}

interface Node {
  next: Map<string, Node> | null
  /** Words that begin with these letters. */
  stems: [stem: string, node: Node][]
  /** One or two words of any kind. */
  gap: Node | null
  /** The sayings that end here. */
  ends: number[]
}

const noStems: Node['stems'] = []
const newNode = (): Node => ({ next: null, stems: noStems, gap: null, ends: [] })

interface Hit {
  first: number
  last: number
}

/** What is known of a word. */
export interface SayingWord {
  folded: string
  denies: boolean
  /** Where phrases go on that begin with it. */
  starts: readonly Node[]
}

/** So many words are remembered at most. */
const mostRemembered = 20_000

/** Whether a feature is a saying or a pair of them. */
export const isOfSayings = (feature: string): boolean => feature.startsWith(mark)

const apartFrom = (a: Hit, b: Hit) => a.last < b.first || b.last < a.first

/**
 * Phrases as they are looked for: words as tokens are cut, without accents, by single spaces.
 *
 * @param phrases divided by commas; `*` ends a stem, `_` is one or two words
 */
export function plainPhrases(phrases: string, language: string): string {
  const plain = phrases.split(',').map((phrase) =>
    phrase
      .trim()
      .split(/\s+/)
      .flatMap((word) => {
        if (word === '_') return word
        const keys = tokensOf(word, language).tokens.map(({ key }) => foldAccents(key))
        return word.endsWith('*') ? [...keys.slice(0, -1), `${keys.at(-1)}*`] : keys
      })
      .join(' '),
  )
  return [...new Set(plain.filter(Boolean))].join(',')
}

/**
 * Finds phrases that tell the same in all languages ("sent another", "renvoyé un autre"), and pairs of them that tell something
 * only together ("promised", then "since then"). Accents and capitals do not matter.
 */
export class Sayings {
  private readonly root = newNode()
  /** By number; the last is that of words that deny. */
  private readonly sayings: Named[]
  /** By first saying. */
  private readonly pairs: Pair[][]
  private readonly words = new Map<string, SayingWord>()
  /** By name: the text in which it was told last. */
  private readonly told: Uint32Array
  private texts = 0

  /** @param phrases a line a saying, in the order of the names: plain phrases divided by commas */
  constructor({ sayings, pairs }: SayingNames, phrases: string) {
    const all = [...sayings.split(' '), `0${denial}`]
    const numbers = new Map(all.map((each, i) => [each.slice(1), i]))
    let count = 0
    const named = (name: string, sign: string): Named => ({
      names: [name, `${name}-`],
      sign: signs[sign]!,
      number: count++,
    })
    this.sayings = all.map((each) => named(mark + each.slice(1), each[0]!))
    this.pairs = all.map(() => [])
    for (const line of pairs ? pairs.split('\n') : []) {
      const [sign, first, how, second] = line.split(' ') as [string, string, string, string]
      const apart = how === '..'
      this.pairs[numbers.get(first)!]!.push({
        ...named(`${mark}${first}${apart ? ' .. ' : ' '}${mark}${second}`, sign),
        second: numbers.get(second)!,
        apart,
        denies: first === denial || second === denial,
      })
    }
    this.told = new Uint32Array(count * 2)
    phrases.split('\n').forEach((line, saying) => {
      if (line) for (const phrase of line.split(',')) this.put(phrase, saying)
    })
  }

  private put(phrase: string, saying: number): void {
    let node = this.root
    for (const word of phrase.split(' '))
      if (word === '_') node = node.gap ??= newNode()
      else node = word.endsWith('*') ? stemNode(node, word.slice(0, -1)) : nextNode(node, word)
    if (node !== this.root && !node.ends.includes(saying)) node.ends.push(saying)
  }

  /** Names of the features of all that can be told, by number. */
  get names(): string[] {
    return [...this.sayings, ...this.pairs.flat()]
      .sort((a, b) => a.number - b.number)
      .flatMap(({ names }) => names)
  }

  /**
   * What a text tells, each once, in no order that means something.
   *
   * @param words what is known of each token
   */
  in(
    tokens: readonly Token[],
    words: readonly SayingWord[] = tokens.map(({ key }) => this.know(key)),
  ): Told[] {
    const found = this.hitsIn(tokens, words)
    const { present, hits } = found
    this.texts++
    const told: Told[] = []
    const denying = this.sayings.length - 1
    for (const saying of present) {
      if (saying !== denying)
        for (const hit of hits[saying]!) this.tell(told, this.sayings[saying]!, [hit], isDenied([hit], found))
      for (const pair of this.pairs[saying]!) {
        const others = hits[pair.second]
        if (others)
          for (const hit of hits[saying]!) {
            const other = nearest(hit, others, pair, tokens)
            if (!other) continue
            const parts = [hit, other]
            this.tell(told, pair, parts, !pair.apart && !pair.denies && isDenied(parts, found))
          }
      }
    }
    return told
  }

  private tell(told: Told[], { names, sign, number }: Named, parts: readonly Hit[], denied: boolean): void {
    const at = number * 2 + (denied ? 1 : 0)
    if (this.told[at] === this.texts) return
    this.told[at] = this.texts
    told.push({
      number: at,
      name: names[denied ? 1 : 0],
      sign,
      denied,
      parts: parts.map(({ first, last }) => [first, last]),
    })
  }

  private hitsIn(tokens: readonly Token[], words: readonly SayingWord[]): Found {
    const found: Found = { tokens, words, hits: [], present: [], denials: [] }
    for (let i = 0; i < tokens.length; i++) {
      const { denies, starts } = words[i]!
      if (denies) {
        found.denials.push(i)
        putHit(found, this.sayings.length - 1, i, i)
      }
      for (const node of starts) follow(node, i, i, found)
    }
    return found
  }

  /** Remembered for the words that were met last. */
  know(key: string): SayingWord {
    const known = this.words.get(key)
    if (known) return known
    if (this.words.size >= mostRemembered) this.words.clear()
    const folded = foldAccents(key)
    const starts = stepsFrom(this.root, folded)
    const word = { folded, denies: isDenial(key), starts }
    this.words.set(key, word)
    return word
  }
}

/** What is found in a text. */
interface Found {
  tokens: readonly Token[]
  words: readonly SayingWord[]
  /** By saying; none for one that does not occur. */
  hits: Hit[][]
  /** The sayings that occur. */
  present: number[]
  /** The words that deny. */
  denials: number[]
}

function putHit({ hits, present }: Found, saying: number, first: number, last: number): void {
  const before = hits[saying]
  if (before) before.push({ first, last })
  else {
    hits[saying] = [{ first, last }]
    present.push(saying)
  }
}

/** Puts down what ends at a token, and goes on from there. */
function follow(node: Node, first: number, last: number, found: Found): void {
  for (const saying of node.ends) putHit(found, saying, first, last)
  goOn(node, first, last + 1, found)
  if (node.gap) {
    goOn(node.gap, first, last + 2, found)
    goOn(node.gap, first, last + 3, found)
  }
}

/** @param at the next token of the phrase */
function goOn({ next, stems }: Node, first: number, at: number, found: Found): void {
  if (at >= found.tokens.length || found.tokens[at]!.sentence !== found.tokens[first]!.sentence) return
  const { folded } = found.words[at]!
  const exact = next?.get(folded)
  if (exact) follow(exact, first, at, found)
  for (const [stem, node] of stems) if (folded.startsWith(stem)) follow(node, first, at, found)
}

function nextNode(node: Node, key: string): Node {
  const known = node.next?.get(key)
  if (known) return known
  const fresh = newNode()
  node.next ??= new Map()
  node.next.set(key, fresh)
  return fresh
}

function stemNode(node: Node, stem: string): Node {
  const known = node.stems.find(([each]) => each === stem)
  if (known) return known[1]
  const fresh = newNode()
  if (node.stems === noStems) node.stems = []
  node.stems.push([stem, fresh])
  return fresh
}

function stepsFrom({ next, stems }: Node, word: string): Node[] {
  const exact = next?.get(word)
  const begun = stems.flatMap(([stem, node]) => (word.startsWith(stem) ? [node] : []))
  return exact ? [exact, ...begun] : begun
}

/** A word denies what stands shortly behind it in its clause, and what stands around it. */
function isDenied(parts: readonly Hit[], { denials, tokens }: Found): boolean {
  if (!denials.length) return false
  let first = Infinity
  let last = -1
  for (const part of parts) {
    first = Math.min(first, part.first)
    last = Math.max(last, part.last)
  }
  const { clause } = tokens[first]!
  return denials.some(
    (at) =>
      at >= first - reach &&
      at <= last &&
      (at > first || tokens[at]!.clause === clause) &&
      parts.every((part) => at < part.first || at > part.last),
  )
}

/** The second part of a pair that stands nearest to the first. */
function nearest(
  hit: Hit,
  others: readonly Hit[],
  { apart, denies }: Pair,
  tokens: readonly Token[],
): Hit | undefined {
  let best: Hit | undefined
  let least = apart ? Infinity : widest + 1
  for (const other of others) {
    if (!apartFrom(hit, other)) continue
    const [before, after] = hit.last < other.first ? [hit, other] : [other, hit]
    const width = after.last - before.first + 1
    if (width >= least) continue
    const tell = apart || (denies ? isNear : inOneSentence)(before, after, tokens)
    if (!tell) continue
    least = width
    best = other
  }
  return best
}

const inOneSentence = (before: Hit, after: Hit, tokens: readonly Token[]) =>
  tokens[before.last]!.sentence === tokens[after.first]!.sentence

/** A word that denies says something of what stands by it in its clause. */
const isNear = (before: Hit, after: Hit, tokens: readonly Token[]) =>
  after.first - before.last <= denialReach && tokens[before.last]!.clause === tokens[after.first]!.clause
