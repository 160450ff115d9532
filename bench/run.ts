import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { cpus, totalmem } from 'node:os'
import { collectingFigures } from './collecting.ts'
import { httpFigures } from './http.ts'
import { lensFigures } from './lenses.ts'
import { liveFigures } from './live.ts'
import type { Figure } from './lib/measure.ts'
import { matcherFigures } from './matcher.ts'
import { peopleFigures } from './people.ts'
import { rereadingFigures } from './rereading.ts'
import { screenFigures } from './screen.ts'
import { sentimentFigures } from './sentiment.ts'
import { storiesFigures } from './stories.ts'
import { togetherFigures } from './together.ts'
import { watchingFigures } from './watching.ts'

const wanted = process.argv.slice(2)
/** Databases and the running demo, as scripts/bench.mjs gives them. */
const given = (name: string) => process.env[`BENCH_${name}`] ?? ''
const out = 'docs/benchmarks.md'
type Measured = Figure[] | { figures: Figure[]; plans: string }
const sections: [string, () => Measured | Promise<Measured>][] = [
  ['Matching', matcherFigures],
  ['Sentiment', sentimentFigures],
  ['Stories', storiesFigures],
  ['Collecting', () => collectingFigures(given('COLLECTING'), given('COLLECTING_TWO'))],
  ['Rereading', () => rereadingFigures(given('REREADING'))],
  ['Screen', () => screenFigures(given('ADDRESS'))],
  ['Lenses', () => lensFigures(given('LENSES'))],
  ['People', () => peopleFigures(given('PEOPLE'))],
  ['HTTP', () => httpFigures(given('HTTP'))],
  ['Live', () => liveFigures(given('LIVE'))],
  ['Together', () => togetherFigures(given('TOGETHER'), given('WEB'))],
  ['Watching', () => watchingFigures(given('WATCHING'))],
]

const cell = (text = '') => text.replace(/\|/g, '\\|')

/** Sections that are not measured now keep what was measured before. */
function known(title: string): string {
  const document = existsSync(out) ? readFileSync(out, 'utf8') : ''
  return document.split(/^(?=## )/m).find((part) => part.startsWith(`## ${title}\n`)) ?? ''
}

let document = `# Benchmarks

Made by \`npm run bench\` on ${new Date().toISOString().slice(0, 10)}: ${cpus().length} cores, ${Math.round(totalmem() / 2 ** 30)} GiB of memory, Node.js ${process.versions.node}. Each figure is
held against a baseline measured in the same run, because machines differ and ratios travel. \`npm run bench -- Matching\` measures one section
and keeps the others.
`
for (const [title, measure] of sections) {
  if (wanted.length && !wanted.includes(title)) {
    document += `\n${known(title).trimEnd()}\n`
    continue
  }
  document += `\n## ${title}\n\n| what | figure | baseline | ratio | aim |\n|---|---|---|---|---|\n`
  const measured = await measure()
  const { figures, plans } = 'plans' in measured ? measured : { figures: measured, plans: '' }
  for (const { name, value, baseline, ratio, aim } of figures) {
    document += `| ${[name, value, baseline, ratio, aim].map(cell).join(' | ')} |\n`
    console.log(
      `${name}: ${value}${ratio ? `, ${ratio}` : ''}${baseline ? ` (${baseline})` : ''}${aim ? `; aim: ${aim}` : ''}`,
    )
  }
  document += plans
}
writeFileSync(out, document)
process.exit(0)
