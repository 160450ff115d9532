import { createHash } from 'node:crypto'
import { Feed } from 'feed'
import { SwitchBoard } from '../shared/faults.ts'
import { escapeHtml, page } from '../shared/html.ts'
import { Journal } from '../shared/journal.ts'
import { listen, networkApp, type Running, type StandinOptions } from '../shared/network.ts'
import express, { type Express } from 'express'

export interface FeedRecord {
  op: 'feed'
  id: string
  title: string
  /** Only so many of the newest are shown; all without it. */
  shows?: number
  format: 'rss' | 'atom' | 'json'
}
export interface ArticleRecord {
  op: 'article'
  id: string
  feed: string
  title: string
  text: string
  author: string
  /** ISO 8601. */
  published: string
}
export type PressRecord = FeedRecord | ArticleRecord

export interface Press extends Running {
  board: SwitchBoard
  feeds: Map<string, FeedRecord>
  articles: ArticleRecord[]
  publish(article: ArticleRecord): void
}

const formats = {
  rss: { type: 'application/rss+xml; charset=utf-8', print: (feed: Feed) => feed.rss2() },
  atom: { type: 'application/atom+xml; charset=utf-8', print: (feed: Feed) => feed.atom1() },
  json: { type: 'application/feed+json; charset=utf-8', print: (feed: Feed) => feed.json1() },
}

/** A feed with its articles, the newest first. */
function printFeed(record: FeedRecord, articles: readonly ArticleRecord[], address: string): string {
  const own = articles
    .filter((a) => a.feed === record.id)
    .sort((a, b) => (a.published < b.published ? 1 : -1))
    .slice(0, record.shows)
  const feed = new Feed({
    id: `${address}/${record.id}`,
    link: `${address}/${record.id}`,
    title: record.title,
    copyright: record.title,
    updated: new Date(own[0]?.published ?? 0),
  })
  for (const { id, title, text, author, published } of own) {
    const link = `${address}/articles/${id}`
    feed.addItem({
      id: link,
      link,
      title,
      content: `<p>${escapeHtml(text).replace(/\n+/g, '</p><p>')}</p>`,
      description: text,
      author: [{ name: author }],
      date: new Date(published),
      published: new Date(published),
    })
  }
  return formats[record.format].print(feed)
}

interface Shelf {
  feeds: ReadonlyMap<string, FeedRecord>
  articles: readonly ArticleRecord[]
  address: () => string
}

/** The pages a reader sees. */
function showArticles(app: Express, { feeds, articles, address }: Shelf): void {
  app.get('/', (_req, res) => {
    res.send(
      page(
        'Press',
        `<ul>${[...feeds.values()].map((f) => `<li>${escapeHtml(f.title)}: <a href="/${f.id}/feed">${address()}/${f.id}/feed</a></li>`).join('')}</ul>`,
      ),
    )
  })
  app.get('/articles/:id', (req, res) => {
    const found = articles.find((a) => a.id === req.params.id)
    if (!found) return void res.status(404).send(page('Press', '<p>No such article.</p>'))
    res.send(
      page(
        feeds.get(found.feed)?.title ?? 'Press',
        `<h1>${escapeHtml(found.title)}</h1><p>${escapeHtml(found.text).replace(/\n+/g, '</p><p>')}</p>`,
      ),
    )
  })
}

/** Newspapers and blogs: articles as RSS 2.0, Atom and JSON Feed, with conditional requests. */
export async function startPress({ port = 0, journalFile = null }: StandinOptions = {}): Promise<Press> {
  const journal = new Journal<PressRecord>(journalFile)
  const feeds = new Map<string, FeedRecord>()
  const articles: ArticleRecord[] = []
  const board = new SwitchBoard()
  let address = ''
  const apply = (record: PressRecord) => {
    if (record.op === 'feed') feeds.set(record.id, record)
    else articles.push(record)
  }
  for (const record of journal.read()) apply(record)

  const app = networkApp()
  app.use(board.router())
  showArticles(app, { feeds, articles, address: () => address })
  app.get('/:feed/feed', board.middleware, (req, res) => {
    const record = feeds.get(String(req.params.feed))
    if (!record) return void res.status(404).send('no such feed')
    const body = printFeed(record, articles, address)
    const etag = `"${createHash('sha1').update(body).digest('hex')}"`
    res.setHeader('ETag', etag)
    res.setHeader('Cache-Control', 'max-age=60')
    if (req.get('If-None-Match') === etag) return void res.status(304).end()
    res.setHeader('Content-Type', formats[record.format].type)
    res.send(body)
  })
  const publish = (article: ArticleRecord) => {
    apply(article)
    journal.append(article)
  }
  app.post('/:feed/articles', express.json(), (req, res) => {
    const { title = '', text = '', author = '' } = req.body as Record<string, string>
    publish({
      op: 'article',
      id: `a${articles.length + 1}`,
      feed: String(req.params.feed),
      title,
      text,
      author,
      published: new Date().toISOString(),
    })
    res.status(201).json({})
  })
  const running = await listen(app, port, (value) => (address = value))
  return { ...running, board, feeds, articles, publish }
}
