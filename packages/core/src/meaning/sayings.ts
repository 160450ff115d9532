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

/** -1 unhappy, 1 glad, 0 neither by itself. */
type Sign = -1 | 0 | 1
const signs: Record<string, Sign> = { '-': -1, '0': 0, '+': 1 }

/** A saying or a pair of them, as it stands in a text. */
export interface Told {
  /** Name of the feature. */
  name: string
  sign: Sign
  denied: boolean
  /** The words it stands on: the first and last token of each part. */
  parts: readonly (readonly [first: number, last: number])[]
}

interface Pair {
  name: string
  sign: Sign
  second: number
  /** It may stretch over sentences. */
  apart: boolean
}

interface Node {
  next: Map<string, Node>
  /** Words that begin with these letters. */
  stems: [stem: string, node: Node][]
  /** One or two words of any kind. */
  gap: Node | null
  /** The sayings that end here. */
  ends: number[]
}

const newNode = (): Node => ({ next: new Map(), stems: [], gap: null, ends: [] })

interface Hit {
  saying: number
  first: number
  last: number
}

/** So many words are remembered at most. */
const mostRemembered = 20_000

/** Whether a feature is a saying or a pair of them. */
export const isOfSayings = (feature: string): boolean => feature.startsWith(mark)

const apartFrom = (a: Hit, b: Hit) => a.last < b.first || b.last < a.first

/**
 * Finds phrases that tell the same in all languages ("sent another", "renvoyé un autre"), and pairs of them that tell something
 * only together ("promised", then "since then"). Accents and capitals do not matter.
 */
export class Sayings {
  private readonly root = newNode()
  private readonly signs: Sign[]
  private readonly names: string[]
  /** By first saying. */
  private readonly pairs = new Map<number, Pair[]>()
  private readonly starts = new Map<string, readonly Node[]>()

  /** @param phrases a line a saying, in the order of the names: phrases divided by commas; `*` ends a stem, `_` is one or two words */
  constructor({ sayings, pairs }: SayingNames, phrases: string, language: string) {
    const all = sayings.split(' ')
    this.signs = [...all.map((each) => signs[each[0]!]!), 0]
    this.names = [...all.map((each) => each.slice(1)), denial]
    phrases.split('\n').forEach((line, saying) => {
      for (const phrase of line.split(',')) this.put(phrase.trim(), saying, language)
    })
    const numbers = new Map(this.names.map((name, i) => [name, i]))
    for (const line of pairs ? pairs.split('\n') : []) {
      const [sign, first, how, second] = line.split(' ') as [string, string, string, string]
      const from = numbers.get(first)!
      const pair = {
        name: `${mark}${first}${how === '..' ? ' .. ' : ' '}${mark}${second}`,
        sign: signs[sign]!,
        second: numbers.get(second)!,
        apart: how === '..',
      }
      this.pairs.set(from, [...(this.pairs.get(from) ?? []), pair])
    }
  }

  private put(phrase: string, saying: number, language: string): void {
    if (!phrase) return
    let node = this.root
    for (const word of phrase.split(/\s+/)) {
      if (word === '_') {
        node = node.gap ??= newNode()
        continue
      }
      const keys = tokensOf(word, language).tokens.map(({ key }) => foldAccents(key))
      keys.forEach((key, i) => {
        node = i === keys.length - 1 && word.endsWith('*') ? stemNode(node, key) : nextNode(node, key)
      })
    }
    if (node !== this.root && !node.ends.includes(saying)) node.ends.push(saying)
  }

