import type { Express } from 'express'
import type { ThreadEvent } from '@murrabel/core/inbox'
import {
  cancelSchema,
  changeReplySchema,
  giveSchema,
  handOffSchema,
  handOverSchema,
  type HandOverDraft,
  keepSchema,
  mergeSchema,
  prioritySchema,
  replySchema,
  reportSchema,
  splitSchema,
  routes,
  tagSchema,
  takeBackSchema,
  manyChangeSchema,
  manyUndoSchema,
  threadEventSchema,
  type ThreadEventDraft,
} from '@murrabel/contract'
import type { Context } from '../context.ts'
import { handle } from './handle.ts'
import {
  cancelAction,
  changeReply,
  retryAction,
  reply,
  reportEntry,
  takeBackReply,
} from '../services/actions/index.ts'
import {
  applyThreadEvent,
  changeMany,
  undoMany,
  giveThread,
  judgeSpam,
  mergeable,
  mergeThreads,
  splitThread,
  prioritise,
  handOffThread,
  handOver,
  takeBackHandOff,
  undoThreadEvent,
  keepEntries,
  tagThreads,
  threadAnswer,
} from '../services/inbox/index.ts'

const eventOf = ({ kind, until }: Pick<ThreadEventDraft, 'kind' | 'until'>): ThreadEvent =>
  kind === 'setAside' ? { kind, until: until == null ? null : Date.parse(until) } : { kind }

export function threadRoutes(app: Express, context: Context): void {
  handle(app, routes.tagThreads, {
    schema: tagSchema,
    act: ({ reader, body }) => tagThreads(context, reader, body),
  })
  handle(app, routes.keepEntries, {
    schema: keepSchema,
    act: ({ reader, body }) => keepEntries(context, reader, body),
  })
  handle(app, routes.changeMany, {
    schema: manyChangeSchema,
    act: ({ reader, body }) => changeMany(context, reader, body),
  })
  handle(app, routes.handOver, {
    schema: handOverSchema,
    act: ({ reader, body }) => handOver(context, reader, body as HandOverDraft),
  })
  handle(app, routes.undoMany, {
    schema: manyUndoSchema,
    act: ({ reader, body }) => undoMany(context, reader, body),
  })
  handle(app, routes.thread, { act: ({ reader, id }) => threadAnswer(context, reader, id()) })
  handle(app, routes.reply, {
    schema: replySchema,
    act: ({ reader, id, body }) => reply(context, reader, id(), body),
  })
  handle(app, routes.threadEvent, {
    schema: threadEventSchema,
    act: ({ reader, id, body }) =>
      body.kind === 'spam' || body.kind === 'notSpam'
        ? judgeSpam(context, reader, id(), body.kind === 'spam')
        : applyThreadEvent(context, reader, id(), eventOf(body)),
  })
  handle(app, routes.undo, {
    act: ({ reader, id }) => undoThreadEvent(context, reader, id(), id('event')),
  })
  handle(app, routes.give, {
    schema: giveSchema,
    act: ({ reader, id, body }) => giveThread(context, reader, id(), body),
  })
  handle(app, routes.prioritise, {
    schema: prioritySchema,
    act: ({ reader, id, body }) => prioritise(context, reader, id(), body.priority as 0 | 1 | 2),
  })
  handle(app, routes.mergeable, { act: ({ reader, id }) => mergeable(context, reader, id()) })
  handle(app, routes.merge, {
    schema: mergeSchema,
    act: ({ reader, id, body }) => mergeThreads(context, reader, id(), body.thread),
  })
  handle(app, routes.split, {
    schema: splitSchema,
    act: ({ reader, id, body }) => splitThread(context, reader, id(), body.entry),
  })
  handle(app, routes.handOff, {
    schema: handOffSchema,
    act: ({ reader, id, body }) => handOffThread(context, reader, id(), body),
  })
  handle(app, routes.takeBackHandOff, {
    act: ({ reader, id }) => takeBackHandOff(context, reader, id()),
  })
  handle(app, routes.changeReply, {
    schema: changeReplySchema,
    act: async ({ reader, id, body }) => {
      await changeReply(context, reader, id(), body)
      return undefined
    },
  })
  handle(app, routes.takeBackReply, {
    schema: takeBackSchema,
    act: async ({ reader, id, body }) => {
      await takeBackReply(context, reader, id(), body)
      return undefined
    },
  })
  handle(app, routes.reportEntry, {
    schema: reportSchema,
    act: async ({ reader, id, body }) => {
      await reportEntry(context, reader, id(), body)
      return undefined
    },
  })
  handle(app, routes.retryAction, {
    act: async ({ reader, id }) => {
      await retryAction(context, reader, id())
      return undefined
    },
  })
  handle(app, routes.cancelAction, {
    schema: cancelSchema,
    act: async ({ reader, id, body }) => {
      await cancelAction(context, reader, id(), { anyway: body.anyway })
      return undefined
    },
  })
}
