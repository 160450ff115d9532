import express, { type Router } from 'express'
import { countText } from '@murrabel/core/texting'
import { problem } from '../shared/faults.ts'
import { coveredBy } from '../shared/subscriptions.ts'
import { isNumber, type DeliveryRecord, type TextmastState, type TextRecord } from './state.ts'

const pageSize = 200
/** Parts of one text at most. */
const mostParts = 10
/** Texts a second from one number. */
const mostASecond = 10
const mayUse = coveredBy('number')

/** An event of a number's stream, as it is told to its owner. */
export const eventOf = (record: TextRecord | DeliveryRecord) =>
  record.op === 'delivery'
    ? {
        type: 'delivery',
        id: record.id,
        state: record.state,
        ...(record.reason ? { reason: record.reason } : {}),
        at: record.at,
      }
    : {
        type: 'text',
        id: record.id,
        from: record.from,
        to: record.to,
        text: record.text,
        sent: record.sent,
        ...(record.part ? { part: record.part } : {}),
        ...(record.key ? { key: record.key } : {}),
      }

/** Numbers, their texts and deliveries, page by page. */
export function readingApi(api: Router, state: TextmastState): void {
  api.get('/numbers', (_req, res) => {
    const granted = (res.locals.resources as string[]).flatMap((id) => state.numbers.get(id) ?? [])
    res.json({ numbers: granted.map(({ id, name }) => ({ number: id, name })) })
  })
  api.get('/numbers/:number/events', mayUse, (req, res) => {
    const stream = state.streams.get(String(req.params.number)) ?? []
    const after = Math.max(0, Number(req.query.after ?? 0) || 0)
    const events = stream.slice(after, after + pageSize)
    const end = after + events.length
    res.json({
      events: events.map(eventOf),
      cursor: String(end),
      more: end < stream.length,
      total: stream.length,
    })
  })
}

/** Counts what a number sent within the last second. */
function secondly() {
  const times = new Map<string, number[]>()
  return (number: string): boolean => {
    const now = Date.now()
    const recent = (times.get(number) ?? []).filter((at) => now - at < 1000)
    times.set(number, [...recent, now])
    return recent.length >= mostASecond
  }
}

/** Sends a text; the same key sends it once. */
export function sendingApi(
  api: Router,
  { state, send }: { state: TextmastState; send: (text: TextRecord) => TextRecord },
): void {
  const isTooFast = secondly()
  api.post('/numbers/:number/texts', mayUse, express.json(), (req, res) => {
    const number = String(req.params.number)
    const { to = '', text = '' } = req.body as { to?: string; text?: string }
    if (!isNumber(to)) return problem(res, 422, 'The number is not in the form of E.164')
    const { parts, encoding } = countText(text)
    if (!parts) return problem(res, 422, 'A text needs words')
    if (parts > mostParts) return problem(res, 422, `A text has at most ${mostParts} parts`)
    if (isTooFast(number)) {
      res.setHeader('Retry-After', '1')
      return problem(res, 429, `At most ${mostASecond} texts a second`)
    }
    const key = req.get('Idempotency-Key')
    const { value, repeated } = state.sent.once(key, () =>
      send({
        op: 'text',
        id: state.nextId(),
        number,
        from: number,
        to,
        text,
        sent: new Date().toISOString(),
        key,
      }),
    )
    res.status(repeated ? 200 : 201).json({ ...eventOf(value), parts, encoding })
  })
}
