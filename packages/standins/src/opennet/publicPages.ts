import { createHash } from 'node:crypto'
import express, { type Router } from 'express'
import { escapeHtml, page } from '../shared/html.ts'
import { sceneInWords } from '../shared/scenery.ts'
import { hasPicture } from './activity.ts'
import type { OpenNetKind } from './kinds.ts'
import type { DeletionRecord, EditRecord, OpenNetState, OpenPost } from './state.ts'

interface PagesOf {
  kind: OpenNetKind
  state: OpenNetState
  publish: (post: Omit<OpenPost, 'op' | 'id'>) => OpenPost
  change: (change: EditRecord | DeletionRecord) => void
}

const articleOf = (kind: OpenNetKind) => (post: OpenPost) => article(post, hasPicture(post, kind))

const article = (post: OpenPost, picture: boolean) =>
  `<article id="${post.id}"><strong>${escapeHtml(post.author.name)}</strong> <small>@${escapeHtml(post.author.handle)} ${post.published}</small>${post.title ? `<h2><a href="/posts/${post.id}">${escapeHtml(post.title)}</a></h2>` : ''}${picture ? `<img src="/pictures/${post.id}.jpg" width="400" alt="${escapeHtml(sceneInWords(post.id))}">` : ''}${(post.media ?? []).map((id) => `<img src="/media/${id}" width="300" alt="">`).join('')}<p>${escapeHtml(post.content)}</p><form method="post" action="/posts/${post.id}/like"><button>Like</button></form><details><summary>Its author</summary><form method="post" action="/posts/${post.id}/edit"><textarea name="content">${escapeHtml(post.content)}</textarea><button>Change</button></form><form method="post" action="/posts/${post.id}/delete"><button>Delete</button></form></details></article>`

const authorOf = (name: string) => ({
  id: createHash('sha1').update(name).digest('hex').slice(0, 10),
  name,
  handle: name.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, '.'),
})

/** What everybody sees, and the forms with which a visitor posts, answers and writes to an account. */
export function publicPages(router: Router, parts: PagesOf): void {
  showPosts(router, parts)
  showAccounts(router, parts)
  takePosts(router, parts)
  takeReactions(router, parts)
  takeChanges(router, parts)
}

function takeReactions(router: Router, { state }: PagesOf): void {
  router.post('/posts/:id/:what', (req, res, next) => {
    const { id, what } = req.params
    if (what !== 'like' && what !== 'share') return next()
    const post = state.byId.get(id)
    if (!post || post.conversation || state.deleted.has(id)) return next()
    state.add({ op: 'reaction', id, what })
    res.redirect(303, `/posts/${state.rootOf(post).id}`)
  })
}

function formTo({ kind }: PagesOf, action: string, button: string): string {
  return `<form method="post" action="${action}"><input name="name" placeholder="Your name" required>${kind.titled && action === '/posts' ? ' <input name="title" placeholder="Title" required>' : ''}
    <textarea name="content" maxlength="${kind.longest}" required></textarea><button>${button}</button></form>`
}

function showPosts(router: Router, parts: PagesOf): void {
  const { kind, state } = parts
  router.get('/', (_req, res) => {
    const latest = state
      .visible()
      .filter((p) => !p.inReplyTo)
      .slice(-30)
      .reverse()
    const accounts = [...state.accounts.values()]
      .map(
        (each) =>
          `<li><a href="/accounts/${each.id}">${escapeHtml(each.name)}</a> @${escapeHtml(each.handle)}</li>`,
      )
      .join('')
    res.send(
      page(
        kind.name,
        `<ul>${accounts}</ul>${formTo(parts, '/posts', 'Post')}${latest.map(articleOf(kind)).join('')}`,
      ),
    )
  })
  router.get('/posts/:id', (req, res) => {
    const post = state.byId.get(req.params.id)
    if (!post || post.conversation || state.deleted.has(post.id))
      return void res.status(404).send(page(kind.name, '<p>No such post.</p>'))
    const root = state.rootOf(post)
    const thread = state.visible().filter((p) => p.id === root.id || state.rootOf(p).id === root.id)
    res.send(
      page(
        kind.name,
        thread.map(articleOf(kind)).join('') + formTo(parts, `/posts/${root.id}/answers`, 'Answer'),
      ),
    )
  })
}

function showAccounts(router: Router, parts: PagesOf): void {
  const { kind, state } = parts
  router.get('/accounts/:id', (req, res) => {
    const account = state.accounts.get(req.params.id)
    if (!account) return void res.status(404).send(page(kind.name, '<p>No such account.</p>'))
    const own = state
      .visible()
      .filter((p) => p.author.id === account.id && !p.inReplyTo)
      .slice(-30)
      .reverse()
    const write = kind.messages
      ? `<p>Write in private</p>${formTo(parts, `/accounts/${account.id}/messages`, 'Send message')}`
      : ''
    res.send(
      page(kind.name, `<h1>${escapeHtml(account.name)}</h1>${write}${own.map(articleOf(kind)).join('')}`),
    )
  })
}

function takeChanges(router: Router, { kind, state, change }: PagesOf): void {
  router.post('/posts/:id/:what', express.urlencoded({ extended: false }), (req, res, next) => {
    const { id, what } = req.params as { id: string; what: string }
    if (what !== 'edit' && what !== 'delete') return next()
    const post = state.byId.get(id)
    if (!post) return void res.status(404).send(page(kind.name, '<p>No such post.</p>'))
    const at = new Date().toISOString()
    const { content = '' } = req.body as { content?: string }
    change(
      what === 'edit'
        ? { op: 'edit', id, content: content.slice(0, kind.longest), at }
        : { op: 'deletion', id, at },
    )
    res.redirect(303, what === 'edit' ? `/posts/${state.rootOf(post).id}` : '/')
  })
}

function takePosts(router: Router, { kind, state, publish }: PagesOf): void {
  const form = express.urlencoded({ extended: false })
  const take = (body: unknown, more: Pick<OpenPost, 'inReplyTo' | 'conversation'> = {}): OpenPost => {
    const { name = '', title, content = '', views } = body as Record<string, string>
    return publish({
      author: authorOf(name),
      title: kind.titled && !more.inReplyTo && !more.conversation ? title : undefined,
      content: content.slice(0, kind.longest),
      published: new Date().toISOString(),
      views: Number(views) || undefined,
      ...more,
    })
  }
  router.post('/posts', form, (req, res) => {
    res.redirect(303, `/posts/${take(req.body).id}`)
  })
  router.post('/posts/:id/answers', form, (req, res) => {
    const target = state.byId.get(String(req.params.id))
    if (!target || target.conversation || state.deleted.has(target.id))
      return void res.status(404).send(page(kind.name, '<p>No such post.</p>'))
    take(req.body, { inReplyTo: target.id })
    res.redirect(303, `/posts/${target.id}`)
  })
  router.post('/accounts/:id/messages', form, (req, res) => {
    const account = state.accounts.get(String(req.params.id))
    const { name = '' } = req.body as Record<string, string>
    if (!account || !kind.messages)
      return void res.status(404).send(page(kind.name, '<p>No such account.</p>'))
    take(req.body, {
      conversation: { id: `${account.id}-${authorOf(name).id}`, account: account.id },
    })
    res.redirect(303, `/accounts/${account.id}`)
  })
}
