import { always, definePart } from '../part.ts'
import { foundByWords, searchWords } from '../searchWords.ts'
import { onePhrase, parseWords, wordsCondition } from './shared.ts'

/** What a person is called or reached by: words that must all be there, each as the start of one of theirs. */
export const named = definePart({
  field: 'named',
  of: 'person',
  name: 'named',
  blank: '',
  print: (value) => value,
  parse: parseWords,
  phrase: (value) => onePhrase(value || null),
  matches(value) {
    const wanted = searchWords(value)
    if (!wanted.length) return always
    return (_entry, subject) => foundByWords(subject?.person?.words ?? [], wanted)
  },
  sql: (value, { bind }) => wordsCondition('p.search', value, bind),
})
