import compression from 'compression'
import express, { type Express } from 'express'
import helmet from 'helmet'
import { pinoHttp } from 'pino-http'
import { problemOf } from '@murrabel/contract'
import type { Context } from '../context.ts'
import { absenceRoutes } from './absences.ts'
import { alertRoutes, feedRoutes } from './alerts.ts'
import { attachmentRoutes } from './attachments.ts'
import { auditRoutes } from './audit.ts'
import { chatBox, chatRoutes, visitorRoutes } from './chat.ts'
import { entryRoutes } from './entries.ts'
import { calendarRoutes, followUpRoutes } from './followUps.ts'
import { lensRoutes } from './lenses.ts'
import { approvalRoutes } from './approvals.ts'
import { replyRoutes } from './replies.ts'
import { staffingRoutes } from './staffing.ts'
import { todayRoutes } from './today.ts'
import { togetherRoutes } from './together.ts'
import { eventHookRoutes } from './hooks.ts'
import { importRoutes } from './imports.ts'
import { doorRoutes, keyRoutes } from './keys.ts'
import { logoRoutes, lookRoutes } from './look.ts'
import { liveRoutes } from './live.ts'
import { faultRoutes } from './faults.ts'
import { colleagueRoutes } from './colleagues.ts'
import { firstScreens } from './firstScreens.ts'
import { healthRoutes } from './health.ts'
import { problemHandler, sendProblem } from './problems.ts'
import { hookRoutes, profileRoutes } from './profiles.ts'
import { readKey, readSession, sameOrigin, sessionRoutes } from './brand.ts'
import { peopleRoutes } from './people.ts'
import { placeRoutes } from './places.ts'
import { personalDataRoutes } from './personalData.ts'
import { threadRoutes } from './inbox.ts'
import { teachingRoutes } from './teaching.ts'
import { tellVersion, webPages } from './webPages.ts'
import { watchRoutes } from './watches.ts'
import { watchingRoutes } from './watchFigures.ts'

/** The application without a port, so that tests can call it. */
export function createApp(context: Context): Express {
  const app = express()
  const { webFolder } = context.config
  app.disable('x-powered-by')
  logRequests(app, context)
  setSecurityHeaders(app, context)
  app.set('trust proxy', context.config.trustProxy)
  app.set('etag', false)
  healthRoutes(app, context)
  keepNothing(app)
  if (webFolder) tellVersion(app, webFolder)
  compressAnswers(app)
  doorRoutes(app, context)
  hookRoutes(app, context)
  if (webFolder) chatBox(app, webFolder)
  visitorRoutes(app, context)
  logoRoutes(app, context)
  feedRoutes(app, context)
  calendarRoutes(app, context)
  app.use(readKey(context))
  app.use(sameOrigin(context))
  app.use(readSession(context))
  for (const routes of sections) routes(app, context)
  app.use('/api', (_req, res) => sendProblem(res, problemOf('notFound')))
  if (webFolder) webPages(app, webFolder, firstScreens(context, webFolder))
  app.use(problemHandler(context.log))
  return app
}

/** What needs a session, by section. */
const sections = [
  sessionRoutes,
  faultRoutes,
  entryRoutes,
  threadRoutes,
  peopleRoutes,
  followUpRoutes,
  lensRoutes,
  togetherRoutes,
  replyRoutes,
  approvalRoutes,
  todayRoutes,
  staffingRoutes,
  watchRoutes,
  watchingRoutes,
  teachingRoutes,
  alertRoutes,
  profileRoutes,
  colleagueRoutes,
  absenceRoutes,
  placeRoutes,
  lookRoutes,
  personalDataRoutes,
  keyRoutes,
  auditRoutes,
  eventHookRoutes,
  importRoutes,
  attachmentRoutes,
  chatRoutes,
  liveRoutes,
]

function logRequests(app: Express, { log }: Context): void {
  app.use(
    pinoHttp({
      logger: log,
      autoLogging: { ignore: (req) => !req.url?.startsWith('/api') },
      quietReqLogger: true,
      customSuccessMessage: () => 'answered',
    }),
  )
}

function setSecurityHeaders(app: Express, { config }: Context): void {
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
      strictTransportSecurity: config.publicAddress.startsWith('https:'),
    }),
  )
}

function keepNothing(app: Express): void {
  // Answers hold what is private, and what may have changed a moment later.
  app.use('/api', (_req, res, next) => {
    res.setHeader('Cache-Control', 'no-store')
    next()
  })
}

function compressAnswers(app: Express): void {
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
}
