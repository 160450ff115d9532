import { day, hour, instants } from './calendar.ts'
import type { LanternpageLine } from './lanternpage.ts'
import { pick, seeded, weighted, type Random } from './random.ts'
import { rivalPosts } from './sentences/englishOpen.ts'
import type { WheraboutLine } from './wherabout.ts'

interface Rival {
  id: string
  name: string
  town: string
  /** Followers at the beginning of the year, and how much of them a week brings. */
  followers: number
  growth: number
  /** Posts and ratings of the year at full scale. */
  posts: number
  ratings: number
  glad: number
}

export const demoRivals: Rival[] = [
  {
    id: 'bluefathom',
    name: 'Bluefathom Line',
    town: 'Port Ellery',
    followers: 18_400,
    growth: 0.0026,
    posts: 320,
    ratings: 1400,
    glad: 0.68,
  },
  {
    id: 'halder-fast-cats',
    name: 'Halder Fast Cats',
    town: 'Inchgarth',
    followers: 9_150,
    growth: 0.0061,
    posts: 150,
    ratings: 620,
    glad: 0.8,
  },
  {
    id: 'orrin-causeway-bus',
    name: 'The Orrin Causeway Bus',
    town: 'Dunmarrow',
    followers: 3_020,
    growth: 0.0004,
    posts: 40,
    ratings: 480,
    glad: 0.52,
  },
]
const own = [
  { id: 'skerrivane', followers: 22_700, growth: 0.0034 },
  { id: 'skerrivane-dunmarrow', followers: 2_480, growth: 0.0019 },
]

/** What everybody sees of the rivals, and the audiences of our own pages: on Lanternpage and on Wherabout. */
export function rivals({ seed, end, scale }: { seed: number; end: number; scale: number }): {
  lanternpage: LanternpageLine[]
  wherabout: WheraboutLine[]
} {
  const random = seeded(seed + 21)
  return {
    lanternpage: [
      ...demoRivals.flatMap((rival) => pageOf(random, rival, { end, scale })),
      ...[...own, ...demoRivals].flatMap((page) => audienceOf(random, page, end)),
    ],
    wherabout: demoRivals.flatMap((rival) => listingOf(random, rival, { end, scale })),
  }
}

function pageOf(
  random: Random,
  { id, name, posts }: Rival,
  { end, scale }: { end: number; scale: number },
): LanternpageLine[] {
  return [
    { op: 'page', id, name, others: true },
    ...instants(random, { end: end - hour, count: Math.max(4, Math.round(posts * scale)) }).map(
      (at, i): LanternpageLine => ({
        op: 'note',
        id: `${id}-${i + 1}`,
        page: id,
        author: { id, name, handle: id },
        content: pick(random, rivalPosts),
        published: new Date(at).toISOString(),
      }),
    ),
  ]
}

/** One count a week, and the last on the last day. */
function audienceOf(
  random: Random,
  { id, followers, growth }: { id: string; followers: number; growth: number },
  end: number,
): LanternpageLine[] {
  const lines: LanternpageLine[] = []
  let size = followers
  for (let week = 53; week >= 0; week--) {
    lines.push({
      op: 'audience',
      page: id,
      day: new Date(end - week * 7 * day).toISOString().slice(0, 10),
      followers: Math.round(size),
    })
    size *= 1 + growth * (0.3 + 1.4 * random())
  }
  return lines
}

function listingOf(
  random: Random,
  { id, name, town, ratings, glad }: Rival,
  { end, scale }: { end: number; scale: number },
): WheraboutLine[] {
  return [
    {
      op: 'business',
      id,
      name: `${name}, ${town}`,
      street: 'The Quay',
      town,
      phone: '+44 1632 960180',
      others: true,
    },
    ...instants(random, { end, count: Math.max(6, Math.round(ratings * scale)) }).map(
      (at, i): WheraboutLine => ({
        op: 'review',
        id: `${id}-${i + 1}`,
        business: id,
        author: { id: `${id}-guest-${i + 1}`, name: 'A guest' },
        rating:
          random() < glad
            ? weighted(random, [
                [5, 62],
                [4, 38],
              ])
            : weighted(random, [
                [1, 45],
                [2, 33],
                [3, 22],
              ]),
        text: '',
        created: new Date(at).toISOString(),
      }),
    ),
  ]
}
