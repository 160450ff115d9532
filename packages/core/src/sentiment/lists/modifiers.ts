import type { Grammar } from './grammar.ts'
import type { Item } from './items.ts'

/** Words a negation reaches across, counted in words: longer reaches flip more than they should. */
const negationReach = 6
const functionReach = 4

const likers = new Set(
  `i we you they he she really also do don't dont didn't didnt did doesn't doesnt does not always still actually kids people
  guests and to will might would i'd never`.split(/\s+/),
)
const linking = new Set(
  'is are was were be very so really and quite that seem seems felt extremely super too most'.split(' '),
)

type InContext = (items: readonly Item[], i: number) => number

const cheapAfter = /^(?:plastic|feel|feeling|look|quality|material|materials|crap|junk|knock)/
const cheapBefore = new Set(['so', 'feels', 'looks', 'felt', 'looked', 'seems', 'very', 'and', 'cheap'])
const isWord = (item: Item | undefined): item is Item => item?.kind === 'word'

const inDegree: InContext = (items, i) => {
  const after = items[i + 1]
  return isWord(after) && after.entry.valence ? 0 : items[i]!.entry.valence
}

/** Words whose say depends on their neighbours. */
const contextual = new Map<string, InContext>([
  ['like', (items, i) => (likers.has(items[i - 1]?.key ?? '') ? 1.6 : 0)],
  ['kind', (items, i) => (linking.has(items[i - 1]?.key ?? '') && items[i + 1]?.key !== 'of' ? 2.2 : 0)],
  [
    'pretty',
    (items, i) => {
      const after = items[i + 1]
      return linking.has(items[i - 1]?.key ?? '') && (!isWord(after) || after.key === 'and') ? 1.8 : 0
    },
  ],
  [
    'well',
    (items, i) => {
      const before = items[i - 1]
      return isWord(before) && !['as', 'oh', 'and'].includes(before.key) ? 1.3 : 0
    },
  ],
  [
    'cheap',
    (items, i) => {
      const poor = cheapBefore.has(items[i - 1]?.key ?? '') || cheapAfter.test(items[i + 1]?.key ?? '')
      return poor ? -1.4 : 0.3
    },
  ],
  ['super', inDegree],
  ['mega', inDegree],
  ['better', (items, i) => (elsewhereBetter(items, i) ? -1.8 : items[i]!.entry.valence)],
  ['worse', (items, i) => (metWorse(items, i) ? 1.2 : items[i]!.entry.valence)],
  ['love', lovesTrouble],
  ['enjoy', lovesTrouble],
  ['adore', lovesTrouble],
])

/** "like" is an opinion only as a verb, "kind" only as a quality, "pretty" and "well" only where they judge. */
export function valenceInContext(items: readonly Item[], i: number): number {
  const item = items[i]!
  return contextual.get(item.key)?.(items, i) ?? item.entry.valence
}

/** "there are better places", "I have had better": praise of something else. */
function elsewhereBetter(items: readonly Item[], i: number): boolean {
  for (let k = i - 1; k >= 0 && i - k <= 4; k--) {
    const { kind, key } = items[k]!
    if (kind !== 'word') return false
    if (key === 'there' || key === 'had' || key === 'deserve' || key === 'deserved' || key === 'expected')
      return true
  }
  return false
}

/** "I have seen worse", "you could do a lot worse": it is not among the worst. */
function metWorse(items: readonly Item[], i: number): boolean {
  for (let k = i - 1; k >= 0 && i - k <= 4; k--) {
    const { kind, key, entry } = items[k]!
    if (kind !== 'word' || entry.negator) return false
    if (/^(?:seen|had|eaten|known|met|tried|stayed|heard|watched)$/.test(key))
      return items[k - 1]?.key !== 'never'
    if (key === 'do' || key === 'done') return items[k - 1]?.key !== 'not'
  }
  return false
}

/** "I just love waiting": what nobody loves. */
function lovesTrouble(items: readonly Item[], i: number): number {
  const after = items[i + 1]
  const trouble =
    isWord(after) &&
    (/^(?:waiting|queueing|queuing|standing|paying|repeating|chasing|begging)$/.test(after.key) ||
      (after.key.endsWith('ing') && after.entry.valence < 0))
  return trouble ? -1.8 : items[i]!.entry.valence
}

