import { contactWish } from '@murrabel/core/texting'
import type { CollectedItem, Connector, ConnectorProfile, DeliveryReport, ReadParts } from '../contract.ts'
import { hookSubscriptions } from '../shared/hookSubscriptions.ts'
import { NetworkFailure } from '../shared/outcome.ts'
import { listOf, readParts } from '../shared/readParts.ts'

/** A text as the gateway tells it; numbers in the form of E.164. */
interface TextEvent {
  type: 'text'
  id: string
  from: string
  to: string
  text: string
  /** ISO 8601. */
  sent: string
  /** Of what a phone sent in parts. */
  part?: { reference: number; number: number; of: number }
  key?: string
}
interface DeliveryEvent {
  type: 'delivery'
  id: string
  state: 'delivered' | 'failed'
  reason?: string
  at: string
}
type GatewayEvent = TextEvent | DeliveryEvent

interface EventsPage {
  events: GatewayEvent[]
  cursor: string
  more: boolean
  total: number
}

/** One number is one thread, whoever begins it. */
function itemOf(event: TextEvent, profile: ConnectorProfile): CollectedItem {
  const own = event.from === profile.outsideId
  const other = own ? event.to : event.from
  return {
    outsideId: event.id,
    threadId: `number/${other}`,
    kind: 'message',
    direction: own ? 'out' : 'in',
    author: { outsideId: event.from, name: (own && profile.name) || event.from },
    text: event.text,
    at: Date.parse(event.sent),
    private: true,
    replyKey: event.key,
    ...(own ? {} : { wish: contactWish(event.text) ?? undefined }),
    ...pieceOf(event),
    raw: event,
  }
}

/** Phones number what they send from 0 to 255 and begin again: the day tells one round from another. */
function pieceOf({ part, from, sent }: TextEvent): Pick<CollectedItem, 'piece'> {
  // One is the whole text.
  if (!part || part.of === 1) return {}
  const whole = `${from}/${String(sent).slice(0, 10)}/${part.reference}/${part.of}`
  return { piece: { whole, number: part.number, of: part.of } }
}

function read(events: readonly GatewayEvent[], profile: ConnectorProfile): ReadParts {
  const reports: DeliveryReport[] = []
  const parts = readParts(events, (event) => {
    if (event.type === 'text') return itemOf(event, profile)
    if (event.type === 'delivery')
      reports.push({
        outsideId: event.id,
        state: event.state === 'delivered' ? 'delivered' : 'failed',
        reason: event.reason,
        at: Date.parse(event.at),
      })
    return null
  })
  return { ...parts, reports }
}

const base = (profile: ConnectorProfile) =>
  `${profile.address}/api/numbers/${encodeURIComponent(profile.outsideId)}`

/** Text messages by a gateway: one of the brand's numbers is a profile. */
export const textsConnector: Connector = {
  channel: 'texts',
  capabilities: {
    reply: true,
    // Ten parts of the alphabet that holds most.
    replyLength: 1530,
    replyParts: 10,
    replyIsPublic: () => false,
    repliesTo: ['message'],
    live: true,
    oauth: true,
    authorsBy: 'phone',
  },
  async profiles(address, token, http) {
    const { numbers } = await http.json<{ numbers: { number: string; name?: string }[] }>(
      `${address}/api/numbers`,
      { token },
    )
    return listOf<{ number: string; name?: string }>(numbers).map(({ number, name }) => ({
      outsideId: number,
      name: name ? `${name}, ${number}` : number,
    }))
  },
  async collect(profile, cursor, http) {
    const page = await http.json<EventsPage>(
      `${base(profile)}/events?after=${encodeURIComponent(cursor ?? '0')}`,
      { token: profile.accessToken },
    )
    return {
      ...read(listOf<GatewayEvent>(page.events), profile),
      cursor: page.cursor,
      more: page.more,
      total: page.total,
    }
  },
  async send(profile, action, http) {
    const event = await http.json<TextEvent>(`${base(profile)}/texts`, {
      method: 'POST',
      token: profile.accessToken,
      headers: { 'idempotency-key': action.key },
      body: { to: action.threadId.replace(/^number\//, ''), text: action.text },
    })
    if (typeof event.id !== 'string') throw new NetworkFailure('transient', 'the answer could not be read')
    return { outsideId: event.id, at: Date.parse(event.sent) }
  },
  receive(profile, body) {
    const { data } = body as { data?: GatewayEvent }
    return read(data ? [data] : [], profile)
  },
  readPart: (profile, raw) =>
    (raw as GatewayEvent).type === 'text' ? itemOf(raw as TextEvent, profile) : null,
  ...hookSubscriptions((profile) => `${base(profile)}/subscriptions`),
}
