import type { ChatEvent, ChatLine, ChatSiteAnswer } from '@murrabel/contract'
import type { Caller } from './world.ts'

const origin = 'https://ferry.example'

export interface ChatVisitors {
  /** Puts a chat on a site. */
  connect(call: Caller): Promise<void>
  /** One of them writes; sent again until the server has taken it. */
  say(text: string): Promise<void>
  /** What their boxes show when they are opened now. */
  boxes(): Promise<{ theirs: string[]; ours: string[] }>
}

/** Visitors of the brand's own site, each with a box of their own. @param address the server's @param random 0 to 1 */
export function chatVisitors(address: string, random: () => number): ChatVisitors {
  const tokens = Array.from({ length: 25 }, (_, i) => `visitor-${i}-${crypto.randomUUID()}`)
  const begun = new Set<string>()
  let key = ''
  const post = (what: string, body: object) =>
    fetch(`${address}/chat/${key}/${what}`, {
      method: 'POST',
      headers: { 'content-type': 'text/plain', origin },
      body: JSON.stringify(body),
    })
  async function conversation(token: string): Promise<ChatLine[]> {
    const response = await post('events', { token })
    if (!response.ok) throw new Error(`a box could not be opened: ${response.status}`)
    const reader = response.body!.pipeThrough(new TextDecoderStream()).getReader()
    let text = ''
    for (let part = await reader.read(); !part.done; part = await reader.read()) {
      text += part.value
      const found = /^data: (.*)\n\n/m.exec(text)
      const event = found && (JSON.parse(found[1]!) as ChatEvent)
      if (event?.kind === 'conversation') {
        await reader.cancel()
        return event.lines
      }
    }
    throw new Error('a box was told nothing')
  }
  return {
    async connect(call) {
      const made = await call<ChatSiteAnswer>('POST', '/api/profiles/chats', {
        name: 'Chat',
        origins: [origin],
      })
      key = made.body.key
    },
    async say(text) {
      const token = tokens[Math.floor(random() * tokens.length)]!
      const id = crypto.randomUUID()
      begun.add(token)
      for (;;) {
        const sent = await post('lines', { token, id, text }).catch(() => null)
        if (sent?.ok) return
        if (sent && sent.status < 500 && sent.status !== 429)
          throw new Error(`a line was refused: ${sent.status}`)
        await new Promise((resolve) => setTimeout(resolve, sent?.status === 429 ? 1000 : 100))
      }
    },
    async boxes() {
      const lines: ChatLine[] = []
      for (const token of begun) lines.push(...(await conversation(token)))
      const of = (from: ChatLine['from']) =>
        lines.filter((line) => line.from === from).map(({ text }) => text)
      return { theirs: of('visitor'), ours: of('team') }
    },
  }
}