/** "faster than this one", "nicer than here": the praise goes to something else. */
export function lesserThanThis(items: readonly Item[], i: number): boolean {
  const compared = items[i]!.key.endsWith('er') || items[i - 1]?.key === 'more' || items[i]!.taken
  if (!compared) return false
  let k = i
  while (k < items.length && k - i <= 6 && items[k]!.key !== 'than' && (k === i || items[k]!.kind === 'word'))
    k++
  // A set phrase may have used up the "than".
  return items[k]?.key === 'than' && /^(?:this|these|here)$/.test(items[k + 1]?.key ?? '')
}

const losses = new Set('faded fades waned wanes evaporated vanished dwindled died ebbed drained'.split(' '))

/** "My enthusiasm faded": what was good is gone. */
export const isLost = (items: readonly Item[], i: number): boolean =>
  losses.has(items[i + 1]?.key ?? '') || losses.has(items[i + 2]?.key ?? '')

/** "could not have been kinder", "couldn't be more pleased": the denial of a higher degree is praise. */
function isSuperlative(items: readonly Item[], negator: number, i: number): boolean {
  const could =
    items[negator]!.key === "couldn't" ||
    items[negator]!.key === 'couldnt' ||
    items[negator - 1]?.key === 'could'
  if (!could) return false
  const between = items.slice(negator + 1, i).map((item) => item.key)
  return (
    between.includes('more') || (items[i]!.key.endsWith('er') && between.some((key) => higherDegree.has(key)))
  )
}

const higherDegree = new Set('be been ask asked hope hoped wish wished imagine want'.split(' '))

/** The product of the intensifiers and softeners that stand right before an item (up to three words). */
export function factorBefore(items: readonly Item[], i: number): number {
  let factor = 1
  for (let k = i - 1, words = 0; k >= 0 && words < 3; k--, words++) {
    const { kind, entry, taken } = items[k]!
    if (kind !== 'word') break
    if (entry.negator) continue
    if (!taken && entry.factor !== 1) factor *= words === 0 ? entry.factor : 1 + (entry.factor - 1) * 0.7
    else if (words > 0) break
  }
  return Math.min(factor, 2)
}

export interface Negation {
  at: number
  /** "never been so happy": the negation stresses instead of turning. */
  stresses: boolean
}

/** The negator that governs an item, looked for backwards in its clause. */
export function negationOf(items: readonly Item[], i: number, grammar: Grammar): Negation | null {
  const reach = items[i]!.entry.valence ? negationReach : functionReach
  let comparing = false
  for (let k = i - 1, words = 0; k >= 0 && words < reach; k--) {
    const item = items[k]!
    if (item.kind === 'emoji') continue
    if (endsNegation(item)) return null
    if (comparers.has(item.key)) comparing = true
    if (item.entry.negator && !item.taken) {
      if (deniesNothing(items, k)) return null
      return negationBy(items, k, i, comparing)
    }
    const isOpinion = (item.entry.valence !== 0 && item.entry.factor === 1) || item.taken
    if (isOpinion && k < i - 1 && !bridged(items, k, i)) return null
    words++
  }
  return grammar.negatorMayFollow ? negationAfter(items, i) : null
}

/** "no small triumph", "not without charm": one denial takes the other away. */
function deniesNothing(items: readonly Item[], negator: number): boolean {
  const [before, { key }, after] = [items[negator - 1], items[negator]!, items[negator + 1]]
  if (key === 'no') return /^(?:small|mean|ordinary|little)$/.test(after?.key ?? '')
  return exemptPair.test(key) && before?.kind === 'word' && before.entry.negator
}
const exemptPair = /^(?:without|lacking|devoid)$/

const comparers = new Set(['so', 'such', 'more', 'better', 'as'])
const nevers = new Set(['never', "haven't", "hasn't"])

const endsNegation = ({ kind, entry, key }: Item) =>
  kind !== 'word' || entry.contrast || entry.concession || key === 'because' || key === 'since'

function negationBy(items: readonly Item[], negator: number, i: number, comparing: boolean): Negation | null {
  const { entry, key } = items[negator]!
  // "fails miserably": a negative verb does not turn a negative word.
  if (entry.valence < 0 && items[i]!.entry.valence < 0) return null
  const nothingBut = items[negator + 1]?.key === 'but' && negator + 1 < i
  // "I did not expect to love it": it came better than thought.
  const unexpected = /^expect/.test(items[negator + 1]?.key ?? '') && items[negator + 2]?.key === 'to'
  const stresses =
    (nevers.has(key) && comparing) || nothingBut || unexpected || isSuperlative(items, negator, i)
  return { at: negator, stresses }
}

