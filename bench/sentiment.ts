import { createRequire } from 'node:module'
import { readSentiment } from '@murrabel/core/sentiment'
import { msPerCall, times, us, type Figure } from './lib/measure.ts'
import { worldTexts } from './lib/texts.ts'

interface GeneralReader {
  SentimentIntensityAnalyzer: { polarity_scores(text: string): { compound: number } }
}
const general = createRequire(import.meta.url)('vader-sentiment') as GeneralReader

/** Our reader against a general-purpose one, on the same English texts of about 15 words. */
export function sentimentFigures(): Figure[] {
  const texts = worldTexts()
    .filter((t) => {
      const words = t.split(/\s+/).length
      return words >= 12 && words <= 18 && /\b(?:the|and|was|we)\b/i.test(t)
    })
    .slice(0, 500)
  const each = (read: (text: string) => void) => msPerCall(() => texts.forEach(read)) / texts.length
  const ours = each((text) => readSentiment(text, { language: 'en' }))
  const theirs = each((text) => general.SentimentIntensityAnalyzer.polarity_scores(text))
  return [
    {
      name: 'reading the sentiment of a sentence of 12 to 18 words',
      value: us(ours),
      baseline: `vader-sentiment: ${us(theirs)}`,
      ratio: times(theirs / ours),
      aim: 'under 30 µs',
    },
  ]
}
