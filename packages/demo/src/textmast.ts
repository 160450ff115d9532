import { splitText } from '@murrabel/core/texting'
import { day, hour, instants } from './calendar.ts'
import { answeredBy } from './lanternpage.ts'
import { decksByLanguage, seeded, type Random } from './random.ts'
import { textTalks, type TextTalk } from './sentences/textMessages.ts'
import { languageOfTalk, slotsOf } from './talkSlots.ts'

/** As Textmast remembers: our number, texts as they travelled, and what became of ours. */
export type TextmastLine =
  | { op: 'number'; id: string; name: string }
  | {
      op: 'text'
      id: string
      number: string
      from: string
      to: string
      text: string
      sent: string
      part?: { reference: number; number: number; of: number }
    }
  | { op: 'delivery'; id: string; number: string; state: 'delivered' | 'failed'; reason?: string; at: string }

/** Numbers of these ranges are kept free for stories. */
const ranges = {
  en: (n: number) => `+447700900${String(n % 1000).padStart(3, '0')}`,
  fr: (n: number) => `+3363998${String(n % 10_000).padStart(4, '0')}`,
  es: (n: number) => `+447700900${String((n + 500) % 1000).padStart(3, '0')}`,
  de: (n: number) => `+49171392${String(n % 100).padStart(4, '0')}`,
} as const
const own = { op: 'number', id: '+441632960100', name: 'Sound of Orrin line' } as const
const minute = 60_000

type Text = Extract<TextmastLine, { op: 'text' }>

/** Conversations by text over the year: each is about one thing, from its first line to its last. */
export function textmast({ seed, end, scale }: { seed: number; end: number; scale: number }): TextmastLine[] {
  const random = seeded(seed + 31)
  const decks = decksByLanguage(random, textTalks)
  const lines: { at: number; line: TextmastLine }[] = []
  let count = 0
  instants(random, { end, count: Math.round(520 * scale) }).forEach((at, i) => {
    const language = languageOfTalk(random)
    const number = ranges[language](17 * i)
    for (const said of conversation(random, { talk: decks.get(language)!.deal(), at, end }))
      lines.push(...travel(random, { ...said, number, id: () => `x${++count}`, reference: i % 256 }))
  })
  const sorted = lines.filter(({ at }) => at <= end).sort((a, b) => a.at - b.at)
  return [own, ...sorted.map(({ line }) => line)]
}

interface Said {
  at: number
  ours: boolean
  text: string
}

/** One conversation with its slots filled; what has not been answered yet ends there. */
function conversation(
  random: Random,
  { talk, at: start, end }: { talk: TextTalk; at: number; end: number },
): Said[] {
  const slots = slotsOf(random)
  const said: Said[] = []
  let at = start
  for (const line of talk.lines) {
    const ours = line.startsWith('<')
    if (said.length) at += Math.round((ours ? 3 + 50 * random() ** 2 : 1 + 25 * random() ** 2) * minute)
    if (ours && said.length && random() > answeredBy(end, start, 0.97)) break
    // Of late only some have thanked already: nobody is owed an answer to that.
    const isThanks = !ours && said.at(-1)?.ours && !/^> (?:STOP|Stop|ARRET|START)/.test(line)
    if (isThanks && start > end - 15 * day && random() > 0.15) break
    said.push({ at, ours, text: line.slice(2).replace(/\{(\w+)\}/g, (_, name: string) => slots[name] ?? '') })
  }
  return said
}

/** As it goes over the air: what is long in parts, what is ours with its delivery. */
function travel(
  random: Random,
  { at, ours, text, number, id, reference }: Said & { number: string; id: () => string; reference: number },
): { at: number; line: TextmastLine }[] {
  const sent = new Date(at).toISOString()
  const ends = ours ? { from: own.id, to: number } : { from: number, to: own.id }
  const made = (words: string, part?: Text['part']): { at: number; line: Text } => ({
    at,
    line: { op: 'text', id: id(), number: own.id, ...ends, text: words, sent, ...(part ? { part } : {}) },
  })
  if (ours) {
    const whole = made(text)
    const then = at + Math.round(2000 + 9000 * random())
    const report = {
      op: 'delivery',
      id: whole.line.id,
      number: own.id,
      at: new Date(then).toISOString(),
    } as const
    const state =
      random() < 0.985
        ? ({ state: 'delivered' } as const)
        : ({ state: 'failed', reason: 'The phone could not be reached' } as const)
    return [whole, { at: Math.min(then, at + hour), line: { ...report, ...state } }]
  }
  const { parts } = splitText(text)
  return parts.map((words, i) =>
    made(words, parts.length > 1 ? { reference, number: i + 1, of: parts.length } : undefined),
  )
}
