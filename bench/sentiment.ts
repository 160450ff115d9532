import { createRequire } from 'node:module'
import { readMeaning } from '@murrabel/core/meaning'
import { readSentiment } from '@murrabel/core/sentiment'
import { gladSentences, unhappySentences } from '../packages/core/test/sentiment/development/broad.ts'
import { constructedSentences } from '../packages/core/test/sentiment/development/byConstruction.ts'
import { secondLanguageSentences } from '../packages/core/test/sentiment/development/secondLanguages.ts'
import { developmentSentences } from '../packages/core/test/sentiment/development/sentences.ts'
import { msPerCall, times, us, type Figure } from './lib/measure.ts'
import { worldTexts } from './lib/texts.ts'

type Label = 'positive' | 'negative' | 'neutral' | 'unread'
interface Sentence {
  construction: string
  sentiment: 'positive' | 'negative'
  text: string
}

const load = createRequire(import.meta.url)
const vader = load('vader-sentiment') as {
  SentimentIntensityAnalyzer: { polarity_scores(text: string): { compound: number } }
}
const Afinn = load('sentiment') as new () => { analyze(text: string): { score: number } }
const afinn = new Afinn()

/** The readers, each with the threshold its makers name. */
const readers: Record<string, (text: string) => Label> = {
  ours: (text) => readSentiment(text, { language: 'en' }).sentiment,
  'vader-sentiment': (text) => {
    const { compound } = vader.SentimentIntensityAnalyzer.polarity_scores(text)
    return compound >= 0.05 ? 'positive' : compound <= -0.05 ? 'negative' : 'neutral'
  },
  sentiment: (text) => {
    const { score } = afinn.analyze(text)
    return score > 0 ? 'positive' : score < 0 ? 'negative' : 'neutral'
  },
}

/** Speed and quality of our reader and of two general-purpose ones, on the same texts. */
export function sentimentFigures(): Figure[] {
  const others = Object.keys(readers).filter((name) => name !== 'ours')
  const texts = worldTexts()
    .filter((t) => {
      const words = t.split(/\s+/).length
      return words >= 12 && words <= 18 && /\b(?:the|and|was|we)\b/i.test(t)
    })
    .slice(0, 500)
  const each = (read: (text: string) => void) =>
    msPerCall(() => texts.forEach(read), { rounds: 12 }) / texts.length
  // Once before, so that neither what is loaded nor what is compiled on the way is counted.
  each(readers.ours!)
  const ours = each(readers.ours!)
  const speed = others.map((name): Figure => {
    const theirs = each(readers[name]!)
    return {
      name: 'reading the sentiment of a sentence of 12 to 18 words',
      value: us(ours),
      baseline: `${name}: ${us(theirs)}`,
      ratio: times(theirs / ours),
      aim: 'under 60 µs',
    }
  })
  const meaning: Figure = {
    name: 'reading the meaning of a sentence of 12 to 18 words: sentiment, what is wanted, whether an answer is',
    value: us(each((text) => void readMeaning(text))),
    aim: 'under 60 µs',
  }
  const sentences: Sentence[] = [
    ...constructedSentences,
    ...developmentSentences.map(([construction, sentiment, text]) => ({ construction, sentiment, text })),
    ...gladSentences.map((text) => ({ construction: 'broad', sentiment: 'positive' as const, text })),
    ...unhappySentences.map((text) => ({ construction: 'broad', sentiment: 'negative' as const, text })),
  ]
  const constructions = [...new Set(sentences.map((s) => s.construction))]
  const quality = [...constructions, 'all'].map((construction): Figure => {
    const own = sentences.filter((s) => construction === 'all' || s.construction === construction)
    const [mine, ...theirs] = ['ours', ...others].map((name) => ({ name, ...rightOf(own, readers[name]!) }))
    return {
      name: `own development sentences, ${construction} (${own.length}): right of all, right of those called`,
      value: shares(mine!),
      baseline: theirs.map((side) => `${side.name}: ${shares(side)}`).join('; '),
    }
  })
  const second = (['fr', 'es', 'de'] as const).map((language): Figure => {
    const own = secondLanguageSentences
      .filter((s) => s.language === language)
      .map((s) => ({ ...s, construction: language }))
    return {
      name: `own development sentences, ${language} (${own.length}): right of all, right of those called`,
      value: shares(rightOf(own, (text) => readSentiment(text, { language }).sentiment)),
    }
  })
  return [...speed, meaning, ...quality, ...second]
}

function rightOf(
  sentences: readonly Sentence[],
  read: (text: string) => Label,
): { all: number; called: number } {
  let right = 0
  let called = 0
  for (const { sentiment, text } of sentences) {
    const found = read(text)
    if (found === sentiment) right++
    if (found === 'positive' || found === 'negative') called++
  }
  return { all: right / sentences.length, called: right / Math.max(1, called) }
}

const shares = ({ all, called }: { all: number; called: number }) => `${all.toFixed(2)}, ${called.toFixed(2)}`
