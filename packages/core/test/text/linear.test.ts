import { describe, expect, test } from 'vitest'
import { phraseWords, searchWords } from '@murrabel/core/lens'
import { readMeaning } from '@murrabel/core/meaning'
import { readSentiment } from '@murrabel/core/sentiment'
import { storyPrint } from '@murrabel/core/stories'
import {
  cleanLine,
  cleanText,
  detectLanguage,
  loadLanguages,
  normalise,
  placedWords,
  splitSentences,
  tokenise,
} from '@murrabel/core/text'
import { compileWatches } from '@murrabel/core/watches'
import { timesAsLong } from '../support/timesAsLong.ts'

const watches = compileWatches([
  {
    id: 1,
    anyOf: [{ text: 'skerrivane', slack: true }, { text: 'storm petrel' }, { text: 'ferr', prefix: true }],
  },
  { id: 2, near: [{ first: { text: 'late' }, second: { text: 'boat' }, within: 'paragraph' }] },
])

/** Everything in the core that reads texts of strangers. */
const readers: Record<string, (text: string) => unknown> = {
  cleanText: (text) => cleanText(text, 10_000_000),
  cleanLine: (text) => cleanLine(text, 10_000_000),
  normalise,
  tokenise: (text) => [...tokenise(text)],
  splitSentences,
  detectLanguage,
  placedWords,
  searchWords,
  phraseWords,
  'sentiment in English': (text) => readSentiment(text, { language: 'en' }),
  meaning: (text) => readMeaning(text),
  'sentiment in French': (text) => readSentiment(text, { language: 'fr' }),
  storyPrint,
  watches: (text) => watches.match({ text, language: 'en', channel: 'posts' }),
}

const patterns: Record<string, string> = {
  letters: 'x',
  spaces: ' ',
  'accents piled up': 'a\u0301',
  'families of emoji': '👨‍👩‍👧',
  'good but': 'good but ',
  although: 'although good ',
  not: 'not ',
  'too good': 'too good, ',
  questions: 'why? ',
  'angle quotes': '‹',
  'open tags': '<script ',
  brackets: '[',
  'line ends': '\n',
  'dots and letters': 'a.',
  'at signs': '@a',
  'halves of links': 'http://',
  hyphens: 'a-',
  apostrophes: "a'",
  figures: '1,',
  'late boat': 'late boat ',
  'a name nearly': 'skerrivan ',
}

describe('twice the text takes no more than about twice the time', async () => {
  await loadLanguages()
  for (const [name, read] of Object.entries(readers))
    test(name, { timeout: 120_000 }, () => {
      for (const [pattern, piece] of Object.entries(patterns))
        expect(
          timesAsLong((n) => piece.repeat(n), read),
          pattern,
        ).toBeLessThan(2.9)
    })
})
