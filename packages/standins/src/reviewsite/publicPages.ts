import { createHash } from 'node:crypto'
import express, { type Request, type Router } from 'express'
import { escapeHtml, page } from '../shared/html.ts'
import { publicBusiness, ratingsPage } from './linkedData.ts'
import type { ReviewSiteKind } from './kinds.ts'
import type {
  AnswerRecord,
  ReviewSiteItem,
  ReviewSiteState,
  ReviewEditRecord,
  ReviewDeletionRecord,
} from './state.ts'

const pageSize = 500
const addressOf = (req: Request) => `${req.protocol}://${req.get('host')}`

const article = (item: ReviewSiteItem, answers: readonly AnswerRecord[]): string =>
  `<article id="${item.id}"><strong>${escapeHtml(item.author.name)}</strong> ${'rating' in item && item.rating ? `${item.rating} of 5` : ''} <small>${item.created}</small>
  ${'title' in item && item.title ? `<h2>${escapeHtml(item.title)}</h2>` : ''}<p>${escapeHtml(item.text)}</p>${answers
    .filter((a) => a.parent === item.id)
    .map(
      (a) =>
        `<article><strong>${a.owner ? 'Answer of the owner' : escapeHtml(a.author.name)}</strong><p>${escapeHtml(a.text)}</p></article>`,
    )
    .join('')}</article>`

/** What everybody sees of a business, and the form with which a visitor reviews it or asks. */
export function publicPages(
  kind: ReviewSiteKind,
  state: ReviewSiteState,
  {
    publish,
    change,
  }: {
    publish: <T extends ReviewSiteItem>(item: T) => T
    change: (change: ReviewEditRecord | ReviewDeletionRecord) => void
  },
): Router {
  const router = express.Router()
  showBusinesses(router, kind, state)
  showItems(router, kind, state)
  router.post('/businesses/:business', express.urlencoded({ extended: false }), (req, res) => {
    const business = state.businesses.get(req.params.business)
    const { name = '', rating = '', title, text = '' } = req.body as Record<string, string>
    if (!business || !name.trim() || (!rating && !(kind.questions && text.trim())))
      return void res
        .status(422)
        .send(
          page(kind.name, `<p>A name and a rating${kind.questions ? ' or a question' : ''} are needed.</p>`),
        )
    const author = { id: createHash('sha1').update(name).digest('hex').slice(0, 10), name }
    publish({
      op: rating ? 'review' : 'question',
      id: state.nextId(),
      business: business.id,
      author,
      rating: rating ? Number(rating) : undefined,
      title: kind.titled ? title : undefined,
      text,
      created: new Date().toISOString(),
    })
    res.redirect(303, `/businesses/${business.id}`)
  })
  // A reviewer thinks better, or worse, of it.
  router.post('/items/:item/edit', express.urlencoded({ extended: false }), (req, res) => {
    const item = state.items.get(req.params.item)
    const { rating = '', text } = req.body as Record<string, string>
    if (item?.op !== 'review' || state.deleted.has(item.id))
      return void res.status(404).send(page(kind.name, '<p>No such review.</p>'))
    change({
      op: 'edit',
      id: item.id,
      text,
      rating: Number(rating) || undefined,
      at: new Date().toISOString(),
    })
    res.redirect(303, `/businesses/${item.business}`)
  })
  return router
}

function showBusinesses(router: Router, kind: ReviewSiteKind, state: ReviewSiteState): void {
  router.get('/', (_req, res) => {
    const links = [...state.businesses.values()]
      .map((b) => `<li><a href="/businesses/${b.id}">${escapeHtml(b.name)}</a></li>`)
      .join('')
    res.send(page(kind.name, `<ul>${links}</ul>`))
  })
  router.get('/businesses/:business', (req, res) => {
    const business = state.businesses.get(req.params.business)
    const stream = state.itemsOf(req.params.business)
    if (!business) return void res.status(404).send(page(kind.name, '<p>No such business.</p>'))
    if (req.accepts(['html', 'application/ld+json']) === 'application/ld+json')
      return void res.type('application/ld+json').json(publicBusiness(business, stream, addressOf(req)))
    const answers = stream.filter((i): i is AnswerRecord => i.op === 'answer')
    const newest = stream
      .filter((i) => i.op !== 'answer')
      .slice(-30)
      .reverse()
    res.send(
      page(
        kind.name,
        `<h1>${escapeHtml(business.name)}</h1><p>${escapeHtml(business.street)}, ${escapeHtml(business.town)}, ${escapeHtml(business.phone)}</p>
        <form method="post"><input name="name" placeholder="Your name" required> <select name="rating">${kind.questions ? '<option value="">a question</option>' : ''}${[
          5, 4, 3, 2, 1,
        ]
          .map((n) => `<option value="${n}">${n} of 5</option>`)
          .join(
            '',
          )}</select>${kind.titled ? '<input name="title" placeholder="Title">' : ''}<textarea name="text"></textarea><button>Publish</button></form>${newest.map((i) => article(i, answers)).join('')}`,
      ),
    )
  })
}

function showItems(router: Router, kind: ReviewSiteKind, state: ReviewSiteState): void {
  router.get('/businesses/:business/ratings', (req, res) => {
    const after = Math.max(0, Number(req.query.after ?? 0) || 0)
    const stream = state.itemsOf(req.params.business)
    res
      .type('application/ld+json')
      .json(ratingsPage(stream, { after, size: pageSize, address: addressOf(req) }))
  })
  router.get('/items/:item', (req, res) => {
    const item = state.items.get(req.params.item)
    if (!item || state.deleted.has(item.id))
      return void res.status(404).send(page(kind.name, '<p>This is not here.</p>'))
    const answers = state.itemsOf(item.business).filter((i): i is AnswerRecord => i.op === 'answer')
    res.send(page(kind.name, article(item, answers)))
  })
}
