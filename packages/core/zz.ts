import { readTexts } from './training/readTexts.ts'
import { buildExamples } from './training/examples.ts'
import { heldBack } from './training/measure.ts'
import { readSentiment } from './src/sentiment/index.ts'
const langs = (process.argv[2] ?? 'fr,en').split(',')
const lessons = langs.flatMap((l) => readTexts(l))
const b = buildExamples(lessons)
const h = heldBack(b.examples, lessons, b.features)

const n: Record<string, number[]> = {}
h.lessons.forEach((l, i) => { const s = [...h.logits[i]!.subarray(0,3)]; const best = s.indexOf(Math.max(...s)); const r = n[l.language] ??= [0,0,0,0]; r[0]!++; if (best===l.sentiment) r[1]!++; if (l.sentiment!==1) { r[2]!++; if (best===2-l.sentiment) r[3]!++ } })
for (const [l,[a,c,m,o]] of Object.entries(n)) console.log(process.argv[3], l, a, (c!/a!).toFixed(3), (o!/m!).toFixed(3))
