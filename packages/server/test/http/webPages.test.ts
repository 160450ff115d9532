import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { gzipSync } from 'node:zlib'
import express from 'express'
import request from 'supertest'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { versionHeader } from '@murrabel/contract'
import { tellVersion, webPages } from '../../src/http/webPages.ts'

const folder = mkdtempSync(join(tmpdir(), 'web-'))
const app = express()

beforeAll(() => {
  mkdirSync(join(folder, 'assets'))
  writeFileSync(join(folder, 'index.html'), '<title>Murrabel</title>')
  writeFileSync(join(folder, 'assets/app-1.js'), 'long()'.repeat(400))
  writeFileSync(join(folder, 'assets/app-1.js.gz'), gzipSync('long()'.repeat(400)))
  writeFileSync(
    join(folder, 'pages.json'),
    JSON.stringify({
      version: 'b1',
      fonts: ['assets/a.woff2'],
      pages: { '/inbox{/:thread}': { scripts: ['assets/inbox-1.js'], styles: ['assets/inbox-1.css'] } },
    }),
  )
  tellVersion(app, folder)
  app.get('/api/x', (_req, res) => void res.json({}))
  webPages(app, folder)
})
afterAll(() => rmSync(folder, { recursive: true }))

const cookie = `murrabel_session=${'a'.repeat(30)}`

test('a page names the files it begins with, and the brand to whoever has a session', async () => {
  const signedOut = (await request(app).get('/inbox/12')).headers.link!
  expect(signedOut).toContain('</assets/inbox-1.js>; rel=modulepreload')
  expect(signedOut).toContain('</assets/inbox-1.css>; rel=preload; as=style')
  expect(signedOut).toContain('</assets/a.woff2>; rel=preload; as=font')
  expect(signedOut).not.toContain('/api/brand')
  const signedIn = (await request(app).get('/inbox').set('cookie', cookie)).headers.link
  expect(signedIn).toContain('</api/brand>; rel=preload; as=fetch')
})

test('any other address is the same page, fresh each time', async () => {
  const answer = await request(app).get('/watch/rivals')
  expect([answer.text, answer.headers['cache-control']]).toEqual(['<title>Murrabel</title>', 'no-cache'])
})

test('files go out as the build compressed them, for ever; what is gone is not the page', async () => {
  const answer = await request(app).get('/assets/app-1.js').set('accept-encoding', 'gzip')
  expect(answer.headers).toMatchObject({
    'content-encoding': 'gzip',
    'cache-control': 'public, max-age=31536000, immutable',
  })
  expect(answer.text).toBe('long()'.repeat(400))
  expect((await request(app).get('/assets/gone-1.js')).status).toBe(404)
})

test('every answer says which build it belongs to', async () =>
  expect((await request(app).get('/api/x')).headers[versionHeader]).toBe('b1'))
