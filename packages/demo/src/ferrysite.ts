import { day, hour, instants } from './calendar.ts'
import { answeredBy } from './lanternpage.ts'
import { People } from './people.ts'
import { decksByLanguage, seeded, type Random } from './random.ts'
import { chatTalks, type ChatTalk } from './sentences/chatTalks.ts'
import { languageOfTalk, slotsOf } from './talkSlots.ts'

/** A line of a conversation on the brand's own site, as its earlier chat remembers it. */
export interface FerrysiteLine {
  op: 'line'
  id: string
  conversation: string
  page: ChatTalk['page']
  from: 'visitor' | 'team'
  /** Empty: they did not say. */
  name: string
  text: string
  /** ISO 8601. */
  at: string
}

const minute = 60_000

/** Conversations in the box on the site over the year. */
export function ferrysite({
  seed,
  end,
  scale,
}: {
  seed: number
  end: number
  scale: number
}): FerrysiteLine[] {
  const random = seeded(seed + 47)
  const decks = decksByLanguage(random, chatTalks)
  const people = new People(random, 'v')
  const lines: FerrysiteLine[] = []
  // The last hours belong to the box that stands on the site now.
  instants(random, { end: end - hour, count: Math.round(360 * scale) }).forEach((at, i) => {
    const language = languageOfTalk(random)
    const talk = decks.get(language)!.deal()
    const name = random() < 0.6 ? people.somebody({ language }).name : ''
    for (const said of conversation(random, { talk, at, end }))
      lines.push({
        op: 'line',
        id: `l${lines.length + 1}`,
        conversation: `c${i + 1}`,
        page: talk.page,
        ...said,
        name: said.from === 'team' ? said.name : name,
      })
  })
  return lines.filter((line) => Date.parse(line.at) <= end).sort((a, b) => (a.at < b.at ? -1 : 1))
}

/** Minutes pass, not hours: both sides are there. Of late the last may still be open. */
function conversation(
  random: Random,
  { talk, at: start, end }: { talk: ChatTalk; at: number; end: number },
): Pick<FerrysiteLine, 'from' | 'name' | 'text' | 'at'>[] {
  const slots = slotsOf(random)
  const said: Pick<FerrysiteLine, 'from' | 'name' | 'text' | 'at'>[] = []
  let at = start
  for (const line of talk.lines) {
    const ours = line.startsWith('<')
    if (said.length) at += Math.round((ours ? 0.5 + 3 * random() : 0.1 + random()) * minute)
    if (ours && start > end - 2 * day && random() > answeredBy(end, start, 0.97)) break
    // Nobody is owed an answer to thanks.
    if (!ours && said.at(-1)?.from === 'team' && start > end - 15 * day && random() > 0.15) break
    said.push({
      from: ours ? 'team' : 'visitor',
      name: ours ? slots.name! : '',
      text: line.slice(2).replace(/\{(\w+)\}/g, (_, slot: string) => slots[slot] ?? ''),
      at: new Date(at).toISOString(),
    })
  }
  return said
}
