import type { Express } from 'express'
import {
  fileSchema,
  groupSchema,
  marksSchema,
  pausedSchema,
  routes,
  startingSchema,
  tunerSchema,
  watchSchema,
} from '@murrabel/contract'
import { parseJson } from '../connectors/index.ts'
import type { Context } from '../context.ts'
import { Refusal } from '../problem.ts'
import { handle } from './handle.ts'
import {
  exportWatches,
  importWatches,
  deleteGroup,
  listGroups,
  saveGroup,
  proposeWatches,
  markHits,
  tuneWatch,
  copyWatch,
  createWatch,
  deleteWatch,
  listWatches,
  pauseWatch,
  restoreWatch,
  updateWatch,
} from '../services/watches/index.ts'

export function watchRoutes(app: Express, context: Context): void {
  handle(app, routes.watches, { act: ({ reader }) => listWatches(context, reader) })
  handle(app, routes.tuneWatch, {
    schema: tunerSchema,
    act: ({ reader, body }) => tuneWatch(context, reader, body),
  })
  handle(app, routes.proposeWatches, {
    schema: startingSchema,
    act: ({ reader, body }) => proposeWatches(context, reader, body),
  })
  handle(app, routes.exportWatches, {
    async act({ reader, res }) {
      res.setHeader('Content-Disposition', 'attachment; filename="murrabel-watches.json"')
      return exportWatches(context, reader)
    },
  })
  handle(app, routes.importWatches, {
    schema: fileSchema,
    act: ({ reader, body }) => importWatches(context, reader, parsed(body.file)),
  })
  handle(app, routes.createWatch, {
    schema: watchSchema,
    act: ({ reader, body }) => createWatch(context, reader, body),
  })
  handle(app, routes.updateWatch, {
    schema: watchSchema,
    act: ({ reader, id, body }) => updateWatch(context, reader, id(), body),
  })
  handle(app, routes.pauseWatch, {
    schema: pausedSchema,
    act: ({ reader, id, body }) => pauseWatch(context, reader, id(), body.paused),
  })
  handle(app, routes.copyWatch, {
    act: ({ reader, id }) => copyWatch(context, reader, id()),
  })
  handle(app, routes.markHits, {
    schema: marksSchema,
    async act({ reader, id, body }) {
      await markHits(context, reader, id(), body.marks)
      return undefined
    },
  })
  handle(app, routes.restoreWatch, {
    act: ({ reader, id }) => restoreWatch(context, reader, id()),
  })
  handle(app, routes.deleteWatch, {
    act: async ({ reader, id }) => {
      await deleteWatch(context, reader, id())
      return undefined
    },
  })
  groupRoutes(app, context)
}

function groupRoutes(app: Express, context: Context): void {
  handle(app, routes.groups, { act: ({ reader }) => listGroups(context, reader) })
  handle(app, routes.createGroup, {
    schema: groupSchema,
    act: ({ reader, body }) => saveGroup(context, reader, null, body),
  })
  handle(app, routes.updateGroup, {
    schema: groupSchema,
    act: ({ reader, id, body }) => saveGroup(context, reader, id(), body),
  })
  handle(app, routes.deleteGroup, {
    act: async ({ reader, id }) => {
      await deleteGroup(context, reader, id())
      return undefined
    },
  })
}

function parsed(file: string): unknown {
  try {
    return parseJson(file)
  } catch {
    throw new Refusal('watchesUnreadable')
  }
}
