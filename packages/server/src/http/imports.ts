import type { Express } from 'express'
import { routes, startImportSchema } from '@murrabel/contract'
import type { Context } from '../context.ts'
import { handle } from './handle.ts'
import { draftImport, dropImport, importState, listImports, startImport } from '../services/imports/index.ts'

/** Files are sent as they are, read beside the server's thread, and brought in in the background. */
export function importRoutes(app: Express, context: Context): void {
  handle(app, routes.imports, { act: ({ reader }) => listImports(context, reader) })
  handle(app, routes.importDocument, {
    text: true,
    act: ({ reader, req, body }) => draftImport(context, reader, req.query, body),
  })
  handle(app, routes.importState, { act: ({ reader, id }) => importState(context, reader, id()) })
  handle(app, routes.startImport, {
    schema: startImportSchema,
    act: ({ reader, id, body }) => startImport(context, reader, id(), body),
  })
  handle(app, routes.dropImport, {
    async act({ reader, id }) {
      await dropImport(context, reader, id())
      return undefined
    },
  })
}
