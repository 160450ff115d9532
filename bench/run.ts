import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { cpus, totalmem } from 'node:os'
import { collectingFigures } from './collecting.ts'
import { httpFigures } from './http.ts'
import type { Figure } from './lib/measure.ts'
import { matcherFigures } from './matcher.ts'
import { sentimentFigures } from './sentiment.ts'
import { watchingFigures } from './watching.ts'

const [collecting = '', http = '', watching = '', ...wanted] = process.argv.slice(2)
const out = 'docs/benchmarks.md'
const sections: [string, () => Figure[] | Promise<Figure[]>][] = [
  ['Matching', matcherFigures],
  ['Sentiment', sentimentFigures],
  ['Collecting', () => collectingFigures(collecting)],
  ['Over HTTP', () => httpFigures(http)],
  ['Watching', () => watchingFigures(watching)],
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
  for (const { name, value, baseline, ratio, aim } of await measure()) {
    document += `| ${[name, value, baseline, ratio, aim].map(cell).join(' | ')} |\n`
    console.log(`${name}: ${value}${ratio ? `, ${ratio} (${baseline})` : ''}${aim ? `; aim: ${aim}` : ''}`)
  }
}
writeFileSync(out, document)
process.exit(0)
