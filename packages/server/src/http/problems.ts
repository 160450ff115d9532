import { randomUUID } from 'node:crypto'
import type { NextFunction, Request, Response } from 'express'
import { ValidationError, type AnySchema } from 'yup'
import type { Logger } from 'pino'
import {
  boundProblems,
  fieldProblemsOf,
  knownPart,
  problemOf,
  type ErrorCode,
  type Problem,
} from '@murrabel/contract'
import { TooDeepError } from '../connectors/index.ts'
import { Refusal } from '../problem.ts'

export function sendProblem(res: Response, problem: Problem): void {
  res.status(problem.status).type('application/problem+json').send(JSON.stringify(problem))
}

/** Checks a body against its schema. @throws Refusal invalid with every field that is wrong */
export async function checked<T>(schema: AnySchema, body: unknown): Promise<T> {
  const given = body ?? {}
  const problems = boundProblems(schema, given)
  if (problems.length) throw new Refusal('invalid', { fields: problems })
  try {
    return (await schema.validate(knownPart(schema, given), { abortEarly: false, stripUnknown: true })) as T
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error
    throw new Refusal('invalid', { fields: fieldProblemsOf(error) }, { cause: error })
  }
}

/** The last middleware: turns what was thrown into problem details; faults are logged under the number that is told. */
export function problemHandler(log: Logger) {
  return (error: unknown, _req: Request, res: Response, next: NextFunction): void => {
    if (res.headersSent) return next(error)
    const code = codeOf(error)
    if (error instanceof Refusal) return sendProblem(res, problemOf(error.code, error.more))
    if (code) return sendProblem(res, problemOf(code))
    const instance = `urn:uuid:${randomUUID()}`
    log.error({ err: error, instance }, 'fault')
    sendProblem(res, problemOf('broken', { instance }))
  }
}

/** The refusal that an error of a library amounts to; null for a fault of ours. */
function codeOf(error: unknown): ErrorCode | null {
  const {
    type = '',
    status = 0,
    name = '',
    original,
  } = error as {
    type?: string
    status?: number
    name?: string
    original?: { code?: string }
  }
  if (type === 'entity.too.large') return 'tooLarge'
  if (unreadable.test(type)) return 'unreadableBody'
  if (error instanceof URIError || error instanceof TooDeepError) return 'unreadableBody'
  if (status === 404) return 'notFound'
  if (status >= 400 && status < 500) return 'unreadableBody'
  return codeOfDatabase(name, original?.code ?? '')
}

/** Kinds of errors of the parsers of bodies. */
const unreadable = /^(?:entity|encoding|charset|request)\./

function codeOfDatabase(name: string, state: string): ErrorCode | null {
  if (state === '57014') return 'tooMuch'
  const away = /^Sequelize(?:Connection|HostNotFound|HostNotReachable|AccessDenied)/.test(name)
  return away || /^(?:57P|08)/.test(state) ? 'databaseAway' : null
}
