import { randomUUID } from 'node:crypto'
import { existsSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { pick, type Random } from './random.ts'
import { chatTalks, type ChatTalk } from './sentences/chatTalks.ts'
import { slotsOf } from './talkSlots.ts'

/** What the keeper of the ferry site put into its pages: the server and the chat that the box belongs to. */
export function chatOfSite(folder: string): { server: string; site: string } | null {
  const file = join(folder, 'ferrysite.jsonl')
  if (!existsSync(file)) return null
  const tag = readFileSync(file, 'utf8')
    .split('\n')
    .flatMap((line) => (line.includes('"op":"snippet"') ? [(JSON.parse(line) as { html: string }).html] : []))
    .at(-1)
  const found = tag && /src="(https?:\/\/[^"/]+)\/chat\/box\.js" data-site="([\w-]+)"/.exec(tag)
  return found ? { server: found[1]!, site: found[2]! } : null
}

const titles: Record<ChatTalk['page'], string> = {
  home: 'Across the Sound of Orrin',
  timetable: 'Timetable',
  fares: 'Fares',
  bikes: 'Bicycles',
}

/** Milliseconds somebody takes to write the next thing, and to wait for an answer at all. */
const writing = { least: 4000, more: 12_000 }
const patience = 10 * 60_000

/**
 * One visitor of the ferry site from the first word to the last: writes what is theirs of a conversation, waits for an answer
 * of ours before going on, and leaves when none comes.
 */
export async function visit(
  random: Random,
  { folder, origin, name }: { folder: string; origin: string; name: string },
): Promise<void> {
  const chat = chatOfSite(folder)
  if (!chat) return
  const talk = pick(
    random,
    chatTalks.filter(({ language }) => language === 'en'),
  )
  const slots = slotsOf(random)
  const token = randomUUID() + randomUUID().slice(0, 8)
  const post = (what: string, body: object) =>
    fetch(`${chat.server}/chat/${chat.site}/${what}`, {
      method: 'POST',
      headers: { 'content-type': 'text/plain', origin },
      body: JSON.stringify({ token, ...body }),
    }).catch(() => null)
  const page = {
    url: `${origin}/${talk.page === 'home' ? '' : talk.page}`,
    title: `${titles[talk.page]} · Skerrivane Ferries`,
  }
  const answers = async (): Promise<number> => {
    const response = await post('events', {})
    const reader = response?.ok ? response.body?.pipeThrough(new TextDecoderStream()).getReader() : undefined
    const first = await reader?.read()
    await reader?.cancel()
    return (first?.value?.match(/"from":"team"/g) ?? []).length
  }
  const wait = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms))
  let heard = 0
  for (const line of talk.lines) {
    if (line.startsWith('<')) {
      const end = Date.now() + patience
      const before = heard
      while ((heard = await answers()) <= before) {
        if (Date.now() > end) return
        await wait(5000)
      }
      continue
    }
    await post('typing', {})
    await wait(writing.least + writing.more * random())
    const text = line.slice(2).replace(/\{(\w+)\}/g, (_, slot: string) => slots[slot] ?? '')
    const sent = await post('lines', { id: randomUUID(), text, name, language: 'en', page })
    console.log(`chat ${talk.page}${sent?.ok ? '' : ` was not taken: ${sent?.status ?? 'no answer'}`}`)
    if (!sent?.ok) return
  }
}
