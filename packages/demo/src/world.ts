import { lanternpage, type LanternpageLine } from './lanternpage.ts'
import { bookings, type BookingLine, type Writer } from './bookings.ts'
import { mails, type MailLine } from './mails.ts'
import { opennets, type OpenWorld } from './opennets.ts'
import { ferrysite, type FerrysiteLine } from './ferrysite.ts'
import { fivefold, type FivefoldLine } from './fivefold.ts'
import { People } from './people.ts'
import { press, type PressLine } from './press.ts'
import { seeded } from './random.ts'
import { rivals } from './rivals.ts'
import { textmast, type TextmastLine } from './textmast.ts'
import { wherabout, type WheraboutLine } from './wherabout.ts'

export interface WorldOptions {
  /** The same seed and end give the same world. Default 7. */
  seed?: number
  /** Epoch milliseconds: the world's last instant. */
  end: number
  /** Entries in all, ours included, about. Default 14,000. */
  entries?: number
}

export interface World extends OpenWorld {
  lanternpage: LanternpageLine[]
  wherabout: WheraboutLine[]
  press: PressLine[]
  fivefold: FivefoldLine[]
  textmast: TextmastLine[]
  mailroom: MailLine[]
  ferrysite: (FerrysiteLine | BookingLine)[]
}

/** What full banks give at a scale of 1. */
const entriesAtFullScale = 20_900

/** A year around Skerrivane Ferries, as the stand-in networks remember it. */
export function generateWorld({ seed = 7, end, entries = 14_000 }: WorldOptions): World {
  const part = { seed, end, scale: entries / entriesAtFullScale }
  const others = rivals(part)
  const mail = mails(part)
  const texts = textmast(part)
  return {
    lanternpage: [...lanternpage(part), ...others.lanternpage],
    wherabout: [...wherabout(part), ...others.wherabout],
    press: press(part),
    fivefold: fivefold(part),
    textmast: texts,
    mailroom: mail.lines,
    ferrysite: [...ferrysite(part), ...bookings(part, [...mail.writers, ...texters(texts, seed)])],
    ...opennets(part),
  }
}

/** Who wrote by text: known by their numbers, named by us. */
function texters(lines: readonly TextmastLine[], seed: number): Writer[] {
  const people = new People(seeded(seed + 67), 't')
  const writers = new Map<string, Writer>()
  for (const line of lines) {
    if (line.op !== 'text' || line.from === line.number || writers.has(line.from)) continue
    const language = line.from.startsWith('+33') ? 'fr' : line.from.startsWith('+49') ? 'de' : 'en'
    const { name } = people.somebody({ again: 0, language })
    writers.set(line.from, {
      name,
      email: '',
      phone: line.from,
      language,
      at: Date.parse(line.sent),
      said: line.text,
    })
  }
  return [...writers.values()]
}
