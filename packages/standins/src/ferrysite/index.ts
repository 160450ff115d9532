import express from 'express'
import { SwitchBoard } from '../shared/faults.ts'
import { escapeHtml } from '../shared/html.ts'
import { Journal } from '../shared/journal.ts'
import { listen, networkApp, type Running, type StandinOptions } from '../shared/network.ts'
import { customersCsv, type Booking } from './bookings.ts'
import { quayBoard, type Heard } from './quayBoard.ts'
import { shown } from './shown.ts'
import { sitePages, type SitePage } from './sitePages.ts'

/** What was said in the chat the site had before, and what its keeper puts at the end of every page. */
export type FerrysiteRecord =
  | { op: 'snippet'; html: string }
  | {
      op: 'line'
      id: string
      conversation: string
      page: SitePage
      from: 'visitor' | 'team'
      name: string
      text: string
      at: string
    }
  | Booking

export interface Ferrysite extends Running {
  /** Puts a snippet of HTML before the end of every page. */
  embed(html: string): void
  /** What the board at the quay was told, the latest first. */
  heard: readonly Heard[]
}

/**
 * The ferry company's own site: a few pages, a place where its keeper pastes what is to stand on each of them, the
 * conversations of an earlier chat as ActivityStreams 2.0, and the customers of its booking system as a table.
 */
export async function startFerrysite({
  port = 0,
  journalFile = null,
}: StandinOptions = {}): Promise<Ferrysite> {
  const journal = new Journal<FerrysiteRecord>(journalFile)
  const bookings: Booking[] = []
  const lines: Extract<FerrysiteRecord, { op: 'line' }>[] = []
  let snippet = ''
  const apply = (record: FerrysiteRecord) => {
    if (record.op === 'snippet') snippet = record.html
    else if (record.op === 'booking') bookings.push(record)
    else lines.push(record)
  }
  for (const record of journal.read()) apply(record)
  const embed = (html: string) => {
    const record: FerrysiteRecord = { op: 'snippet', html }
    journal.append(record)
    apply(record)
  }
  const board = new SwitchBoard()
  const app = networkApp()
  let address = ''
  app.use(board.router())
  for (const [name, { title, body }] of Object.entries(sitePages))
    app.get(name === 'home' ? '/' : `/${name}`, (_req, res) => void res.send(shown(title, body, snippet)))
  app.get('/keeper', (_req, res) => {
    res.send(
      shown(
        'For the keeper of this site',
        `<form method="post" action="/keeper"><label>Stands at the end of every page<br><textarea name="html" rows="5" cols="70">${escapeHtml(snippet)}</textarea></label><p><button>Save</button></p></form>`,
        '',
      ),
    )
  })
  app.post('/keeper', express.urlencoded({ extended: false, limit: '20kb' }), (req, res) => {
    embed(String((req.body as { html?: string }).html ?? ''))
    res.redirect(303, '/keeper')
  })
  app.get('/keeper/conversations.json', board.middleware, (_req, res) => {
    res.type('application/activity+json').send(
      JSON.stringify({
        '@context': 'https://www.w3.org/ns/activitystreams',
        type: 'OrderedCollection',
        totalItems: lines.length,
        orderedItems: lines.map((line) => noteOf(line, address)),
      }),
    )
  })
  app.get('/keeper/customers.csv', board.middleware, (_req, res) => {
    res.type('text/csv').send(customersCsv(bookings))
  })
  const heard = quayBoard(app, board)
  const running = await listen(app, port, (at) => (address = at))
  return { ...running, embed, heard }
}

const noteOf = (
  { id, conversation, page, from, name, text, at }: Extract<FerrysiteRecord, { op: 'line' }>,
  address: string,
) => ({
  type: 'Note',
  id: `${address}/lines/${id}`,
  context: `${address}/conversations/${conversation}`,
  attributedTo: {
    type: from === 'team' ? 'Organization' : 'Person',
    id: `${address}/conversations/${conversation}/${from}`,
    ...(name ? { name } : {}),
  },
  content: text,
  published: at,
  inReplyTo: { type: 'Page', url: `${address}/${page === 'home' ? '' : page}`, name: sitePages[page].title },
})
