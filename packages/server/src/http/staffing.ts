import type { Express } from 'express'
import { routes } from '@murrabel/contract'
import type { Context } from '../context.ts'
import { handle } from './handle.ts'
import { weekAhead } from '../services/staffing/index.ts'

export function staffingRoutes(app: Express, context: Context): void {
  handle(app, routes.weekAhead, { act: ({ reader }) => weekAhead(context, reader) })
}
