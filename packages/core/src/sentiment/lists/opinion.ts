import { foldAccents } from '../../text/index.ts'
import { german } from './de/words.ts'
import { englishGrammar } from './en/index.ts'
import { spanish } from './es/words.ts'
import { french } from './fr/words.ts'
import { compileGrammar } from './grammar.ts'

/** Weaker words say too little. */
const leastValence = 1

let known: ReadonlyMap<string, WordSense> | undefined

/** What a word by itself says: something good, something bad, or that something is not so. */
export type WordSense = 'good' | 'bad' | 'negation'

function senses(): ReadonlyMap<string, WordSense> {
  const found = new Map<string, WordSense>()
  for (const { words } of [
    compileGrammar(german),
    compileGrammar(spanish),
    compileGrammar(french),
    englishGrammar(),
  ])
    for (const [word, { valence, negator }] of words) {
      const sense = negator
        ? 'negation'
        : valence >= leastValence
          ? 'good'
          : valence <= -leastValence
            ? 'bad'
            : null
      if (sense) found.set(foldAccents(word), sense)
    }
  return found
}

/**
 * The sense of a word in any of the languages that are read; where two differ, English has it.
 *
 * @param word folded
 * @example senseOfWord('wonderful') // "good"
 */
export const senseOfWord = (word: string): WordSense | undefined => (known ??= senses()).get(word)
