import { writeFileSync } from 'node:fs'
import { alertFigures } from './alerts.ts'
import { netFigures, ratingFigures } from './averages.ts'
import { businessTimeFigures } from './businessTime.ts'
import { clusterFigures } from './clusters.ts'
import { countFigures, directionFigures, usualFigures } from './counts.ts'
import type { SimulatedFigure } from './figure.ts'
import { learningFigures } from './learning.ts'
import { phraseFigures } from './phrases.ts'
import { falseSpikeFigures, levelFigures, outageFigures, spikePowerFigures } from './spikes.ts'
import { storyFigures } from './stories.ts'

/** What is claimed of the figures of the core, and what simulations give; writes docs/statistics.md. */
const sections: [string, () => SimulatedFigure[]][] = [
  ['Spikes', () => [...falseSpikeFigures(), ...levelFigures(), ...outageFigures(), ...spikePowerFigures()]],
  ['Alerts', () => alertFigures()],
  ['Usual ranges', () => usualFigures()],
  ['Changes of counts', () => countFigures()],
  ['Directions', () => directionFigures()],
  ['Net sentiment', () => [...netFigures(), ...clusterFigures()]],
  ['Ratings', () => ratingFigures()],
  ['Copies', () => storyFigures()],
  ['Phrases', () => phraseFigures()],
  ['Learning', () => learningFigures()],
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
