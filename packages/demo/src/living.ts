import { People } from './people.ts'
import { pick, weighted, type Random } from './random.ts'
import { mailTalks } from './sentences/mails.ts'
import { textTalks } from './sentences/textMessages.ts'
import { placeByWeight, Writer, type Mood } from './writer.ts'

/** Something a customer does outside: a form that is sent to a stand-in. */
export interface Deed {
  network: Network
  path: string
  form: Record<string, string>
}
export type Network =
  'lanternpage' | 'wherabout' | 'fivefold' | 'skimmer' | 'talkstead' | 'textmast' | 'mailroom'
export const livingNetworks: readonly Network[] = [
  'lanternpage',
  'wherabout',
  'fivefold',
  'skimmer',
  'talkstead',
  'textmast',
  'mailroom',
]

const ownNumber = '+441632960100'
const ownAddress = 'hello@skerrivane.example'
const ships = ['Grey Heron', 'Storm Petrel', 'Little Auk']

/** People who go on writing while the demo runs, and who read what they are answered. */
export class Living {
  private readonly people: People
  private readonly writer: Writer

  constructor(private readonly random: Random) {
    this.people = new People(random, 'live')
    this.writer = new Writer(random)
  }

  /** Of somebody who has not written before. */
  someName(): string {
    return this.people.somebody({ again: 0, language: 'en' }).name
  }

  /** Somebody says something new. @param now epoch milliseconds */
  say(now: number): Deed {
    const { random, writer } = this
    const network = weighted(random, [
      ['lanternpage', 3],
      ['wherabout', 3],
      ['fivefold', 2],
      ['skimmer', 3],
      ['talkstead', 1],
      ['textmast', 2],
      ['mailroom', 2],
    ] as const)
    const place = placeByWeight(random)
    const { name } = this.people.somebody({ again: 0.1, language: 'en' })
    const subject = { at: now, place: place.name, language: 'en' as const }
    const mood: Mood = random() < place.glad ? 'good' : 'bad'
    const stars = String(mood === 'good' ? pick(random, [4, 5, 5]) : pick(random, [1, 1, 2]))
    switch (network) {
      case 'lanternpage':
        return {
          network,
          path: '/pages/skerrivane/messages',
          form: { name, content: writer.message(subject) },
        }
      case 'wherabout':
        return {
          network,
          path: `/businesses/${place.id}`,
          form: { name, rating: stars, text: writer.remark(mood, subject, { most: 2 }) },
        }
      case 'fivefold':
        return {
          network,
          path: '/businesses/skerrivane-ferries',
          form: {
            name,
            rating: stars,
            title: `Crossing from ${place.name}`,
            text: writer.remark(mood, subject),
          },
        }
      case 'skimmer':
        return { network, path: '/posts', form: { name, content: `@skerrivane ${writer.question(subject)}` } }
      case 'talkstead':
        return {
          network,
          path: '/posts',
          form: { name, title: `@skerrivane from ${place.name}`, content: writer.question(subject) },
        }
      case 'textmast': {
        const talk = pick(
          random,
          textTalks.filter(({ language }) => language === 'en'),
        )
        const from = `+447700900${String(Math.floor(random() * 1000)).padStart(3, '0')}`
        return {
          network,
          path: `/numbers/${encodeURIComponent(ownNumber)}`,
          form: { from, text: this.filled(talk.lines[0]!.slice(2), place.name) },
        }
      }
      case 'mailroom': {
        const talk = pick(
          random,
          mailTalks.filter(({ language }) => language === 'en'),
        )
        return {
          network,
          path: '/write',
          form: {
            from: `${name} <${name.toLowerCase().replace(/[^a-z]/g, '.')}@post.example>`,
            to: ownAddress,
            subject: this.filled(talk.subject, place.name),
            text: `${this.filled(talk.lines[0]!.slice(2), place.name).replaceAll('|', '\n\n')}\n\nKind regards,\n${name}`,
            answered: '',
          },
        }
      }
    }
  }

  private filled(text: string, place: string): string {
    const values: Record<string, string> = {
      place,
      other: place === 'Port Ellery' ? 'Dunmarrow' : 'Port Ellery',
      time: '14:20',
      later: '16:30',
      ship: pick(this.random, ships),
      name: 'Tamsin',
      ref: `SK${1000 + Math.floor(this.random() * 9000)}`,
    }
    return text.replace(/\{(\w+)\}/g, (_, slot: string) => values[slot] ?? '')
  }

  /**
   * What somebody does who has read an answer of ours; null: nothing, as most.
   *
   * @param line as the stand-in remembers it
   * @param lineOf what it remembers under an id
   */
  react(network: Network, line: Line, lineOf: (id: string) => Line | undefined): Deed | null {
    const { random } = this
    if (random() > 0.6) return null
    const thanks = pick(random, [
      'Thank you, that helps!',
      'Perfect, thank you.',
      'Thanks for the quick answer.',
    ])
    const more = pick(random, [
      'And on Sundays?',
      'Does that go for children, too?',
      'I am still not sure. Could you ring me?',
    ])
    const text = random() < 0.7 ? thanks : more
    if (network === 'textmast' && line.op === 'text' && line.from === ownNumber)
      return {
        network,
        path: `/numbers/${encodeURIComponent(ownNumber)}`,
        form: { from: String(line.to), text },
      }
    if (network === 'mailroom' && line.op === 'mail' && String(line.from).includes(ownAddress))
      return {
        network,
        path: '/write',
        form: {
          from: (line.to as string[])[0]!,
          to: ownAddress,
          subject: `Re: ${String(line.subject).replace(/^Re: /, '')}`,
          text,
          answered: String(line.messageId),
        },
      }
    return line.op === 'answer'
      ? betterStars(network, line, lineOf)
      : writtenBack({ network, line, text }, lineOf)
  }
}

/** A line of a stand-in's journal. */
export type Line = Record<string, unknown> & { op: string }

const isOurs = ({ author }: Line): boolean =>
  String((author as { id?: string } | undefined)?.id ?? '').startsWith('skerrivane')

type LineOf = (id: string) => Line | undefined

/** Who was unhappy, and is answered, thinks better of it. */
function betterStars(network: Network, line: Line, lineOf: LineOf): Deed | null {
  const review = lineOf(String(line.parent))
  if (review?.op !== 'review' || Number(review.rating) > 3) return null
  return {
    network,
    path: `/items/${String(line.parent)}/edit`,
    form: {
      rating: String(Number(review.rating) + 2),
      text: `${String(review.text)} Edit: they answered and put it right.`,
    },
  }
}

/** Whoever a note of ours answers writes back under it, or in their conversation. */
function writtenBack(
  { network, line, text }: { network: Network; line: Line; text: string },
  lineOf: LineOf,
): Deed | null {
  if (!isOurs(line) || line.inReplyTo === undefined) return null
  const before = lineOf(String(line.inReplyTo))
  const author = before?.author as { name: string } | undefined
  if (!before || !author || isOurs(before)) return null
  if (network === 'lanternpage')
    return before.conversation
      ? {
          network,
          path: `/pages/${String(before.page)}/messages`,
          form: { name: author.name, content: text },
        }
      : { network, path: `/notes/${String(line.id)}/comments`, form: { name: author.name, content: text } }
  if (network !== 'skimmer' && network !== 'talkstead') return null
  return { network, path: `/posts/${String(line.id)}/answers`, form: { name: author.name, content: text } }
}
