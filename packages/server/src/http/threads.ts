import type { Express } from 'express'
import type { ThreadEvent } from '@murrabel/core/inbox'
import {
  giveSchema,
  keepSchema,
  replySchema,
  routes,
  tagSchema,
  threadEventSchema,
  type ThreadEventDraft,
} from '@murrabel/contract'
import type { Context } from '../context.ts'
import { cancelSending, retrySending } from '../services/sending/outbox.ts'
import { reply } from '../services/sending/reply.ts'
import { applyThreadEvent, giveThread, undoThreadEvent } from '../services/threads/change.ts'
import { keepEntries, tagThreads } from '../services/threads/tags.ts'
import { threadAnswer } from '../services/threads/threadAnswer.ts'
import { handle } from './handle.ts'

const eventOf = ({ kind, until }: ThreadEventDraft): ThreadEvent =>
  kind === 'setAside' ? { kind, until: Date.parse(until ?? '') } : { kind }

export function threadRoutes(app: Express, context: Context): void {
  handle(app, routes.tagThreads, {
    schema: tagSchema,
    right: 'answer',
    act: ({ reader, body }) => tagThreads(context, reader, body),
  })
  handle(app, routes.keepEntries, {
    schema: keepSchema,
    right: 'answer',
    act: ({ reader, body }) => keepEntries(context, reader, body),
  })
  handle(app, routes.thread, { act: ({ reader, id }) => threadAnswer(context, reader, id()) })
  handle(app, routes.reply, {
    schema: replySchema,
    right: 'answer',
    act: ({ reader, id, body }) => reply(context, reader, id(), body),
  })
  handle(app, routes.threadEvent, {
    schema: threadEventSchema,
    right: 'answer',
    act: ({ reader, id, body }) => applyThreadEvent(context, reader, id(), eventOf(body)),
  })
  handle(app, routes.undo, {
    right: 'answer',
    act: ({ reader, id }) => undoThreadEvent(context, reader, id(), id('event')),
  })
  handle(app, routes.give, {
    schema: giveSchema,
    right: 'answer',
    act: ({ reader, id, body }) => giveThread(context, reader, id(), body.to),
  })
  handle(app, routes.retrySending, {
    right: 'answer',
    act: async ({ reader, id }) => {
      await retrySending(context, reader, id())
      return undefined
    },
  })
  handle(app, routes.cancelSending, {
    right: 'answer',
    act: async ({ reader, id }) => {
      await cancelSending(context, reader, id())
      return undefined
    },
  })
}
