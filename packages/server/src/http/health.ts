import type { Express } from 'express'
import type { Context } from '../context.ts'
import { healthOf } from '../services/brand/index.ts'

/** What a supervisor asks: 200 while everything works, 503 with what does not. Nobody needs a session for it. */
export function healthRoutes(app: Express, context: Context): void {
  // Whether this process answers at all: for who starts it, and would start it again.
  app.get('/alive', (_req, res) => void res.json({ status: 'ok' }))
  app.get('/health', async (_req, res) => {
    const health = await healthOf(context)
    res.setHeader('Cache-Control', 'no-store')
    res.status(health.status === 'ok' ? 200 : 503).json(health)
  })
}
