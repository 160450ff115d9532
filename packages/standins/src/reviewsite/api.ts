import express, { type Router } from 'express'
import { problem } from '../shared/faults.ts'
import type { OAuthServer } from '../shared/oauth.ts'
import { coveredBy } from '../shared/subscriptions.ts'
import { businessOf, feedEventOf, feedItemOf } from './linkedData.ts'
import type { ReviewSiteKind } from './kinds.ts'
import type { ReviewSiteItem, ReviewSiteState } from './state.ts'

const pageSize = 200
const mayUse = coveredBy('business')

interface ApiParts {
  kind: ReviewSiteKind
  state: ReviewSiteState
  oauth: OAuthServer
  publish: <T extends ReviewSiteItem>(item: T) => T
}

/** What a business's owner may read, with their key. */
export function readingApi(api: Router, { state, oauth }: ApiParts): void {
  api.get('/businesses', (_req, res) => {
    const granted = (res.locals.resources as string[]).flatMap((id) => state.businesses.get(id) ?? [])
    res.json({
      '@context': 'https://schema.org',
      '@type': 'ItemList',
      itemListElement: granted.map((b) => businessOf(b, oauth.address)),
    })
  })
  api.get('/businesses/:business/feed', mayUse, (req, res) => {
    const stream = state.streams.get(String(req.params.business)) ?? []
    const after = Math.max(0, Number(req.query.after ?? 0) || 0)
    const items = stream.slice(after, after + pageSize)
    const end = after + items.length
    res.json({
      '@context': 'https://schema.org',
      '@type': 'DataFeed',
      numberOfItems: stream.length,
      dataFeedElement: items.map((event) => feedEventOf(event, oauth.address)),
      cursor: String(end),
      more: end < stream.length,
    })
  })
}

/** Owners tell the site of reviews that should not stand there. */
export function reportingApi(api: Router, { kind, state }: ApiParts): void {
  api.post('/businesses/:business/items/:item/reports', mayUse, express.json(), (req, res) => {
    const item = state.items.get(String(req.params.item))
    const { reason = '', text = '' } = req.body as { reason?: string; text?: string }
    if (!kind.reports) return problem(res, 404, 'Reviews are not reported here')
    if (!item || item.op !== 'review' || item.business !== req.params.business || state.deleted.has(item.id))
      return problem(res, 410, 'What this reports is gone')
    if (!reason) return problem(res, 422, 'Say why')
    const key = req.get('Idempotency-Key')
    const { value, repeated } = state.reported.once(key, () => {
      const report = {
        op: 'report' as const,
        id: `r${state.reports.length + 1}`,
        item: item.id,
        business: item.business,
        reason,
        text: text.slice(0, 1000),
        created: new Date().toISOString(),
        key,
      }
      state.add(report)
      return report
    })
    res.status(repeated ? 200 : 201).json({ '@type': 'ReviewAction', identifier: value.id })
  })
}

/** The owner's answers. */
export function writingApi(api: Router, { kind, state, oauth, publish }: ApiParts): void {
  api.put('/businesses/:business/items/:item/answer', mayUse, express.json(), (req, res) => {
    const business = state.businesses.get(String(req.params.business))
    const parent = state.items.get(String(req.params.item))
    const { text = '' } = req.body as { text?: string }
    if (
      !business ||
      !parent ||
      state.deleted.has(parent.id) ||
      parent.op === 'answer' ||
      parent.business !== business.id
    )
      return problem(res, 410, 'What this answers is gone')
    if (!text.trim()) return problem(res, 422, 'An answer needs text')
    if (text.length > kind.answerLength)
      return problem(res, 422, `An answer has at most ${kind.answerLength} characters`)
    const key = req.get('Idempotency-Key')
    const { value, repeated } = state.answered.once(key, () =>
      publish({
        op: 'answer',
        id: state.nextId(),
        business: business.id,
        parent: parent.id,
        author: { id: business.id, name: business.name },
        owner: true,
        text,
        created: new Date().toISOString(),
        key,
      }),
    )
    res.status(repeated ? 200 : 201).json(feedItemOf(value, oauth.address))
  })
}
