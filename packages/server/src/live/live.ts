import { EventEmitter } from 'node:events'
import { missedLimitMs, type LiveEvent } from '@murrabel/contract'
import type { Database, Tx } from '../store/database.ts'
import type { Listener } from '../store/listener.ts'
import { notify } from '../store/queries/shared/notify.ts'

export const liveChannel = 'murrabel_live'
/** PostgreSQL takes 8000 bytes a notice; a longer list of threads says "look again" instead. */
const threadLimit = 500
/** Events of a brand that are kept to be told again; whoever missed more is told to load afresh. */
const recentLimit = 200

/** What travels between processes: an event of a brand, or the end of a session. */
type Notice = { brandId: number; event: LiveEvent } | { ended: string }

interface Told {
  /** Milliseconds of the process's own clock. */
  at: number
  event: LiveEvent
}

export interface Live {
  /** Whether events are heard right now. */
  readonly connected: boolean
  /** Tells every open browser of the brand, from whichever process; with a transaction, when it commits. */
  tell(brandId: number, event: LiveEvent, tx?: Tx): Promise<void>
  /** Ends the streams of a session, in whichever process they are. @param session the session's hash, in hexadecimal */
  end(session: string, tx?: Tx): Promise<void>
  listen(brandId: number, on: (event: LiveEvent) => void): () => void
  /** What was told to a brand within the last milliseconds, oldest first, each thing once. @param ms at most `missedLimitMs` */
  recent(brandId: number, ms: number): LiveEvent[]
  onEnd(session: string, act: () => void): () => void
  /** Called with everything that is told to anybody, before they hear it. */
  onAny(act: (event: LiveEvent, brandId: number) => void): void
}

/** What changes nothing that a lens shows. */
const besideLenses: ReadonlySet<LiveEvent['kind']> = new Set([
  'profiles',
  'alerts',
  'visitor',
  'writing',
  'presence',
  'notices',
  'lenses',
  'patterns',
  'hooks',
])
export const changesLenses = ({ kind }: LiveEvent): boolean => !besideLenses.has(kind)

/** Live updates across processes by LISTEN and NOTIFY. After a lost connection every browser is told to load afresh. */
export function startLive(db: Database, listener: Listener): Live {
  const brands = new EventEmitter()
  const sessions = new EventEmitter()
  brands.setMaxListeners(0)
  sessions.setMaxListeners(0)
  const recent = new Map<string, Told[]>()
  const before: ((event: LiveEvent, brandId: number) => void)[] = []
  const pass = (brand: string, event: LiveEvent) => {
    for (const act of before) act(event, Number(brand))
    const at = performance.now()
    const told = [...(recent.get(brand) ?? []).filter((each) => at - each.at <= missedLimitMs), { at, event }]
    recent.set(brand, told.length > recentLimit ? [{ at, event: { kind: 'afresh' } }] : told)
    brands.emit(brand, event)
  }
  listener.on(liveChannel, (payload) => {
    const notice = JSON.parse(payload) as Notice
    if ('ended' in notice) sessions.emit(notice.ended)
    else pass(String(notice.brandId), notice.event)
  })
  listener.onReconnect(() => {
    for (const brand of new Set([...recent.keys(), ...brands.eventNames().map(String)]))
      pass(brand, { kind: 'afresh' })
  })
  const send = async (notice: Notice, tx: Tx): Promise<void> =>
    void (await notify(db, { channel: liveChannel, payload: notice }, tx))
  const hear = (emitter: EventEmitter, name: string, on: (...args: never[]) => void) => {
    emitter.on(name, on as () => void)
    return () => void emitter.off(name, on as () => void)
  }
  return {
    get connected() {
      return listener.connected
    },
    tell: (brandId, event, tx) =>
      send(
        {
          brandId,
          event: 'threads' in event && event.threads.length > threadLimit ? { ...event, threads: [] } : event,
        },
        tx,
      ),
    end: (session, tx) => send({ ended: session }, tx),
    listen: (brandId, on) => hear(brands, String(brandId), on),
    recent(brandId, ms) {
      const since = performance.now() - ms
      const told = (recent.get(String(brandId)) ?? []).filter(({ at }) => at >= since)
      return [...new Map(told.map(({ event }) => [JSON.stringify(event), event])).values()]
    },
    onEnd: (session, act) => hear(sessions, session, act),
    onAny: (act) => void before.push(act),
  }
}