/** Whether only joiners and words of opinion lie between, as in "not good or friendly". */
function bridged(items: readonly Item[], from: number, to: number): boolean {
  for (let k = from + 1; k < to; k++) {
    const { entry, kind } = items[k]!
    if (kind !== 'word' || !(entry.joiner || entry.valence || entry.factor !== 1)) return false
  }
  return true
}

function negationAfter(items: readonly Item[], i: number): Negation | null {
  for (let k = i + 1, words = 0; k < items.length && words < 4; k++, words++) {
    const { kind, entry, taken } = items[k]!
    if (kind !== 'word' || entry.joiner || entry.contrast) return null
    if (entry.negator && !taken) {
      const next = items[k + 1]
      const last = !next || next.kind !== 'word' || next.entry.joiner
      return last || !next.entry.valence ? { at: k, stresses: false } : null
    }
  }
  return null
}

/** What a negation makes of a valence: the good turns bad, the bad only turns mild ("not terrible"). */
export function negated(valence: number): number {
  return valence > 0 ? -0.7 * valence - 0.3 : -0.35 * valence
}

/** "too salty", "too good to be true": whether the word before is "too", and the word is one it spoils. */
export function spoiltByToo(items: readonly Item[], i: number): boolean {
  const before = items[i - 1]?.key
  if (before !== 'too' && !(before === 'damn' && items[i - 2]?.key === 'too')) return false
  return items[i]!.entry.tooWord || items[i]!.entry.valence > 0
}

const modals = new Set(
  "would could should might would've could've should've needs need wish wished".split(' '),
)
const unreal = new Set([
  'be',
  'been',
  'have',
  'to',
  'it',
  'they',
  'i',
  'we',
  'you',
  'was',
  'were',
  'a',
  'the',
  'had',
  'more',
  'some',
  'much',
  'this',
  'is',
])

/** "big enough", "not loud enough": a quality of degree that suffices, or does not. 0 when this is no such thing. */
export function sufficiency(items: readonly Item[], i: number, grammar: Grammar): number {
  if (items[i + 1]?.key !== 'enough' || !(items[i]!.entry.tooWord || items[i]!.entry.valence > 0)) return 0
  return negationOf(items, i, grammar) ? -1.6 : 1.2
}

const wishes = new Set(['wish', 'wished', 'hoped'])
const used = new Set("am is are was were got get getting i'm we're".split(' '))

/** Words that put what follows out of the world: "I wish", "if only", "you'd think", "it used to be". */
const wishing = new Map<string, (before: string, after: string) => boolean>([
  ...[...wishes].map((word) => [word, () => true] as const),
  ['only', (before) => before === 'if'],
  ['think', (before) => before === "you'd" || before === 'youd' || before === 'would'],
  ['used', (before, after) => after === 'to' && !used.has(before)],
])

const isWish = (items: readonly Item[], k: number): boolean =>
  wishing.get(items[k]!.key)?.(items[k - 1]?.key ?? '', items[k + 1]?.key ?? '') ?? false

/** "I wish every shop were so kind": what is wished of all the others is there. */
const ofAll = (items: readonly Item[], from: number, to: number): boolean =>
  items.slice(from + 1, to).some(({ key }) => /^(?:every|all|everyone|everybody|more)$/.test(key))

/** Whether an item is only wished for: "would have been nice", "needs to be cleaner", "I wish it were better". */
export function onlyWished(items: readonly Item[], i: number): boolean {
  let unrealWords = 0
  for (let k = i - 1; k >= 0 && i - k <= 7; k--) {
    const item = items[k]!
    if (item.kind !== 'word') return false
    if (isWish(items, k)) return !ofAll(items, k, i)
    if (modals.has(item.key)) return unrealWords > 0 || item.key === 'needs' || item.key === 'need'
    const counts =
      item.key === 'be' ||
      item.key === 'been' ||
      item.key === 'have' ||
      (item.key === 'to' && modals.has(items[k - 1]?.key ?? ''))
    if (counts) unrealWords++
    if (!unreal.has(item.key) && item.entry.factor === 1) {
      // Over a longer distance only a wish still reaches.
      if (i - k > 4) return false
    }
  }
  return false
}
