import { always, definePart } from '../part.ts'
import { foundByWords, searchWords } from '../searchWords.ts'
import { onePhrase, parseWords, wordsCondition } from './shared.ts'

/** Words that must all be there, each as the start of a word. */
export const words = definePart({
  field: 'words',
  name: 'words',
  blank: '',
  print: (value) => value,
  parse: parseWords,
  phrase: (value) => onePhrase(value || null),
  matches(value) {
    const wanted = searchWords(value)
    if (!wanted.length) return always
    return (entry) =>
      foundByWords(
        entry.words.map(({ word }) => word),
        wanted,
      )
  },
  sql: (value, { bind }) => wordsCondition('e.search', value, bind),
})
