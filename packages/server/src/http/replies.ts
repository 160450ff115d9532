import type { Express } from 'express'
import { patternSchema, replyCheckSchema, routes, signOffSchema } from '@murrabel/contract'
import type { Context } from '../context.ts'
import { handle } from './handle.ts'
import {
  changePattern,
  changeSignOff,
  checkAnswer,
  keepPattern,
  keepSignOff,
  listPatterns,
  listSignOffs,
  removePattern,
  removeSignOff,
  replyStarts,
} from '../services/replies/index.ts'

export function replyRoutes(app: Express, context: Context): void {
  handle(app, routes.checkReply, {
    schema: replyCheckSchema,
    act: ({ reader, id, body }) => checkAnswer(context, reader, id(), body),
  })
  handle(app, routes.replyStarts, { act: ({ reader, id }) => replyStarts(context, reader, id()) })
  handle(app, routes.patterns, { act: ({ reader }) => listPatterns(context, reader) })
  handle(app, routes.keepPattern, {
    schema: patternSchema,
    act: ({ reader, body }) => keepPattern(context, reader, body),
  })
  handle(app, routes.changePattern, {
    schema: patternSchema,
    act: ({ reader, id, body }) => changePattern(context, reader, id(), body),
  })
  handle(app, routes.removePattern, { act: ({ reader, id }) => removePattern(context, reader, id()) })
  handle(app, routes.signOffs, { act: ({ reader }) => listSignOffs(context, reader) })
  handle(app, routes.keepSignOff, {
    schema: signOffSchema,
    act: ({ reader, body }) => keepSignOff(context, reader, body),
  })
  handle(app, routes.changeSignOff, {
    schema: signOffSchema,
    act: ({ reader, id, body }) => changeSignOff(context, reader, id(), body),
  })
  handle(app, routes.removeSignOff, { act: ({ reader, id }) => removeSignOff(context, reader, id()) })
}
