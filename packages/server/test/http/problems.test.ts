import type { Request, Response } from 'express'
import { pino } from 'pino'
import { expect, test, vi } from 'vitest'
import { problemHandler } from '../../src/http/problems.ts'

/** The status that an error is answered with. */
function statusOf(error: unknown): number {
  let status = 0
  const res = {
    headersSent: false,
    json: vi.fn(),
    type: () => res,
    set: () => res,
    setHeader: () => res,
    send: vi.fn(),
    end: vi.fn(),
    status: (code: number) => ((status = code), res),
  }
  problemHandler(pino({ level: 'silent' }))(error, {} as Request, res as unknown as Response, vi.fn())
  return status
}
const ofDatabase = (name: string, original: object) => Object.assign(new Error('x'), { name, original })

test.each<[string, unknown, number]>([
  [
    'no connection was to be had',
    ofDatabase('SequelizeConnectionRefusedError', { code: 'ECONNREFUSED' }),
    503,
  ],
  ['the server shuts down', ofDatabase('SequelizeDatabaseError', { code: '57P01' }), 503],
  [
    'the connection broke while it was asked',
    ofDatabase('SequelizeDatabaseError', { code: 'ECONNRESET' }),
    503,
  ],
  [
    'it was ended while it was asked',
    ofDatabase('SequelizeDatabaseError', { message: 'Connection terminated unexpectedly' }),
    503,
  ],
  ['it was broken already', new Error('Client has encountered a connection error and is not queryable'), 503],
  ['a question took too long', ofDatabase('SequelizeDatabaseError', { code: '57014' }), 503],
  [
    'a fault of ours',
    ofDatabase('SequelizeDatabaseError', { code: '42703', message: 'column x does not exist' }),
    500,
  ],
  ['another fault of ours', new TypeError('x is undefined'), 500],
])('when %s', (_, error, status) => expect(statusOf(error)).toBe(status))
