import { places } from './places.ts'
import { pick, type Random } from './random.ts'
import { placeByWeight } from './writer.ts'

const ships = ['Grey Heron', 'Storm Petrel', 'Little Auk']
const writers = ['Tamsin', 'Ivo', 'Ness', 'Wynn']

/** The language somebody writes in. */
export const languageOfTalk = (random: Random) =>
  pick(random, ['en', 'en', 'en', 'en', 'en', 'en', 'en', 'fr', 'fr', 'es', 'de'] as const)

/** What stands in the slots of one conversation, the same from its first line to its last. */
export function slotsOf(random: Random): Record<string, string> {
  const place = placeByWeight(random).name
  const first = 6 + Math.floor(random() * 10)
  const clock = (h: number) => `${h}:${pick(random, ['00', '10', '20', '40', '45'])}`
  return {
    place,
    other: pick(
      random,
      places.filter(({ name }) => name !== place),
    ).name,
    time: clock(first),
    later: clock(first + 2 + Math.floor(random() * 3)),
    ship: pick(random, ships),
    name: pick(random, writers),
    ref: `SK${1000 + Math.floor(random() * 9000)}`,
  }
}
