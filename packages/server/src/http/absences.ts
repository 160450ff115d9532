import type { Express } from 'express'
import { absenceSchema, routes, teamSchema } from '@murrabel/contract'
import type { Context } from '../context.ts'
import {
  addTeam,
  changeTeam,
  endAbsence,
  listAbsences,
  removeTeam,
  setAbsence,
} from '../services/absences/index.ts'
import { handle } from './handle.ts'

export function absenceRoutes(app: Express, context: Context): void {
  handle(app, routes.absences, { act: ({ reader }) => listAbsences(context, reader) })
  handle(app, routes.setOwnAbsence, {
    schema: absenceSchema,
    act: ({ reader, body }) => setAbsence(context, reader, reader.colleagueId, body),
  })
  handle(app, routes.endOwnAbsence, {
    act: ({ reader }) => endAbsence(context, reader, reader.colleagueId),
  })
  handle(app, routes.setAbsence, {
    schema: absenceSchema,
    act: ({ reader, id, body }) => setAbsence(context, reader, id(), body),
  })
  handle(app, routes.endAbsence, { act: ({ reader, id }) => endAbsence(context, reader, id()) })
  handle(app, routes.addTeam, {
    schema: teamSchema,
    act: ({ reader, body }) => addTeam(context, reader, body),
  })
  handle(app, routes.changeTeam, {
    schema: teamSchema,
    act: ({ reader, id, body }) => changeTeam(context, reader, id(), body),
  })
  handle(app, routes.removeTeam, { act: ({ reader, id }) => removeTeam(context, reader, id()) })
}
