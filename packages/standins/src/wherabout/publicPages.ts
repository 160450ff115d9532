import { createHash } from 'node:crypto'
import express, { type Request, type Router } from 'express'
import { escapeHtml, page } from '../shared/html.ts'
import { publicBusiness, ratingsPage } from './linkedData.ts'
import type { AnswerRecord, WheraboutItem, WheraboutState } from './state.ts'

const network = 'Wherabout'
const pageSize = 500
const addressOf = (req: Request) => `${req.protocol}://${req.get('host')}`

const article = (item: WheraboutItem, answers: readonly AnswerRecord[]): string =>
  `<article id="${item.id}"><strong>${escapeHtml(item.author.name)}</strong> ${'rating' in item && item.rating ? `${item.rating} of 5` : ''} <small>${item.created}</small>
  <p>${escapeHtml(item.text)}</p>${answers
    .filter((a) => a.parent === item.id)
    .map(
      (a) =>
        `<article><strong>${a.owner ? 'Answer of the owner' : escapeHtml(a.author.name)}</strong><p>${escapeHtml(a.text)}</p></article>`,
    )
    .join('')}</article>`

/** What everybody sees of a business, and the form with which a visitor reviews it or asks. */
export function publicPages(state: WheraboutState, publish: <T extends WheraboutItem>(item: T) => T): Router {
  const router = express.Router()
  showBusinesses(router, state)
  showItems(router, state)
  router.post('/businesses/:business', express.urlencoded({ extended: false }), (req, res) => {
    const business = state.businesses.get(req.params.business)
    const { name = '', rating = '', text = '' } = req.body as Record<string, string>
    if (!business || !name.trim() || (!rating && !text.trim()))
      return void res.status(422).send(page(network, '<p>A name and a rating or a question are needed.</p>'))
    const author = { id: createHash('sha1').update(name).digest('hex').slice(0, 10), name }
    publish({
      op: rating ? 'review' : 'question',
      id: state.nextId(),
      business: business.id,
      author,
      rating: rating ? Number(rating) : undefined,
      text,
      created: new Date().toISOString(),
    })
    res.redirect(303, `/businesses/${business.id}`)
  })
  return router
}

function showBusinesses(router: Router, state: WheraboutState): void {
  router.get('/', (_req, res) => {
    const links = [...state.businesses.values()]
      .map((b) => `<li><a href="/businesses/${b.id}">${escapeHtml(b.name)}</a></li>`)
      .join('')
    res.send(page(network, `<ul>${links}</ul>`))
  })
  router.get('/businesses/:business', (req, res) => {
    const business = state.businesses.get(req.params.business)
    const stream = state.streams.get(req.params.business)
    if (!business || !stream) return void res.status(404).send(page(network, '<p>No such business.</p>'))
    if (req.accepts(['html', 'application/ld+json']) === 'application/ld+json')
      return void res.type('application/ld+json').json(publicBusiness(business, stream, addressOf(req)))
    const answers = stream.filter((i): i is AnswerRecord => i.op === 'answer')
    const newest = stream
      .filter((i) => i.op !== 'answer')
      .slice(-30)
      .reverse()
    res.send(
      page(
        network,
        `<h1>${escapeHtml(business.name)}</h1><p>${escapeHtml(business.street)}, ${escapeHtml(business.town)}, ${escapeHtml(business.phone)}</p>
        <form method="post"><input name="name" placeholder="Your name" required> <select name="rating"><option value="">a question</option>${[
          5, 4, 3, 2, 1,
        ]
          .map((n) => `<option value="${n}">${n} of 5</option>`)
          .join(
            '',
          )}</select><textarea name="text"></textarea><button>Publish</button></form>${newest.map((i) => article(i, answers)).join('')}`,
      ),
    )
  })
}

function showItems(router: Router, state: WheraboutState): void {
  router.get('/businesses/:business/ratings', (req, res) => {
    const after = Math.max(0, Number(req.query.after ?? 0) || 0)
    const stream = state.streams.get(req.params.business) ?? []
    res
      .type('application/ld+json')
      .json(ratingsPage(stream, { after, size: pageSize, address: addressOf(req) }))
  })
  router.get('/items/:item', (req, res) => {
    const item = state.items.get(req.params.item)
    if (!item) return void res.status(404).send(page(network, '<p>This is not here.</p>'))
    const answers = (state.streams.get(item.business) ?? []).filter(
      (i): i is AnswerRecord => i.op === 'answer',
    )
    res.send(page(network, article(item, answers)))
  })
}
