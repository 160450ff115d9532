import express, { type Express, type Request, type RequestHandler, type Response } from 'express'
import type { AnySchema } from 'yup'
import { bodyBytes, largestId, rights, type Access, type Route } from '@murrabel/contract'
import { may, type Reader } from '../access/reader.ts'
import { isTooDeep } from '../connectors/index.ts'
import { Refusal } from '../problem.ts'
import { checked } from '../checked.ts'

export interface Call<Body> {
  req: Request
  res: Response
  reader: Reader
  body: Body
  /** An id of the path. @throws Refusal notFound for what can be none */
  id(name?: string): number
}

export interface HandleOptions<Body, Answer> {
  schema?: AnySchema
  /** The body is text, not JSON. */
  text?: boolean
  /** The body is a file: its bytes are the request's body. */
  bytes?: boolean
  /** Undefined answers 204. */
  act(call: Call<Body>): Promise<Answer>
}

/** Bodies nested deeper than any schema of ours are not parsed at all. */
const deepest = 32

const asJson = (limit: number) =>
  express.json({
    limit,
    verify(_req, _res, bytes) {
      if (isTooDeep(bytes.toString('latin1'), deepest)) throw new Refusal('unreadableBody')
    },
  })

const parsers = Object.fromEntries(
  Object.entries(bodyBytes).map(([size, limit]) => [
    size,
    {
      json: asJson(limit),
      text: express.text({ limit, type: () => true }),
      bytes: express.raw({ limit, type: () => true }),
    },
  ]),
) as unknown as Record<keyof typeof bodyBytes, Record<'json' | 'text' | 'bytes', RequestHandler>>

/** Who asks is looked at before anything of the body is read. */
function admit({ right, scope }: Access): RequestHandler {
  return (_req, res, next) => {
    const reader = res.locals.reader as Reader | undefined
    if (!reader) throw new Refusal('notSignedIn')
    if (!may(reader, right, scope)) {
      if (reader.keyRights) throw new Refusal('keyNotAllowed')
      throw new Refusal(
        (rights[right] as readonly string[]).includes(reader.role) ? 'limitedAccess' : 'notAllowed',
      )
    }
    next()
  }
}

/** Registers a route of the contract: checks rights, parses, checks the body, answers JSON. */
export function handle<Body, Answer>(
  app: Express,
  route: Route<Body, Answer>,
  { schema, text, bytes, act }: HandleOptions<Body, Answer>,
): void {
  const { access } = route
  const method = route.method.toLowerCase() as 'get' | 'post' | 'put' | 'delete'
  const parse =
    parsers[access.body === 'none' ? 'small' : access.body][bytes ? 'bytes' : text ? 'text' : 'json']
  app[method](route.path, admit(access), parse, async (req, res) => {
    const reader = res.locals.reader as Reader
    const body = (schema ? await checked(schema, req.body) : text ? textOf(req.body) : undefined) as Body
    const id = (name = 'id') => {
      const value = req.params[name]
      if (typeof value !== 'string' || !/^[1-9]\d{0,9}$/.test(value) || Number(value) > largestId)
        throw new Refusal('notFound')
      return Number(value)
    }
    const answer = await act({ req, res, reader, body, id })
    if (res.headersSent || res.writableEnded) return
    if (answer === undefined) res.status(204).end()
    else res.json(answer)
  })
}

const textOf = (body: unknown): string => (typeof body === 'string' ? body : '')
