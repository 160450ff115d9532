import { definePart } from '../part.ts'
import { foundByPhrase, phraseWords } from '../searchWords.ts'
import { always } from '../part.ts'
import { lexeme, onePhrase, parseWords } from './shared.ts'

/** Words that must stand side by side. */
export const phrase = definePart({
  field: 'phrase',
  name: 'phrase',
  blank: '',
  print: (value) => value,
  parse: parseWords,
  phrase: (value) => onePhrase(value || null),
  matches(value) {
    const words = phraseWords(value)
    return words.length ? (entry) => foundByPhrase(entry.words, words) : always
  },
  sql(value, { bind }) {
    const words = phraseWords(value)
    return words.length ? `e.search @@ ${bind(words.map(lexeme).join(' <-> '))}::tsquery` : null
  },
})
