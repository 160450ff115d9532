import type { Router } from 'express'
import { problem, type SwitchBoard } from '../shared/faults.ts'
import { activityOf, type ActivityParts } from './activity.ts'

const pageSize = 50
/** Searches a caller may make in a window; more are told to wait. */
const searches = { perWindow: 80, windowMs: 4_000 }

/** The public search, in pages. */
export function searchApi(router: Router, board: SwitchBoard, partsOf: () => ActivityParts): void {
  let window = { start: 0, n: 0 }
  router.get('/api/search', board.middleware, (req, res) => {
    const parts = partsOf()
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
    const { posts, end, more } = parts.state.search(q, after, pageSize)
    res.json({
      '@context': 'https://www.w3.org/ns/activitystreams',
      type: 'OrderedCollectionPage',
      orderedItems: posts.map((post) => activityOf(post, parts)),
      cursor: String(end),
      next: more ? `${parts.address}/api/search?q=${encodeURIComponent(q)}&after=${end}` : undefined,
    })
  })
}
