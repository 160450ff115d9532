import type { Express } from 'express'
import {
  importFeedSchema,
  importReviewsSchema,
  previewFeedSchema,
  previewReviewsSchema,
  routes,
} from '@murrabel/contract'
import type { Context } from '../context.ts'
import { importFeed, importReviews, previewFeed } from '../services/imports/imports.ts'
import { previewTable } from '../services/imports/reviewsCsv.ts'
import { handle } from './handle.ts'

export function importRoutes(app: Express, context: Context): void {
  const shared = { right: 'import', large: true } as const
  handle(app, routes.previewReviews, {
    ...shared,
    schema: previewReviewsSchema,
    act: async ({ body }) => previewTable(body.csv),
  })
  handle(app, routes.importReviews, {
    ...shared,
    schema: importReviewsSchema,
    act: ({ reader, body }) => importReviews(context, reader, body),
  })
  handle(app, routes.previewFeed, {
    ...shared,
    schema: previewFeedSchema,
    act: async ({ body }) => previewFeed(body.document),
  })
  handle(app, routes.importFeed, {
    ...shared,
    schema: importFeedSchema,
    act: ({ reader, body }) => importFeed(context, reader, body),
  })
}
