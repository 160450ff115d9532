import { worldTexts } from './lib/texts.ts'
import { readMeaning } from '@murrabel/core/meaning'
import { detectLanguage, loadLanguages } from '@murrabel/core/text'
await loadLanguages()
const all = [...new Set(worldTexts())]
const from = Number(process.argv[2] ?? 0),
  n = Number(process.argv[3] ?? 120)
console.log(all.length)
const step = Math.max(1, Math.floor(all.length / n))
for (let i = from; i < all.length; i += step) {
  const t = all[i]!
  const l = detectLanguage(t)
  const m = readMeaning(t, { language: l })
  console.log(
    `${l} ${{ positive: '+', negative: '-', neutral: '0', unread: '?' }[m.sentiment.label]}${m.sentiment.confidence.toFixed(2)} ${m.wish.label.slice(0, 5)}${m.wish.confidence.toFixed(2)} ${m.wantsAnswer.toFixed(1)} | ${t.slice(0, 150).replace(/\n/g, ' ')}`,
  )
}
