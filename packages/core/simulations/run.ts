import { writeFileSync } from 'node:fs'
import { businessTimeFigures } from './businessTime.ts'
import type { SimulatedFigure } from './figure.ts'
import { netFigures, ratingFigures } from './averages.ts'

/** What is claimed of the figures of the core, and what simulations give; writes docs/statistics.md. */
const sections: [string, () => SimulatedFigure[]][] = [
  ['Ratings', () => ratingFigures()],
  ['Net sentiment', () => netFigures()],
  ['Business time', () => businessTimeFigures()],
]

let document = `# Statistics

What is claimed of the figures, and what was measured. Made by \`npm run simulate\`; seeds are fixed, so the same is measured each time.
`
for (const [title, measure] of sections) {
  document += `\n## ${title}\n\n| what | claimed | measured | how |\n|---|---|---|---|\n`
  for (const { what, claimed, measured, how } of measure()) {
    document += `| ${[what, claimed, measured, how].join(' | ')} |\n`
    console.log(`${what}: ${measured} (claimed: ${claimed})`)
  }
}
writeFileSync(new URL('../../../docs/statistics.md', import.meta.url), document)
