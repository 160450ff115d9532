import type { Express } from 'express'
import { correctManySchema, correctionSchema, routes } from '@murrabel/contract'
import type { Context } from '../context.ts'
import { handle } from './handle.ts'
import { sendPages } from './sendPages.ts'
import {
  csvOf,
  exportRows,
  feedItemOf,
  countEntries,
  listEntries,
  tideOf,
  correctMany,
  correctSentiment,
} from '../services/entries/index.ts'

export function entryRoutes(app: Express, context: Context): void {
  handle(app, routes.entryCount, { act: ({ reader, req }) => countEntries(context, reader, req.query) })
  handle(app, routes.exportCsv, {
    act: ({ reader, req, res }) =>
      sendPages(res, exportRows(context, reader, req.query), {
        type: 'text/csv; charset=utf-8',
        file: 'murrabel-entries.csv',
        // Spreadsheets know UTF-8 by its mark.
        first: `\ufeff${csvOf([], { header: true })}`,
        page: (rows) => csvOf(rows, { header: false }),
        last: '',
      }),
  })
  handle(app, routes.exportFeed, {
    act: ({ reader, req, res }) => {
      let any = false
      return sendPages(res, exportRows(context, reader, req.query), {
        type: 'application/feed+json; charset=utf-8',
        file: 'murrabel-entries.json',
        first: `{"version":"https://jsonfeed.org/version/1.1","title":"Murrabel entries","items":[`,
        page(rows) {
          const items = rows.map((row) => JSON.stringify(feedItemOf(row))).join(',')
          const text = items && any ? `,${items}` : items
          any ||= items !== ''
          return text
        },
        last: ']}',
      })
    },
  })
  handle(app, routes.entries, { act: ({ reader, req }) => listEntries(context, reader, req.query) })
  handle(app, routes.tide, { act: ({ reader, req }) => tideOf(context, reader, req.query) })
  handle(app, routes.correctMany, {
    schema: correctManySchema,
    async act({ reader, body }) {
      const sentiment = body.sentiment as 'positive' | 'neutral' | 'negative' | null
      const changed = await correctMany(context, reader, body.ids, { judged: sentiment })
      return { changed }
    },
  })
  handle(app, routes.correct, {
    schema: correctionSchema,
    async act({ reader, id, body }) {
      const sentiment = body.sentiment as 'positive' | 'neutral' | 'negative' | null
      const { shown, drawn } = body
      return correctSentiment(context, reader, id(), { judged: sentiment, shown, drawn })
    },
  })
}
