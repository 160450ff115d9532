import type { Express } from 'express'
import {
  draftSchema,
  noteSchema,
  noticeChoicesSchema,
  noticesSeenSchema,
  presenceSchema,
  routes,
  type NoticeChoices,
} from '@murrabel/contract'
import type { Context } from '../context.ts'
import { handle } from './handle.ts'
import {
  addNote,
  bePresent,
  changeNote,
  chooseNotices,
  keepDraft,
  listNotices,
  noticeChoices,
  removeNote,
  restoreNote,
  seeNotices,
  whoIsHere,
} from '../services/together/index.ts'

export function togetherRoutes(app: Express, context: Context): void {
  handle(app, routes.presence, { act: ({ reader }) => whoIsHere(context, reader) })
  handle(app, routes.bePresent, {
    schema: presenceSchema,
    act: ({ reader, body }) => bePresent(context, reader, body),
  })
  handle(app, routes.keepDraft, {
    schema: draftSchema,
    act: ({ reader, id, body }) => keepDraft(context, reader, id(), body),
  })
  handle(app, routes.addNote, {
    schema: noteSchema,
    act: ({ reader, id, body }) => addNote(context, reader, id(), body),
  })
  handle(app, routes.changeNote, {
    schema: noteSchema,
    act: ({ reader, id, body }) => changeNote(context, reader, id(), body),
  })
  handle(app, routes.removeNote, { act: ({ reader, id }) => removeNote(context, reader, id()) })
  handle(app, routes.restoreNote, { act: ({ reader, id }) => restoreNote(context, reader, id()) })
  handle(app, routes.notices, { act: ({ reader }) => listNotices(context, reader) })
  handle(app, routes.noticeChoices, { act: ({ reader }) => noticeChoices(context, reader) })
  handle(app, routes.chooseNotices, {
    schema: noticeChoicesSchema,
    act: ({ reader, body }) => chooseNotices(context, reader, body as NoticeChoices),
  })
  handle(app, routes.noticesSeen, {
    schema: noticesSeenSchema,
    act: ({ reader, body }) => seeNotices(context, reader, body),
  })
}
