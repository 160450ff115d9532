import { once } from 'node:events'
import type { Express } from 'express'
import { correctManySchema, correctionSchema, routes } from '@murrabel/contract'
import type { Context } from '../context.ts'
import { csvOf, exportRows, feedItemOf } from '../services/entries/export.ts'
import { lensOf } from '../services/entries/askedLens.ts'
import { countEntries, listEntries, tideOf } from '../services/entries/list.ts'
import { correctMany, correctSentiment } from '../services/threads/correct.ts'
import { handle } from './handle.ts'

export function entryRoutes(app: Express, context: Context): void {
  handle(app, routes.entryCount, { act: ({ reader, req }) => countEntries(context, reader, req.query) })
  handle(app, routes.exportCsv, {
    async act({ reader, req, res }) {
      lensOf(req.query)
      res.setHeader('Content-Type', 'text/csv; charset=utf-8')
      res.setHeader('Content-Disposition', 'attachment; filename="murrabel-entries.csv"')
      // Spreadsheets know UTF-8 by its mark.
      res.write('\ufeff')
      let header = true
      for await (const rows of exportRows(context, reader, req.query)) {
        if (!res.write(csvOf(rows, { header }))) await once(res, 'drain')
        header = false
      }
      res.end()
      return undefined
    },
  })
  handle(app, routes.exportFeed, {
    async act({ reader, req, res }) {
      lensOf(req.query)
      res.setHeader('Content-Type', 'application/feed+json; charset=utf-8')
      res.setHeader('Content-Disposition', 'attachment; filename="murrabel-entries.json"')
      res.write(`{"version":"https://jsonfeed.org/version/1.1","title":"Murrabel entries","items":[`)
      let first = true
      for await (const rows of exportRows(context, reader, req.query)) {
        const items = rows.map((row) => JSON.stringify(feedItemOf(row))).join(',')
        if (!items) continue
        if (!res.write(`${first ? '' : ','}${items}`)) await once(res, 'drain')
        first = false
      }
      res.end(']}')
      return undefined
    },
  })
  handle(app, routes.entries, { act: ({ reader, req }) => listEntries(context, reader, req.query) })
  handle(app, routes.tide, { act: ({ reader, req }) => tideOf(context, reader, req.query) })
  handle(app, routes.correctMany, {
    schema: correctManySchema,
    right: 'answer',
    async act({ reader, body }) {
      const label = body.label as 'positive' | 'neutral' | 'negative' | null
      const changed = await correctMany(context, reader, body.ids, label)
      if (label === null) context.jobs.nudge('analyse')
      return { changed }
    },
  })
  handle(app, routes.correct, {
    schema: correctionSchema,
    right: 'answer',
    async act({ reader, id, body }) {
      const label = body.label as 'positive' | 'neutral' | 'negative' | null
      const answer = await correctSentiment(context, reader, id(), label)
      if (label === null) context.jobs.nudge('analyse')
      return answer
    },
  })
}
