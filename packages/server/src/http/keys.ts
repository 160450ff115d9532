import express, { type Express } from 'express'
import { doorSchema, keySchema, routes } from '@murrabel/contract'
import type { Context } from '../context.ts'
import {
  listDoors,
  listKeys,
  makeDoor,
  makeKey,
  receiveCustomers,
  removeDoor,
  removeKey,
  renewDoor,
} from '../services/keys/index.ts'
import { handle } from './handle.ts'
import { headersOf } from './headers.ts'

export function keyRoutes(app: Express, context: Context): void {
  handle(app, routes.accessKeys, { act: ({ reader }) => listKeys(context, reader) })
  handle(app, routes.makeKey, {
    schema: keySchema,
    act: ({ reader, body }) => makeKey(context, reader, body),
  })
  handle(app, routes.removeKey, { act: ({ reader, id }) => removeKey(context, reader, id()) })
  handle(app, routes.doors, { act: ({ reader }) => listDoors(context, reader) })
  handle(app, routes.makeDoor, {
    schema: doorSchema,
    act: ({ reader, body }) => makeDoor(context, reader, body),
  })
  handle(app, routes.renewDoor, { act: ({ reader, id }) => renewDoor(context, reader, id()) })
  handle(app, routes.removeDoor, { act: ({ reader, id }) => removeDoor(context, reader, id()) })
}

/** Tills and booking systems have no session: they are known by their signature. */
export function doorRoutes(app: Express, context: Context): void {
  app.post('/hooks/customers/:token', express.text({ type: () => true, limit: '1mb' }), async (req, res) => {
    const taken = await receiveCustomers(context, {
      token: String(req.params.token),
      body: typeof req.body === 'string' ? req.body : '',
      headers: headersOf(req),
    })
    res.json(taken)
  })
}
