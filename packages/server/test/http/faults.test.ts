import { Writable } from 'node:stream'
import express from 'express'
import { pino } from 'pino'
import request from 'supertest'
import { expect, test } from 'vitest'
import type { Context } from '../../src/context.ts'
import { faultRoutes } from '../../src/http/faults.ts'
import { problemHandler } from '../../src/http/problems.ts'

function faultsApp({ signedIn = true } = {}) {
  const lines: { fault?: { number: string; text: string }; colleagueId?: number }[] = []
  const sink = new Writable({
    write(chunk: Buffer, _encoding, done) {
      lines.push(JSON.parse(chunk.toString()) as (typeof lines)[number])
      done()
    },
  })
  const log = pino(sink)
  const app = express()
  app.use((_req, res, next) => {
    if (signedIn)
      res.locals.reader = { colleagueId: 7, brandId: 1, role: 'reader', placeIds: null, profileIds: null }
    next()
  })
  faultRoutes(app, { log } as Context)
  app.use(problemHandler(log))
  return { app, lines }
}
const fault = (number = '4K7P-Q2MD') => ({
  number,
  text: 'TypeError: x is not there',
  path: '/inbox',
  version: 'b1',
})

test('a fault of a browser stands in the log under the number that was told', async () => {
  const { app, lines } = faultsApp()
  expect((await request(app).post('/api/faults').send(fault())).status).toBe(204)
  expect(lines).toMatchObject([{ fault: { number: '4K7P-Q2MD', path: '/inbox' }, colleagueId: 7 }])
})

test('a page that fails in a circle fills no log', async () => {
  const { app, lines } = faultsApp()
  for (let i = 0; i < 40; i++) await request(app).post('/api/faults').send(fault())
  expect(lines).toHaveLength(20)
})

test.each([
  [{ number: 'x' }, 422],
  [{ ...fault(), text: 'x'.repeat(30_000) }, 413],
])('what is no fault is refused: %j', async (body, status) => {
  const { app, lines } = faultsApp()
  expect((await request(app).post('/api/faults').send(body)).status).toBe(status)
  expect(lines.some((line) => line.fault)).toBe(false)
})

test('without a session nothing is noted', async () => {
  const { app, lines } = faultsApp({ signedIn: false })
  expect((await request(app).post('/api/faults').send(fault())).status).toBe(401)
  expect(lines).toEqual([])
})
