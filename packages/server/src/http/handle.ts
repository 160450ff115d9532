import express, { type Express, type Request, type RequestHandler, type Response } from 'express'
import type { AnySchema } from 'yup'
import { limits, type Route } from '@murrabel/contract'
import { may, type Reader, type Right } from '../access/reader.ts'
import { Refusal } from '../problem.ts'
import { checked } from './problems.ts'

export interface Call<Body> {
  req: Request
  res: Response
  reader: Reader
  body: Body
  /** A whole number of the path. */
  id(name?: string): number
}

export interface HandleOptions<Body, Answer> {
  schema?: AnySchema
  right?: Right
  /** Takes bodies of the size of a file. */
  large?: boolean
  /** Undefined answers 204. */
  act(call: Call<Body>): Promise<Answer>
}

const parsers: Record<'small' | 'large', RequestHandler> = {
  small: express.json({ limit: '1mb' }),
  large: express.json({ limit: limits.importBytes * 1.2 }),
}

/** Registers a route of the contract: parses, checks rights and body, answers JSON. */
export function handle<Body, Answer>(
  app: Express,
  route: Route<Body, Answer>,
  { schema, right, large, act }: HandleOptions<Body, Answer>,
): void {
  const method = route.method.toLowerCase() as 'get' | 'post' | 'put' | 'delete'
  app[method](route.path, parsers[large ? 'large' : 'small'], async (req, res) => {
    const reader = res.locals.reader as Reader | undefined
    if (!reader) throw new Refusal('notSignedIn')
    if (right && !may(reader, right)) throw new Refusal('notAllowed')
    const body = (schema ? await checked(schema, req.body) : undefined) as Body
    const id = (name = 'id') => {
      const value = Number(req.params[name])
      if (!Number.isSafeInteger(value) || value < 1) throw new Refusal('notFound')
      return value
    }
    const answer = await act({ req, res, reader, body, id })
    if (res.headersSent) return
    if (answer === undefined) res.status(204).end()
    else res.json(answer)
  })
}
