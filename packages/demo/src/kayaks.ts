import { demoPassword } from './brand.ts'
import { instants } from './calendar.ts'
import { People } from './people.ts'
import { Deck, pick, seeded, weighted } from './random.ts'
import { kayakGuides, kayakReviews, kayakTimes, kayakWeather, type KayakReview } from './sentences/kayaks.ts'

const daily = (open: number, close: number): [number, number][][] =>
  Array.from({ length: 7 }, () => [[open * 60, close * 60]])

/** The second, small brand of the installation: its people are others, Ivo alone belongs to both. */
export const kayakBrand = {
  name: 'Orrin Sound Kayaks',
  zone: 'Europe/London',
  languages: ['en', 'fr'],
  places: [
    {
      name: 'Shingle Bay',
      address: 'The Boathouse, Shingle Bay',
      phone: '+44 1632 960181',
      week: daily(9, 19),
    },
    { name: 'Port Ellery Slip', address: 'Old Slip 3, Port Ellery', phone: '+44 1632 960182', week: null },
  ],
  colleagues: [
    { name: 'Marlo Venn', email: 'marlo@orrinkayaks.example', role: 'owner' as const },
    { name: 'Petra Lund', email: 'petra@orrinkayaks.example', role: 'specialist' as const },
    { name: 'Ivo Oduya', email: 'ivo@skerrivane.example', role: 'lead' as const },
  ].map((each) => ({ ...each, password: demoPassword })),
}

const stars: [KayakReview['stars'], number][] = [
  [5, 52],
  [4, 22],
  [3, 9],
  [2, 9],
  [1, 8],
]

/** A year of reviews of the kayak hire, as the table that its review page writes. */
export function kayakTable({ seed, end, count }: { seed: number; end: number; count: number }): string {
  const random = seeded(seed + 83)
  const people = new People(random, 'k')
  const decks = new Map(
    stars.map(([number]) => [
      number,
      new Deck(
        random,
        kayakReviews.filter((review) => review.stars === number),
      ),
    ]),
  )
  const rows = instants(random, { end, count }).map((at, i) => {
    const { stars: given, language, text } = decks.get(weighted(random, stars))!.deal()
    const slots: Record<string, string> = {
      guide: pick(random, kayakGuides),
      time: pick(random, kayakTimes),
      weather: pick(random, kayakWeather),
    }
    const said = text.replace(/\{(\w+)\}/g, (_, name: string) => slots[name] ?? '')
    return [
      `K${1000 + i}`,
      new Date(at).toISOString(),
      String(given),
      said,
      people.somebody({ again: 0.08, language }).name,
      weighted(random, [
        ['Shingle Bay', 7],
        ['Port Ellery Slip', 3],
      ] as const),
    ]
  })
  const cell = (text: string) => (/[",\n]/.test(text) ? `"${text.replaceAll('"', '""')}"` : text)
  return [['Number', 'Date', 'Stars', 'Review', 'Name', 'Place'], ...rows]
    .map((row) => `${row.map(cell).join(',')}\r\n`)
    .join('')
}
