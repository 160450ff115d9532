import { randomUUID } from 'node:crypto'
import type { NextFunction, Request, Response } from 'express'
import type { Logger } from 'pino'
import { problemOf, type ErrorCode, type Problem } from '@murrabel/contract'
import { TooDeepError } from '../connectors/index.ts'
import { Refusal } from '../problem.ts'

export function sendProblem(res: Response, problem: Problem): void {
  res.status(problem.status).type('application/problem+json').send(JSON.stringify(problem))
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
    message = '',
    original,
  } = error as {
    type?: string
    status?: number
    name?: string
    message?: string
    original?: { code?: string; message?: string }
  }
  if (type === 'entity.too.large') return 'tooLarge'
  if (unreadable.test(type)) return 'unreadableBody'
  if (error instanceof URIError || error instanceof TooDeepError) return 'unreadableBody'
  if (status === 404) return 'notFound'
  if (status >= 400 && status < 500) return 'unreadableBody'
  return codeOfDatabase(name, original ?? { message })
}

/** Kinds of errors of the parsers of bodies. */
const unreadable = /^(?:entity|encoding|charset|request)\./

/** A connection that breaks while it is used says so in one of these ways. */
const broken = new Set(['ECONNREFUSED', 'ECONNRESET', 'EPIPE', 'ETIMEDOUT'])
const brokenWords = /^(?:Connection terminated|Client has encountered a connection error)/

function codeOfDatabase(
  name: string,
  { code: state = '', message = '' }: { code?: string; message?: string } = {},
): ErrorCode | null {
  if (state === '57014') return 'tooMuch'
  if (broken.has(state) || brokenWords.test(message)) return 'databaseAway'
  const away = /^Sequelize(?:Connection|HostNotFound|HostNotReachable|AccessDenied)/.test(name)
  return away || /^(?:57P|08)/.test(state) ? 'databaseAway' : null
}
