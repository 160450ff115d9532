import { createHash } from 'node:crypto'
import express, { type Request, type Router } from 'express'
import { escapeHtml, page } from '../shared/html.ts'
import { sceneInWords } from '../shared/scenery.ts'
import { hasPicture } from './activity.ts'
import type { LanternpageState, NoteChange, NoteRecord, PageRecord } from './state.ts'

const network = 'Lanternpage'
const pageSize = 200
const addressOf = (req: Request) => `${req.protocol}://${req.get('host')}`

/** A page as an ActivityStreams actor: what everybody may know of it. */
const publicActor = ({ id, name }: PageRecord, address: string) => ({
  '@context': 'https://www.w3.org/ns/activitystreams',
  type: 'Organization',
  id: `${address}/pages/${id}`,
  url: `${address}/pages/${id}`,
  name,
  outbox: `${address}/pages/${id}/posts`,
  followers: `${address}/pages/${id}/audience`,
})
const slug = (name: string) =>
  name
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, '.')
    .replace(/^\.|\.$/g, '')

const article = (note: NoteRecord, answers: Map<string, NoteRecord[]>): string =>
  `<article id="${note.id}"><strong>${escapeHtml(note.author.name)}</strong> <small>${note.published}</small>${hasPicture(note) ? `<img src="/pictures/${note.id}.jpg" width="400" alt="${escapeHtml(sceneInWords(note.id))}">` : ''}${(note.media ?? []).map((id) => `<img src="/media/${id}" width="300" alt="">`).join('')}<p>${escapeHtml(note.content)}</p><form method="post" action="/notes/${note.id}/like"><button>Like</button></form><details><summary>Its author</summary><form method="post" action="/notes/${note.id}/edit"><textarea name="content">${escapeHtml(note.content)}</textarea><button>Change</button></form><form method="post" action="/notes/${note.id}/delete"><button>Delete</button></form></details>${(
    answers.get(note.id) ?? []
  )
    .map((n) => article(n, answers))
    .join('')}</article>`

const answersOf = (stream: readonly NoteRecord[]) => {
  const answers = new Map<string, NoteRecord[]>()
  for (const note of stream)
    if (note.inReplyTo) answers.set(note.inReplyTo, [...(answers.get(note.inReplyTo) ?? []), note])
  return answers
}

type Publish = (note: NoteRecord) => NoteRecord

/** What everybody sees, and the forms with which a visitor comments or writes to a page. */
export function publicPages(
  state: LanternpageState,
  publish: Publish,
  change: (change: NoteChange) => void,
): Router {
  const router = express.Router()
  showPages(router, state)
  showPublicFigures(router, state)
  takeVisitors(router, state, publish)
  takeReactions(router, state)
  takeChanges(router, state, change)
  return router
}

function takeReactions(router: Router, state: LanternpageState): void {
  router.post('/notes/:note/:what', (req, res, next) => {
    const { note: id, what } = req.params
    const note = state.standing(id)
    if ((what !== 'like' && what !== 'share') || !note || note.conversation) return next()
    state.add({ op: 'reaction', id, what })
    res.redirect(303, `/pages/${note.page}`)
  })
}

function showPages(router: Router, state: LanternpageState): void {
  router.get('/', (_req, res) => {
    const links = [...state.pages.values()]
      .map((p) => `<li><a href="/pages/${p.id}">${escapeHtml(p.name)}</a></li>`)
      .join('')
    res.send(page(network, `<ul>${links}</ul>`))
  })
  router.get('/pages/:page', (req, res) => {
    const record = state.pages.get(req.params.page)
    const stream = state.notesOf(req.params.page)
    if (!record) return void res.status(404).send(page(network, '<p>No such page.</p>'))
    if (req.accepts(['html', 'application/activity+json']) === 'application/activity+json')
      return void res.type('application/activity+json').json(publicActor(record, addressOf(req)))
    const answers = answersOf(stream)
    const posts = stream
      .filter((n) => !n.inReplyTo && !n.conversation)
      .slice(-20)
      .reverse()
    res.send(
      page(
        network,
        `<h1>${escapeHtml(record.name)}</h1>
        <form method="post" action="/pages/${record.id}/messages"><p>Write to the page in private</p><input name="name" placeholder="Your name" required>
        <textarea name="content" required></textarea><button>Send message</button></form>
        ${posts.map((p) => `${article(p, answers)}<form method="post" action="/notes/${p.id}/comments"><input name="name" placeholder="Your name" required> <input name="content" placeholder="Comment" required> <button>Comment</button></form>`).join('')}`,
      ),
    )
  })
  router.get('/notes/:note', (req, res) => {
    const note = state.standing(req.params.note)
    if (!note || note.conversation) return void res.status(404).send(page(network, '<p>No such note.</p>'))
    res.send(page(network, article(note, answersOf(state.notesOf(note.page)))))
  })
}

