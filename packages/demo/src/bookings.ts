import { day, events, hour, instants } from './calendar.ts'
import { People, type Language } from './people.ts'
import { places } from './places.ts'
import { pick, seeded, weighted, type Random } from './random.ts'

/** A crossing that somebody booked, as the booking system of the site remembers it. */
export interface BookingLine {
  op: 'booking'
  reference: string
  customer: BookedBy
  /** When it leaves, ISO 8601. */
  at: string
  route: string
  ship: string
  from: string
  party: number
  price: number
  state: 'booked' | 'sailed' | 'not sailed' | 'cancelled'
}

interface BookedBy {
  number: string
  name: string
  /** Empty: not given. */
  email: string
  phone: string
  language: string
  /** Whether they may be written to; empty: they were not asked. */
  emailConsent: 'yes' | 'no' | ''
  phoneConsent: 'yes' | 'no' | ''
}

/** Somebody who wrote to the ferries, with an address or a number. */
export interface Writer {
  name: string
  email: string
  phone: string
  language: Language
  /** When they wrote first, epoch milliseconds. */
  at: number
  /** What they wrote then: the crossing is the one it names. */
  said: string
}

const ships = ['Grey Heron', 'Storm Petrel', 'Little Auk'] as const
const fare = { single: 9, back: 16, car: 20, carBack: 38 } as const

/**
 * Crossings of the year: of most who wrote by e-mail or text, around the time when they wrote, and of many who never did. In the
 * hours of the engine failure the Storm Petrel did not sail.
 */
export function bookings(
  { seed, end, scale }: { seed: number; end: number; scale: number },
  writers: readonly Writer[],
): BookingLine[] {
  const random = seeded(seed + 61)
  const silent = new People(random, 'b')
  const lines: BookingLine[] = []
  let customers = 0
  const customer = (who: Omit<Writer, 'at' | 'said'>): BookedBy => ({
    number: `C${String(++customers + 4000)}`,
    name: who.name,
    email: who.email,
    phone: who.phone,
    language: who.language === 'other' ? '' : who.language,
    emailConsent: who.email
      ? weighted(random, [
          ['yes', 6],
          ['no', 2],
          ['', 2],
        ] as const)
      : '',
    phoneConsent: who.phone
      ? weighted(random, [
          ['yes', 3],
          ['no', 4],
          ['', 3],
        ] as const)
      : '',
  })
  const book = (by: BookedBy, at: number, said = '') => lines.push(crossing(random, { by, at, end, said }))
  for (const writer of writers) {
    if (random() > 0.75) continue
    const by = customer(writer)
    // What they wrote of: a crossing days before, or one ahead.
    const about = writer.at + (random() < 0.75 ? -(0.2 + 2.5 * random()) * day : (1 + 20 * random()) * day)
    book(by, onTheHour(about), writer.said)
    for (let more = Math.floor(5 * random() ** 2); more > 0; more--)
      book(by, onTheHour(end - 365 * day * random()))
    if (random() < 0.12) book(by, onTheHour(end + (1 + 40 * random()) * day))
  }
  for (const at of instants(random, { end, count: Math.round(900 * scale) })) {
    const { name, language, handle } = silent.somebody({ again: 0 })
    const address = handle.replace(/[^a-z0-9.]/gi, '').toLowerCase() || 'guest'
    const by = customer({
      name,
      language,
      email: random() < 0.8 ? `${address}@letter.example` : '',
      phone: '',
    })
    book(by, onTheHour(at))
    for (let more = Math.floor(6 * random() ** 3); more > 0; more--)
      book(by, onTheHour(end - 365 * day * random()))
    if (random() < 0.08) book(by, onTheHour(end + (1 + 60 * random()) * day))
  }
  const taken = new Set<string>()
  return lines
    .sort((a, b) => (a.at < b.at ? -1 : 1))
    .map((line, i) => {
      const reference =
        line.reference && !taken.has(line.reference) ? line.reference : `SK${String(20_000 + i)}`
      taken.add(reference)
      return { ...line, reference }
    })
}

/** Ships leave between six and eight, every twenty minutes. */
function onTheHour(at: number): number {
  const midnight = Math.floor(at / day) * day
  const time = Math.min(20 * hour, Math.max(6 * hour, at - midnight))
  return midnight + Math.round(time / (hour / 3)) * (hour / 3)
}

function crossing(
  random: Random,
  { by, at, end, said }: { by: BookedBy; at: number; end: number; said: string },
): BookingLine {
  const named = places.find(({ name }) => said.includes(name))
  const from =
    named ??
    weighted(
      random,
      places.map((place) => [place, place.weight] as const),
    )
  const to = pick(
    random,
    places.filter((place) => place !== from && (from.id === 'port-ellery' || place.id === 'port-ellery')),
  )
  const ship = ships.find((name) => said.includes(name)) ?? pick(random, ships)
  const party = weighted(random, [
    [1, 26],
    [2, 44],
    [3, 10],
    [4, 14],
    [5, 4],
    [18, 1],
    [34, 1],
  ] as const)
  const [car, back] = [party < 6 && random() < 0.45, random() < 0.5]
  const price = party * (back ? fare.back : fare.single) + (car ? (back ? fare.carBack : fare.car) : 0)
  return {
    op: 'booking',
    reference: /\bSK\d{4}\b/.exec(said)?.[0] ?? '',
    customer: by,
    at: new Date(at).toISOString(),
    route: `${from.name} to ${to.name}${back ? ' and back' : ''}${car ? ', with a car' : ''}`,
    ship,
    from: from.name,
    party,
    price,
    state: stateOf(random, { at, end, ship }),
  }
}

function stateOf(
  random: Random,
  { at, end, ship }: { at: number; end: number; ship: string },
): BookingLine['state'] {
  if (at > end) return 'booked'
  const failure = end - events.engineFailure * day
  if (ship === 'Storm Petrel' && at > failure && at < failure + 31 * hour) return 'not sailed'
  return weighted(random, [
    ['sailed', 93],
    ['not sailed', 3],
    ['cancelled', 4],
  ] as const)
}
