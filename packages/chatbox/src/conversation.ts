import type { ChatEvent, ChatLine, ChatStateAnswer } from '@murrabel/contract'
import { newToken, type Memory } from './memory.ts'
import type { Network } from './network.ts'

export interface ShownLine extends ChatLine {
  state: 'sending' | 'sent' | 'failed'
  /** Why it failed: the code of a refusal. */
  code?: string
}

export interface View {
  site: ChatStateAnswer | null
  /** The server could not be asked for the site. */
  away: boolean
  lines: ShownLine[]
  /** The line to the server is open; lost: it is being opened again. */
  line: 'none' | 'open' | 'lost'
  /** The address it goes on at. */
  email: string | null
  /** Somebody of the team is writing. */
  writing: boolean
  /** Answers that came while the box was shut. */
  unread: number
  /** Why an e-mail address is asked for. */
  ask: 'closed' | 'waiting' | null
}

export interface Where {
  network: Network
  memory: Memory
  /** The page the visitor is on. */
  page: () => { url: string; title: string }
  language: string
  /** As the site knows them. */
  name: string
  now?: () => number
}

const writingMs = 6000
const typingMs = 3000
const longestWaitMs = 30_000

/** Before anything was said or heard. */
export const blankView: View = {
  site: null,
  away: false,
  lines: [],
  line: 'none',
  email: null,
  writing: false,
  unread: 0,
  ask: null,
}

/** A conversation of a visitor: what is said, sent, waited for; without any picture of it. */
export class Conversation {
  view: View = blankView
  private readonly listeners = new Set<() => void>()
  private shown = false
  private queue: Promise<void> = Promise.resolve()
  private following: AbortController | null = null
  private typedAt = 0
  private writingEnds: ReturnType<typeof setTimeout> | undefined
  private wakes = new Set<() => void>()

  private readonly where: Where
  private readonly now: () => number

  constructor(where: Where) {
    this.where = where
    this.now = where.now ?? Date.now
    // A conversation that was begun goes on, on this page too.
    if (where.memory.token()) void this.follow()
  }

  onChange(act: () => void): () => void {
    this.listeners.add(act)
    return () => this.listeners.delete(act)
  }

  /** The box is opened or shut. */
  show(shown: boolean): void {
    this.shown = shown
    if (shown) {
      this.set({ unread: 0 })
      if (!this.view.site) void this.loadSite()
    }
  }

  /** Asks for what may have changed by the time alone. */
  tick(): void {
    const ask = this.whyAsk()
    if (ask !== this.view.ask) this.set({ ask })
  }

  /** The network is back, or the page is looked at again: what waits for another try is tried now. */
  wake(): void {
    for (const act of [...this.wakes]) act()
  }

  say(text: string): void {
    const clean = text.trim()
    if (!clean) return
    const line: ShownLine = {
      id: crypto.randomUUID(),
      from: 'visitor',
      name: '',
      text: clean,
      at: new Date(this.now()).toISOString(),
      byMail: false,
      state: 'sending',
    }
    this.typedAt = 0
    this.set({ lines: [...this.view.lines, line] })
    this.enqueue(line)
  }

  /** Sends a line that failed once more: under its old id, so that it cannot stand there twice. */
  again(id: string): void {
    const line = this.view.lines.find((each) => each.id === id)
    if (line?.state !== 'failed') return
    this.change(id, { state: 'sending', code: undefined })
    this.enqueue(line)
  }

  typing(): void {
    const token = this.where.memory.token()
    if (!token || this.now() - this.typedAt < typingMs) return
    this.typedAt = this.now()
    void this.where.network.ask('typing', { token })
  }

  /** @returns the code of a refusal, or null: it goes on by e-mail */
  async leaveMail(email: string, name: string): Promise<string | null> {
    const token = this.where.memory.token()
    if (!token) return 'chatNotBegun'
    const asked = await this.where.network.ask('mail', { token, email, name })
    if (asked.kind === 'away') return 'away'
    if (asked.kind === 'refused') return asked.code || 'away'
    this.set({ email, ask: null })
    return null
  }

  async loadSite(): Promise<void> {
    const asked = await this.where.network.ask<ChatStateAnswer>('state', {})
    if (asked.kind === 'answer') this.set({ site: asked.answer, away: false })
    else this.set({ away: true })
    this.tick()
  }

  private set(change: Partial<View>): void {
    this.view = { ...this.view, ...change }
    for (const act of this.listeners) act()
  }

