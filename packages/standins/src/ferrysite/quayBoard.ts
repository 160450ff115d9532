import express, { type Express } from 'express'
import type { SwitchBoard } from '../shared/faults.ts'
import { escapeHtml } from '../shared/html.ts'
import { shown } from './shown.ts'

/** A message that came in. */
export interface Heard {
  id: string
  signature: string
  body: string
  at: string
}

const most = 50

/**
 * The board in the crew room: takes any message (`POST /keeper/board`), keeps the last fifty, each once by its `webhook-id`, and
 * shows them. Whoever pins them up checks no signature; it is kept for those who do.
 */
export function quayBoard(app: Express, switches: SwitchBoard): readonly Heard[] {
  const heard: Heard[] = []
  app.post(
    '/keeper/board',
    switches.middleware,
    express.text({ type: () => true, limit: '200kb' }),
    (req, res) => {
      const id = req.get('webhook-id') ?? ''
      const known = heard.some((each) => each.id === id)
      if (!known) {
        const signature = req.get('webhook-signature') ?? ''
        heard.unshift({ id, signature, body: String(req.body), at: new Date().toISOString() })
        heard.length = Math.min(heard.length, most)
      }
      res.status(204).end()
    },
  )
  app.get('/keeper/board', (_req, res) => {
    const rows = heard
      .map(({ at, body }) => `<li><small>${escapeHtml(at)}</small><br><code>${escapeHtml(body)}</code></li>`)
      .join('')
    res.send(shown('The board in the crew room', rows ? `<ul>${rows}</ul>` : '<p>Nothing yet.</p>', ''))
  })
  app.get('/keeper/board.json', (_req, res) => void res.json(heard))
  return heard
}
