import type { Express } from 'express'
import { approvalSchema, decisionSchema, routes } from '@murrabel/contract'
import type { Context } from '../context.ts'
import { handle } from './handle.ts'
import { askApproval, decideApproval, takeBackApproval } from '../services/approvals/index.ts'

export function approvalRoutes(app: Express, context: Context): void {
  handle(app, routes.askApproval, {
    schema: approvalSchema,
    act: ({ reader, id, body }) => askApproval(context, reader, id(), body),
  })
  handle(app, routes.decideApproval, {
    schema: decisionSchema,
    act: ({ reader, id, body }) => decideApproval(context, reader, id(), body),
  })
  handle(app, routes.takeBackApproval, { act: ({ reader, id }) => takeBackApproval(context, reader, id()) })
}
