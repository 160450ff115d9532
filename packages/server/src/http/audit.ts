import type { Express } from 'express'
import { routes } from '@murrabel/contract'
import type { Context } from '../context.ts'
import { exportLog, logCsv, readLog } from '../services/audit/index.ts'
import { handle } from './handle.ts'
import { sendPages } from './sendPages.ts'

export function auditRoutes(app: Express, context: Context): void {
  handle(app, routes.log, { act: ({ reader, req }) => readLog(context, reader, req.query) })
  handle(app, routes.logCsv, {
    act: ({ reader, req, res }) =>
      sendPages(res, exportLog(context, reader, req.query), {
        type: 'text/csv; charset=utf-8',
        file: 'murrabel-log.csv',
        first: `\ufeff${logCsv([], { header: true })}`,
        page: (lines) => logCsv(lines, { header: false }),
        last: '',
      }),
  })
}