  private change(id: string, change: Partial<ShownLine>): void {
    this.set({ lines: this.view.lines.map((line) => (line.id === id ? { ...line, ...change } : line)) })
  }

  /** One after the other, so that they stand in the order in which they were written. */
  private enqueue({ id, text }: ShownLine): void {
    this.queue = this.queue.then(() => this.send(id, text))
  }

  private async send(id: string, text: string): Promise<void> {
    const { network, memory, page, language, name } = this.where
    // The first word: only now anything is kept in this browser.
    const token = memory.token() ?? newToken()
    memory.keep(token)
    for (let tries = 0; ; tries++) {
      const asked = await network.ask<ChatLine>('lines', { token, id, text, name, language, page: page() })
      if (asked.kind === 'answer') {
        this.change(id, { state: 'sent', at: asked.answer.at })
        break
      }
      if (asked.kind === 'refused') {
        this.change(id, { state: 'failed', code: asked.code })
        return
      }
      await this.pause(tries)
    }
    this.tick()
    if (!this.following) void this.follow()
  }

  /** Longer with each try, and not at the same moment as everybody else; shorter when the network comes back. */
  private pause(tries: number): Promise<void> {
    const waitMs = Math.min(longestWaitMs, 500 * 2 ** tries) * (0.5 + Math.random() / 2)
    return new Promise((resolve) => {
      const end = () => {
        clearTimeout(timer)
        this.wakes.delete(end)
        resolve()
      }
      const timer = setTimeout(end, waitMs)
      this.wakes.add(end)
    })
  }

  private async follow(): Promise<void> {
    const { network, memory } = this.where
    const token = memory.token()
    if (!token || this.following) return
    const ended = (this.following = new AbortController())
    for (let tries = 0; !ended.signal.aborted; tries++) {
      await network.follow(
        token,
        (event) => {
          tries = 0
          if (this.view.line !== 'open') this.set({ line: 'open' })
          this.hear(event)
        },
        ended.signal,
      )
      if (ended.signal.aborted) break
      this.set({ line: 'lost' })
      await this.pause(tries)
    }
  }

  /** Ends everything, with the page. */
  end(): void {
    this.following?.abort()
    this.wake()
  }

  private hear(event: ChatEvent): void {
    switch (event.kind) {
      case 'conversation': {
        const ids = new Set(event.lines.map(({ id }) => id))
        // What was written here and is not there yet comes last.
        const own = this.view.lines.filter(({ id, state }) => state !== 'sent' && !ids.has(id))
        const known = new Set(this.view.lines.map(({ id }) => id))
        const fresh = this.view.lines.length ? event.lines.filter(({ id }) => !known.has(id)) : []
        this.count(fresh)
        this.set({
          lines: [...event.lines.map((line) => ({ ...line, state: 'sent' as const })), ...own],
          email: event.email ?? this.view.email,
        })
        break
      }
      case 'line': {
        const line: ShownLine = { ...event.line, state: 'sent' }
        const at = this.view.lines.findIndex(({ id }) => id === line.id)
        if (at >= 0) this.change(line.id, line)
        else {
          const sending = this.view.lines.filter(({ state }) => state !== 'sent')
          const sent = this.view.lines.filter(({ state }) => state === 'sent')
          this.count([line])
          this.set({ lines: [...sent, line, ...sending] })
        }
        if (line.from === 'team') this.set({ writing: false })
        break
      }
      case 'gone':
        this.set({ lines: this.view.lines.filter(({ id, state }) => id !== event.id || state !== 'sent') })
        break
      case 'writing':
        clearTimeout(this.writingEnds)
        this.writingEnds = setTimeout(() => this.set({ writing: false }), writingMs)
        this.set({ writing: true })
    }
    this.tick()
  }

  private count(lines: readonly ChatLine[]): void {
    const answers = lines.filter(({ from }) => from === 'team').length
    if (!this.shown && answers) this.set({ unread: this.view.unread + answers })
  }

  private whyAsk(): View['ask'] {
    const { site, lines, email } = this.view
    if (!site?.byMail || email) return null
    const answered = lines.findLastIndex(({ from }) => from === 'team')
    const waiting = lines.slice(answered + 1).find(({ state }) => state === 'sent')
    if (!waiting) return null
    if (!site.open) return 'closed'
    return this.now() - Date.parse(waiting.at) > site.answerWithin * 60_000 ? 'waiting' : null
  }
}
