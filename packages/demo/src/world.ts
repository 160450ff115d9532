import { lanternpage, type LanternpageLine } from './lanternpage.ts'
import { mails, type MailLine } from './mails.ts'
import { opennets, type OpenWorld } from './opennets.ts'
import { ferrysite, type FerrysiteLine } from './ferrysite.ts'
import { fivefold, type FivefoldLine } from './fivefold.ts'
import { press, type PressLine } from './press.ts'
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
  ferrysite: FerrysiteLine[]
}

/** What full banks give at a scale of 1. */
const entriesAtFullScale = 20_900

/** A year around Skerrivane Ferries, as the stand-in networks remember it. */
export function generateWorld({ seed = 7, end, entries = 14_000 }: WorldOptions): World {
  const part = { seed, end, scale: entries / entriesAtFullScale }
  const others = rivals(part)
  return {
    lanternpage: [...lanternpage(part), ...others.lanternpage],
    wherabout: [...wherabout(part), ...others.wherabout],
    press: press(part),
    fivefold: fivefold(part),
    textmast: textmast(part),
    mailroom: mails(part),
    ferrysite: ferrysite(part),
    ...opennets(part),
  }
}
