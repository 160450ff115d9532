import { createHash } from 'node:crypto'
import express from 'express'
import { problem, SwitchBoard } from '../shared/faults.ts'
import { escapeHtml, page } from '../shared/html.ts'
import { listen, networkApp, type Running, type StandinOptions } from '../shared/network.ts'
import { OpenNetState, type OpenPost } from './state.ts'

/** What tells one open network from another. */
export interface OpenNetKind {
  name: string
  /** Type of a post in ActivityStreams 2.0; answers are Notes everywhere. */
  type: 'Note' | 'Image' | 'Video' | 'Page'
  /** Posts have a title. */
  titled: boolean
  /** Characters of a post. */
  longest: number
}

export const openNets = {
  skimmer: { name: 'Skimmer', type: 'Note', titled: false, longest: 300 },
  framelet: { name: 'Framelet', type: 'Image', titled: false, longest: 2200 },
  reelbarn: { name: 'Reelbarn', type: 'Video', titled: true, longest: 5000 },
  talkstead: { name: 'Talkstead', type: 'Page', titled: true, longest: 20_000 },
} as const satisfies Record<string, OpenNetKind>
export type OpenNetName = keyof typeof openNets

export interface OpenNet extends Running {
  state: OpenNetState
  board: SwitchBoard
  publish(post: Omit<OpenPost, 'op' | 'id'>): OpenPost
}

const pageSize = 50
/** Searches a caller may make in a window; more are told to wait. */
const searches = { perWindow: 80, windowMs: 4_000 }

interface SearchOf {
  kind: OpenNetKind
  state: OpenNetState
  board: SwitchBoard
  address: () => string
}

/** A post as an activity of ActivityStreams 2.0. */
function activityOf(post: OpenPost, { kind, state, address }: SearchOf) {
  const link = (each: OpenPost) => `${address()}/posts/${each.id}`
  return {
    type: 'Create',
    id: `${link(post)}/activity`,
    published: post.published,
    object: {
      type: post.inReplyTo ? 'Note' : kind.type,
      id: link(post),
      url: link(post),
      name: post.title,
      content: post.content,
      mediaType: 'text/plain',
      published: post.published,
      attributedTo: {
        type: 'Person',
        id: `${address()}/people/${post.author.id}`,
        name: post.author.name,
        preferredUsername: post.author.handle,
      },
      inReplyTo: post.inReplyTo ? `${address()}/posts/${post.inReplyTo}` : undefined,
      context: link(state.rootOf(post)),
      to: ['https://www.w3.org/ns/activitystreams#Public'],
      views: post.views,
    },
  }
}

/** The public search, in pages. */
function searchApi(app: express.Express, parts: SearchOf): void {
  const { state, board, address } = parts
  let window = { start: 0, n: 0 }
  app.get('/api/search', board.middleware, (req, res) => {
    const now = Date.now()
    if (now - window.start > searches.windowMs) window = { start: now, n: 0 }
    if (++window.n > searches.perWindow) {
      res.setHeader('Retry-After', String(Math.ceil((window.start + searches.windowMs - now) / 1000)))
      return problem(res, 429, 'Too many searches')
    }
    const q = String(req.query.q ?? '').trim()
    if (!q) return problem(res, 422, 'Say what to search for: q is empty')
    if (q.length > 200) return problem(res, 422, 'A search has at most 200 characters')
    const after = Math.max(0, Number(req.query.after ?? 0) || 0)
    const { posts, end, more } = state.search(q, after, pageSize)
    res.json({
      '@context': 'https://www.w3.org/ns/activitystreams',
      type: 'OrderedCollectionPage',
      orderedItems: posts.map((post) => activityOf(post, parts)),
      cursor: String(end),
      next: more ? `${address()}/api/search?q=${encodeURIComponent(q)}&after=${end}` : undefined,
    })
  })
}

/** A network anybody may read: posts and answers, and a public search in pages, as ActivityStreams 2.0. */
export async function startOpenNet(
  name: OpenNetName,
  { port = 0, journalFile = null }: Pick<StandinOptions, 'port' | 'journalFile'> = {},
): Promise<OpenNet> {
  const kind: OpenNetKind = openNets[name]
  const state = new OpenNetState(journalFile)
  const board = new SwitchBoard()
  let address = ''

  const publish: OpenNet['publish'] = (given) => {
    const post: OpenPost = { op: 'post', id: state.nextId(), ...given }
    state.add(post)
    return post
  }

  const app = networkApp()
  app.use(board.router())
  searchApi(app, { kind, state, board, address: () => address })
  publicPages(app, { kind, state, publish })
  const running = await listen(app, port, (value) => (address = value))
  return { ...running, state, board, publish }
}

interface PagesOf {
  kind: OpenNetKind
  state: OpenNetState
  publish: OpenNet['publish']
}

/** What everybody sees, and the forms with which a visitor posts and answers. */
function publicPages(app: express.Express, { kind, state, publish }: PagesOf): void {
  const article = (post: OpenPost) =>
    `<article id="${post.id}"><strong>${escapeHtml(post.author.name)}</strong> <small>@${escapeHtml(post.author.handle)} ${post.published}</small>${post.title ? `<h2><a href="/posts/${post.id}">${escapeHtml(post.title)}</a></h2>` : ''}<p>${escapeHtml(post.content)}</p></article>`
  const form = (action: string, button: string) =>
    `<form method="post" action="${action}"><input name="name" placeholder="Your name" required>${kind.titled && action === '/posts' ? ' <input name="title" placeholder="Title" required>' : ''}
    <textarea name="content" maxlength="${kind.longest}" required></textarea><button>${button}</button></form>`
  app.get('/', (_req, res) => {
    const latest = state.posts
      .filter((p) => !p.inReplyTo)
      .slice(-30)
      .reverse()
    res.send(page(kind.name, form('/posts', 'Post') + latest.map(article).join('')))
  })
  app.get('/posts/:id', (req, res) => {
    const post = state.byId.get(req.params.id)
    if (!post) return void res.status(404).send(page(kind.name, '<p>No such post.</p>'))
    const root = state.rootOf(post)
    const thread = state.posts.filter((p) => p === root || state.rootOf(p) === root)
    res.send(page(kind.name, thread.map(article).join('') + form(`/posts/${root.id}/answers`, 'Answer')))
  })
  const take = (body: unknown, inReplyTo?: string): OpenPost => {
    const { name = '', title, content = '', views } = body as Record<string, string>
    return publish({
      author: {
        id: createHash('sha1').update(name).digest('hex').slice(0, 10),
        name,
        handle: name.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, '.'),
      },
      title: kind.titled && !inReplyTo ? title : undefined,
      content: content.slice(0, kind.longest),
      published: new Date().toISOString(),
      inReplyTo,
      views: Number(views) || undefined,
    })
  }
  const urlencoded = express.urlencoded({ extended: false })
  app.post('/posts', urlencoded, (req, res) => {
    res.redirect(303, `/posts/${take(req.body).id}`)
  })
  app.post('/posts/:id/answers', urlencoded, (req, res) => {
    const target = state.byId.get(String(req.params.id))
    if (!target) return void res.status(404).send(page(kind.name, '<p>No such post.</p>'))
    take(req.body, target.id)
    res.redirect(303, `/posts/${target.id}`)
  })
}
