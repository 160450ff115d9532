import { randomUUID } from 'node:crypto'
import type { NextFunction, Request, Response } from 'express'
import { ValidationError, type AnySchema } from 'yup'
import type { Logger } from 'pino'
import { problemOf, type FieldProblem, type Problem } from '@murrabel/contract'
import { Refusal } from '../problem.ts'

export function sendProblem(res: Response, problem: Problem): void {
  res.status(problem.status).type('application/problem+json').send(JSON.stringify(problem))
}

/** Checks a body against its schema. @throws Refusal invalid with every field that is wrong */
export async function checked<T>(schema: AnySchema, body: unknown): Promise<T> {
  try {
    return (await schema.validate(body ?? {}, { abortEarly: false, stripUnknown: true })) as T
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error
    throw new Refusal('invalid', { fields: fieldsOf(error) }, { cause: error })
  }
}

const fieldsOf = (error: ValidationError): FieldProblem[] =>
  (error.inner.length ? error.inner : [error]).map(({ path, type, message }) => ({
    field: path ?? '',
    code: type ?? 'invalid',
    message,
  }))

/** The last middleware: turns what was thrown into problem details; faults are logged under the number that is told. */
export function problemHandler(log: Logger) {
  return (error: unknown, _req: Request, res: Response, next: NextFunction): void => {
    if (res.headersSent) return next(error)
    if (error instanceof Refusal) return sendProblem(res, problemOf(error.code, error.more))
    const { type } = error as { type?: string }
    if (type === 'entity.too.large') return sendProblem(res, problemOf('tooLarge'))
    if (type === 'entity.parse.failed' || type === 'encoding.unsupported' || error instanceof URIError)
      return sendProblem(res, problemOf('unreadableBody'))
    const instance = `urn:uuid:${randomUUID()}`
    log.error({ err: error, instance }, 'fault')
    sendProblem(res, problemOf('broken', { instance }))
  }
}