/** Posts by their time, and followers by day, as ActivityStreams. */
function showPublicFigures(router: Router, state: LanternpageState): void {
  router.get('/pages/:page/posts', (req, res) => {
    const own = state.notesOf(req.params.page).filter((note) => !note.inReplyTo && !note.conversation)
    const after = Math.max(0, Number(req.query.after ?? 0) || 0)
    const items = own.slice(after, after + pageSize)
    const end = after + items.length
    res.type('application/activity+json').json({
      '@context': 'https://www.w3.org/ns/activitystreams',
      type: 'OrderedCollectionPage',
      totalItems: own.length,
      orderedItems: items.map(({ id, published }) => ({
        type: 'Note',
        id: `${addressOf(req)}/notes/${id}`,
        published,
      })),
      next: end < own.length ? `${addressOf(req)}/pages/${req.params.page}/posts?after=${end}` : undefined,
    })
  })
  router.get('/pages/:page/audience', (req, res) => {
    const days = state.audiences.get(req.params.page) ?? []
    res.type('application/activity+json').json({
      '@context': 'https://www.w3.org/ns/activitystreams',
      type: 'Collection',
      totalItems: days.at(-1)?.followers ?? 0,
      items: days.map(({ day, followers }) => ({ day, totalItems: followers })),
    })
  })
}

const authorOf = (name: string) => ({
  id: createHash('sha1').update(name).digest('hex').slice(0, 10),
  name,
  handle: slug(name),
})

function takeVisitors(router: Router, state: LanternpageState, publish: Publish): void {
  const form = express.urlencoded({ extended: false })
  router.post('/notes/:note/comments', form, (req, res) => {
    const target = state.standing(req.params.note)
    const { name = '', content = '' } = req.body as Record<string, string>
    if (!target || !name.trim() || !content.trim())
      return void res.status(422).send(page(network, '<p>Name and comment are needed.</p>'))
    publish({
      op: 'note',
      id: state.nextId(),
      page: target.page,
      author: authorOf(name),
      content,
      published: new Date().toISOString(),
      inReplyTo: target.id,
    })
    res.redirect(303, `/pages/${target.page}`)
  })
  router.post('/pages/:page/messages', form, (req, res) => {
    const record = state.pages.get(req.params.page)
    const { name = '', content = '' } = req.body as Record<string, string>
    if (!record || !name.trim() || !content.trim())
      return void res.status(422).send(page(network, '<p>Name and message are needed.</p>'))
    const author = authorOf(name)
    publish({
      op: 'note',
      id: state.nextId(),
      page: record.id,
      author,
      content,
      published: new Date().toISOString(),
      conversation: `${record.id}-${author.id}`,
    })
    res.redirect(303, `/pages/${record.id}`)
  })
}

function takeChanges(router: Router, state: LanternpageState, change: (change: NoteChange) => void): void {
  const form = express.urlencoded({ extended: false })
  router.post('/notes/:note/:what', form, (req, res, next) => {
    const { note: id, what } = req.params as { note: string; what: string }
    if (what !== 'edit' && what !== 'delete') return next()
    const note = state.standing(id)
    if (!note) return void res.status(404).send(page(network, '<p>No such note.</p>'))
    const at = new Date().toISOString()
    const { content = '' } = req.body as { content?: string }
    change(what === 'edit' ? { op: 'edit', id, content, at } : { op: 'deletion', id, at })
    res.redirect(303, `/pages/${note.page}`)
  })
}
