import compression from 'compression'
import express, { type Express } from 'express'
import helmet from 'helmet'
import { pinoHttp } from 'pino-http'
import { problemOf } from '@murrabel/contract'
import type { Context } from '../context.ts'
import { alertRoutes, feedRoutes } from './alerts.ts'
import { entryRoutes } from './entries.ts'
import { importRoutes } from './imports.ts'
import { liveRoutes } from './live.ts'
import { faultRoutes } from './faults.ts'
import { healthRoutes } from './health.ts'
import { problemHandler, sendProblem } from './problems.ts'
import { hookRoutes, profileRoutes } from './profiles.ts'
import { readSession, sameOrigin, sessionRoutes } from './brand.ts'
import { threadRoutes } from './inbox.ts'
import { teachingRoutes } from './teaching.ts'
import { tellVersion, webPages } from './webPages.ts'
import { watchRoutes } from './watches.ts'
import { watchingRoutes } from './watching.ts'

/** The application without a port, so that tests can call it. */
export function createApp(context: Context): Express {
  const app = express()
  const { webFolder } = context.config
  app.disable('x-powered-by')
  app.use(
    pinoHttp({
      logger: context.log,
      autoLogging: { ignore: (req) => !req.url?.startsWith('/api') },
      quietReqLogger: true,
      customSuccessMessage: () => 'answered',
    }),
  )
  app.use(
    helmet({
      contentSecurityPolicy: {
        // Element Plus sets style attributes; scripts are ours alone.
        directives: {
          defaultSrc: ["'self'"],
          styleSrc: ["'self'", "'unsafe-inline'"],
          imgSrc: ["'self'", 'data:'],
          scriptSrc: ["'self'"],
          workerSrc: ["'self'"],
          upgradeInsecureRequests: null,
        },
      },
      strictTransportSecurity: context.config.publicAddress.startsWith('https:'),
    }),
  )
  app.set('trust proxy', context.config.trustProxy)
  app.set('etag', false)
  healthRoutes(app, context)
  // Answers hold what is private, and what may have changed a moment later.
  app.use('/api', (_req, res, next) => {
    res.setHeader('Cache-Control', 'no-store')
    next()
  })
  if (webFolder) tellVersion(app, webFolder)
  // Little time for most of the size; a stream of events must not wait for enough to compress.
  app.use(
    '/api',
    compression({
      level: 4,
      filter: (req, res) =>
        !String(res.getHeader('Content-Type')).startsWith('text/event-stream') &&
        compression.filter(req, res),
    }),
  )
  hookRoutes(app, context)
  feedRoutes(app, context)
  app.use(sameOrigin(context))
  app.use(readSession(context))
  sessionRoutes(app, context)
  faultRoutes(app, context)
  entryRoutes(app, context)
  threadRoutes(app, context)
  watchRoutes(app, context)
  watchingRoutes(app, context)
  teachingRoutes(app, context)
  alertRoutes(app, context)
  profileRoutes(app, context)
  importRoutes(app, context)
  liveRoutes(app, context)
  app.use('/api', (_req, res) => sendProblem(res, problemOf('notFound')))
  if (webFolder) webPages(app, webFolder)
  app.use(problemHandler(context.log))
  return app
}