  /** What a text tells, each once, in no order that means something. */
  in(tokens: readonly Token[]): Told[] {
    const words = tokens.map(({ key }) => foldAccents(key))
    const hits: Hit[] = []
    const denials: number[] = []
    tokens.forEach(({ key }, i) => {
      if (isDenial(key)) {
        denials.push(i)
        hits.push({ saying: this.names.length - 1, first: i, last: i })
      }
      for (const node of this.startsOf(words[i]!)) this.follow(node, i, i, { tokens, words, hits })
    })
    const told = new Map<string, Told>()
    const put = (each: Told) => void (told.has(each.name) || told.set(each.name, each))
    for (const hit of hits) {
      if (this.names[hit.saying] === denial) continue
      const denied = isDenied([hit], denials, tokens)
      put({
        name: mark + this.names[hit.saying]! + (denied ? '-' : ''),
        sign: this.signs[hit.saying]!,
        denied,
        parts: [[hit.first, hit.last]],
      })
    }
    for (const hit of hits)
      for (const pair of this.pairs.get(hit.saying) ?? []) {
        const other = nearest(hit, pair, hits, tokens)
        if (!other) continue
        const denies = [hit, other].some(({ saying }) => this.names[saying] === denial)
        const denied = !pair.apart && !denies && isDenied([hit, other], denials, tokens)
        put({
          name: pair.name + (denied ? '-' : ''),
          sign: pair.sign,
          denied,
          parts: [
            [hit.first, hit.last],
            [other.first, other.last],
          ],
        })
      }
    return [...told.values()]
  }

  private startsOf(word: string): readonly Node[] {
    const known = this.starts.get(word)
    if (known) return known
    if (this.starts.size >= mostRemembered) this.starts.clear()
    const found = after(this.root, word)
    this.starts.set(word, found)
    return found
  }

  /** Puts down what ends at a token, and goes on from there. */
  private follow(
    node: Node,
    first: number,
    last: number,
    found: { tokens: readonly Token[]; words: readonly string[]; hits: Hit[] },
  ): void {
    const { tokens, words, hits } = found
    for (const saying of node.ends) hits.push({ saying, first, last })
    const { sentence } = tokens[first]!
    const goesOn = (at: number) => at < tokens.length && tokens[at]!.sentence === sentence
    if (!goesOn(last + 1)) return
    for (const next of after(node, words[last + 1]!)) this.follow(next, first, last + 1, found)
    if (node.gap)
      for (const at of [last + 2, last + 3])
        if (goesOn(at)) for (const next of after(node.gap, words[at]!)) this.follow(next, first, at, found)
  }
}

function nextNode(node: Node, key: string): Node {
  const known = node.next.get(key)
  if (known) return known
  const fresh = newNode()
  node.next.set(key, fresh)
  return fresh
}

function stemNode(node: Node, stem: string): Node {
  const known = node.stems.find(([each]) => each === stem)
  if (known) return known[1]
  const fresh = newNode()
  node.stems.push([stem, fresh])
  return fresh
}

const none: readonly Node[] = []

function after({ next, stems }: Node, word: string): readonly Node[] {
  const exact = next.get(word)
  if (!stems.length) return exact ? [exact] : none
  const begun = stems.flatMap(([stem, node]) => (word.startsWith(stem) ? [node] : []))
  return exact ? [exact, ...begun] : begun
}

/** A word denies what stands shortly behind it or around it. */
function isDenied(parts: readonly Hit[], denials: readonly number[], tokens: readonly Token[]): boolean {
  if (!denials.length) return false
  const first = Math.min(...parts.map((part) => part.first))
  const last = Math.max(...parts.map((part) => part.last))
  const { sentence } = tokens[first]!
  return denials.some(
    (at) =>
      at >= first - reach &&
      at <= last &&
      tokens[at]!.sentence === sentence &&
      parts.every((part) => at < part.first || at > part.last),
  )
}

/** The second part of a pair that stands nearest to the first. */
function nearest(
  hit: Hit,
  { second, apart }: Pair,
  hits: readonly Hit[],
  tokens: readonly Token[],
): Hit | undefined {
  let best: Hit | undefined
  let least = Infinity
  for (const other of hits) {
    if (other.saying !== second || !apartFrom(hit, other)) continue
    const width = Math.max(hit.last, other.last) - Math.min(hit.first, other.first) + 1
    if (!apart && (width > widest || tokens[hit.first]!.sentence !== tokens[other.first]!.sentence)) continue
    if (width < least) {
      least = width
      best = other
    }
  }
  return best
}
