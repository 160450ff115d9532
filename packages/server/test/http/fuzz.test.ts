import { defaultDuePolicy } from '@murrabel/core/inbox'
import { Webhook } from 'standardwebhooks'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { pathOf, routes, type Problem, type RouteName } from '@murrabel/contract'
import { lensNames } from '@murrabel/core/lens'
import {
  hostileBodies,
  hostileDates,
  hostileNumbers,
  hostileTexts,
} from '../../../core/test/support/hostile.ts'
import { bodyOf } from '../support/bodies.ts'
import { thingOf, twoBrands, type Things } from '../support/twoBrands.ts'
import { startTestWorld, type Caller, type TestWorld } from '../support/world.ts'

let world: TestWorld
let owner: Caller
let own: Things

beforeAll(async () => {
  world = await startTestWorld()
  ;({ own } = await twoBrands(world))
  owner = await world.signIn('wynn')
}, 120_000)
afterAll(() => world.stop())

const names = (Object.keys(routes) as RouteName[]).filter((name) => !['signOut', 'live'].includes(name))
const texts = hostileTexts(400).map(({ text }) => text)
/** What was refused says why, and names the field; nothing is a fault. */
const refusedWell = (what: unknown, { status, body }: { status: number; body: Problem }) => {
  expect([what, status < 500 || body.code === 'networkDown']).toEqual([what, true])
  if (status === 422 && body.code === 'invalid')
    expect([what, body.fields?.length && body.fields.every(({ message }) => message)]).toEqual([what, true])
}
const pathWith = (name: RouteName, id: string | number = '') =>
  pathOf(routes[name].path, {
    id: id || (thingOf[name] ? own[thingOf[name]] : 1),
    event: id || own.event,
    token: id || 'a-token-of-nobody',
    way: id || own.way,
    visit: id || own.visit,
    request: id || own.request,
  })

/** The same body with one leaf after the other replaced. */
function* bent(body: unknown, values: readonly unknown[]): Generator<{ at: string; body: unknown }> {
  if (typeof body !== 'object' || body === null) return
  for (const key of Object.keys(body)) {
    const value = (body as Record<string, unknown>)[key]
    for (const other of values) {
      const copy = Array.isArray(body) ? [...(body as unknown[])] : { ...body }
      ;(copy as Record<string, unknown>)[key] = other
      yield { at: key, body: copy }
    }
    for (const { at, body: inner } of bent(value, values)) {
      const copy = Array.isArray(body) ? [...(body as unknown[])] : { ...body }
      ;(copy as Record<string, unknown>)[key] = inner
      yield { at: `${key}.${at}`, body: copy }
    }
  }
}

const oddValues: unknown[] = [
  null,
  true,
  0,
  -1,
  0.5,
  1e308,
  2_147_483_648,
  9_007_199_254_740_992,
  '',
  [],
  [null],
  [[]],
  {},
  { toString: 1 },
  { __proto__: null, constructor: 1 },
  '\u0000',
  '\ud800',
  'ﾟ',
  '{"a":1}',
  '+275760-09-13',
]

describe('no input is answered by a fault', () => {
  test('ids of paths', async () => {
    const ids = [
      ...hostileNumbers,
      // "." and ".." are gone from an address before it is sent.
      ...texts.filter((text) => text && text.length < 200 && !/^\.+$/.test(text)),
      '1.0',
      '01',
      '1e3',
      ' 1',
      '-5',
      '2147483648',
      '9007199254740993',
    ]
    for (const [n, name] of names.entries()) {
      if (!thingOf[name]) continue
      for (const [i, id] of ids.entries()) {
        // All routes read their ids at one place: each meets some of them, each of them some of the routes.
        if ((n + i) % 9) continue
        // A lone surrogate cannot even be written into an address.
        const path = pathWith(name, id.replace(/[\ud800-\udfff]/g, '') || 'x')
        const answer = await owner<Problem>(routes[name].method, path, bodyOf(name, own))
        refusedWell([name, id], answer)
        if (!/^[1-9]\d{0,9}$/.test(id)) expect([name, id, answer.status]).toEqual([name, id, 404])
      }
    }
  }, 120_000)

  test('parts of lenses and questions', async () => {
    const values = [
      ...hostileDates,
      ...hostileNumbers,
      ...texts.filter((text) => text.length < 300),
      ...hostileDates.map((date) => `${date}_${date}`),
      'last-0',
      'last-99999',
      '1-positive',
      '2147483648-negative',
      'mon-24',
      '1,2,,3',
    ]
    const fields = [
      ...lensNames,
      'after',
      'limit',
      'fold',
      'span',
      'unit',
      'by',
      'standing',
      'keptVoices',
      'against',
      'with',
      'kind',
      'name',
    ]
    const paths = [
      '/api/entries',
      '/api/entries/count',
      '/api/tide',
      '/api/watches/figures',
      '/api/watches/summaries',
      '/api/voices',
      '/api/people',
      '/api/people/count',
      '/api/follow-ups',
      '/api/watches/compare',
      '/api/watches/rivals',
      '/api/entries/export.csv',
    ]
    let i = 0
    for (const [f, field] of fields.entries())
      for (const [v, value] of values.entries()) {
        // Each part meets some of the values, each value some of the parts.
        if ((f + v) % 4) continue
        const path = paths[i++ % paths.length]!
        const query = new URLSearchParams([
          ['unit', i % 2 ? 'threads' : 'entries'],
          ['time', 'last-7'],
          [field, value],
        ])
        refusedWell([path, field, value], await owner<Problem>('GET', `${path}?${query.toString()}`))
      }
    for (const odd of [
      '?state=open&state=done',
      '?__proto__=x',
      '?constructor[a]=1',
      '?%',
      '?a=%zz',
      '?state=%00',
      '?words=%ED%A0%80',
      `?words=${'x'.repeat(7000)}`,
    ])
      for (const path of paths) refusedWell([path, odd], await owner<Problem>('GET', path + odd))
  }, 120_000)

  test('places in lists of other shapes are refused by name', async () => {
    const printed = (value: unknown) => Buffer.from(JSON.stringify(value)).toString('base64url')
    for (const order of ['newest', 'reach', 'distinctive', 'pressing'])
      for (const after of [
        printed(null),
        printed([]),
        printed([1]),
        printed(['x', 1]),
        printed([1, 'x']),
        printed([0.5, 1]),
        printed([1, 0.5]),
        printed([-1, 1]),
        printed([1e300, 1]),
        printed(['2026-02-31T00:00:00.000Z', 2 ** 60]),
        printed({ 0: 1, 1: 1, length: 2 }),
        printed(['+275760-09-13T00:00:00.000Z', 1]),
        'x',
        '%%%',
        'A'.repeat(5000),
      ]) {
        const answer = await owner<Problem>(
          'GET',
          `/api/entries?unit=entries&order=${order}&after=${encodeURIComponent(after)}`,
        )
        expect([order, after, answer.status, answer.body.fields?.[0]?.field]).toEqual([
          order,
          after,
          422,
          'after',
        ])
      }
    for (const limit of ['0.5', 'NaN', '-1', '1e3', '', 'x', '99999999999'])
      expect(
        (await owner<Problem>('GET', `/api/entries?unit=entries&limit=${limit}`)).body.fields?.[0]?.field,
      ).toBe('limit')
  })

  test('bodies that are none, and bodies of other shapes', async () => {
    for (const name of names) {
      if (routes[name].method === 'GET' || routes[name].access.body === 'none') continue
      for (const raw of hostileBodies) {
        const response = await fetch(world.config.publicAddress + pathWith(name), {
          method: routes[name].method,
          headers: {
            origin: world.config.publicAddress,
            cookie: owner.cookie,
            'content-type': 'application/json',
          },
          body: raw,
        })
        const text = await response.text()
        refusedWell([name, raw.slice(0, 40)], {
          status: response.status,
          body: (text ? JSON.parse(text) : {}) as Problem,
        })
      }
    }
  }, 120_000)

  test('every field of every body, with every odd value', async () => {
    for (const name of names) {
      const body = bodyOf(name, own)
      if (typeof body !== 'object') continue
      for (const each of bent(body, oddValues))
        refusedWell(
          [name, each.at, JSON.stringify(each.body)],
          await owner<Problem>(routes[name].method, pathWith(name), each.body),
        )
    }
  }, 240_000)

  test('every name and text, with every hostile text', async () => {
    const wanted: [RouteName, (text: string) => unknown][] = [
      [
        'createWatch',
        (text) => ({
          name: text,
          query: {
            anyOf: [{ text }],
            links: [text],
            voices: { only: [text], without: [] },
            near: [{ first: { text }, second: { text: 'boat' }, within: 'sentence' }],
          },
        }),
      ],
      ['tuneWatch', (text) => ({ query: { anyOf: [{ text, prefix: true }], noneOf: [{ text }] } })],
      ['createGroup', (text) => ({ name: text })],
      ['tagThreads', (text) => ({ threads: [own.thread], add: [text] })],
      ['reply', (text) => ({ text, key: crypto.randomUUID(), edition: 1, anyway: true })],
      ['changeVoice', (text) => ({ note: text })],
      ['saveWords', (text) => ({ words: [{ term: text, valence: 2 }] })],
      ['saveAspects', (text) => ({ aspects: [{ name: text, terms: [{ text }] }] })],
      ['tryReading', (text) => ({ text, words: [{ term: text, valence: -2 }] })],
      [
        'proposeWatches',
        (text) => ({ nicknames: [text], people: [text], products: [text], rivals: [text], links: [text] }),
      ],
      [
        'createAlert',
        (text) => ({
          name: text,
          lens: text,
          condition: { kind: 'any' },
          quietMinutes: 60,
          emails: [text],
          webhook: text,
        }),
      ],
      [
        'connectEmail',
        (text) => ({ address: text, name: text, smtp: { host: text, port: 1, user: text, password: text } }),
      ],
      ['connectFeed', (text) => ({ address: text, name: text })],
      ['addPublicProfile', (text) => ({ address: text, watchId: own.watch })],
      [
        'importWatches',
        (text) => ({
          file: JSON.stringify({
            format: 'murrabel-watches',
            version: 1,
            watches: [{ name: text, query: { anyOf: [{ text }] }, group: [{ name: text, kind: 'other' }] }],
          }),
        }),
      ],
      [
        'importFeeds',
        (text) => ({ file: `<opml><body><outline text="${text}" xmlUrl="${text}"/></body></opml>` }),
      ],
      ['importDocument', (text) => text],
      ['signIn', (text) => ({ email: text, password: text })],
      ['addPerson', (text) => ({ name: text, email: text, phone: text, note: text })],
      ['changePerson', (text) => ({ name: text, note: text, tags: [text] })],
      ['addVisit', (text) => ({ at: '2026-11-20T09:00:00Z', route: text, ship: text, reference: text })],
      [
        'takeCustomers',
        (text) => ({
          customers: [
            {
              reference: text,
              name: text,
              tags: [text],
              note: text,
              consent: { email: { given: true, how: text } },
              visit: { reference: text, at: '2026-11-20T09:00:00Z', route: text, ship: text, place: text },
            },
          ],
        }),
      ],
      ['makeKey', (text) => ({ name: text, rights: ['look'], endsAt: text })],
      ['makeDoor', (text) => ({ name: text })],
      ['makeHook', (text) => ({ name: text, target: 'https://board.example/', events: ['person.erased'] })],
      ['makeHook', (text) => ({ name: 'x', target: text, events: [text] })],
      ['keepLens', (text) => ({ name: text, lens: `words=${text}` })],
      ['keepLens', (text) => ({ name: 'x', lens: text })],
      ['keepPattern', (text) => ({ name: text, folder: text, texts: [{ language: 'en', text }] })],
      ['keepSignOff', (text) => ({ text })],
      ['askApproval', (text) => ({ text, comment: text, key: crypto.randomUUID() })],
      ['addOwnLine', (text) => ({ text })],
      ['setMorningMail', (text) => ({ at: text })],
      ['addNote', (text) => ({ text, mentions: [] })],
      ['handOver', (text) => ({ threads: [{ thread: 1, why: text }], word: text })],
      ['checkReply', (text) => ({ text, public: true })],
      ['keepDraft', (text) => ({ text, edition: 1 })],
      ['addTeam', (text) => ({ name: text, members: [] })],
      ['setOwnAbsence', (text) => ({ from: text, until: text })],
      ['confirmSecondFactor', (text) => ({ code: text })],
      ['beginSecondFactor', (text) => ({ password: text })],
      ['askHandOut', (text) => ({ askedBy: text })],
      [
        'addPlace',
        (text) => ({
          name: text,
          address: text,
          phone: text,
          url: text,
          week: null,
          specialDays: [{ date: '2026-12-25', name: text, hours: [] }],
        }),
      ],
      [
        'changeBrand',
        (text) => ({
          name: text,
          nicknames: [text],
          languages: ['en'],
          due: { ...defaultDuePolicy },
          rules: [],
        }),
      ],
      ['readHolidays', (text) => text],
      ['invite', (text) => ({ email: text, role: 'reader', placeIds: null, profileIds: null })],
      ['join', (text) => ({ name: text, password: text })],
      ['forgotPassword', (text) => ({ email: text })],
    ]
    for (const [name, make] of wanted)
      for (const text of texts) {
        const path =
          pathWith(name) +
          (name === 'importDocument'
            ? `?kind=reviews&name=${encodeURIComponent(text.replace(/[\ud800-\udfff]/g, '')) || 'x'}`
            : '')
        refusedWell([name, text.slice(0, 60)], await owner<Problem>(routes[name].method, path, make(text)))
      }
    // Everything that was taken can be shown and counted.
    for (const name of names)
      if (routes[name].method === 'GET' && !thingOf[name] && !routes[name].path.includes(':'))
        expect([
          name,
          (
            await owner(
              'GET',
              `${routes[name].path}?unit=entries&time=all&watch=${own.watch}&with=group%3D${own.group}`,
            )
          ).status,
        ]).toEqual([name, 200])
  }, 240_000)

  test('headers that lie', async () => {
    const { publicAddress } = world.config
    const odd: Record<string, string>[] = [
      { 'content-type': 'application/json;charset=latin1' },
      { 'content-type': 'application/json;charset=none' },
      { 'content-type': 'text/plain' },
      { 'content-type': 'application/x-www-form-urlencoded' },
      { 'content-type': 'multipart/form-data' },
      { 'content-encoding': 'gzip' },
      { 'content-encoding': 'nothing' },
      { cookie: 'murrabel_session=%zz' },
      { cookie: 'murrabel_session=' },
      { cookie: `murrabel_session=${'x'.repeat(3000)}` },
      { origin: 'null' },
      { 'x-forwarded-for': '1.2.3.4, unknown' },
      { range: 'bytes=0-0,1-1' },
    ]
    for (const headers of odd)
      for (const [method, path] of [
        ['POST', '/api/watches'],
        ['POST', '/api/session'],
        ['POST', '/api/imports?kind=feed&name=x'],
        ['GET', '/api/entries?unit=entries'],
        ['GET', '/assets/older-build.js'],
      ] as const) {
        const response = await fetch(publicAddress + path, {
          method,
          headers: {
            origin: publicAddress,
            cookie: owner.cookie,
            'content-type': 'application/json',
            ...headers,
          },
          body: method === 'GET' ? undefined : '{"name":',
        })
        expect([method, path, headers, response.status < 500]).toEqual([method, path, headers, true])
        await response.text()
      }
    const none = await owner('GET', '/api/entries?unit=entries')
    expect(none.status).toBe(200)
  })
})

test('signed deliveries of odd shapes are taken, refused or set apart, and never a fault', async () => {
  const { context } = world.server
  await world.connect(owner, 'wherabout').catch(() => '')
  world.lanternpage.state.add({ op: 'page', id: 'skerrivane', name: 'Skerrivane Ferries' })
  await world.connect(owner, 'lanternpage')
  const profile = (await context.models.Profile.findOne({ where: { outsideId: 'skerrivane' } }))!
  const { unseal } = await import('../../src/access/seal.ts')
  const secret = unseal(profile.hookSecretSealed!, context.config.sealingKey)
  const note = (object: object) => ({
    type: 'note',
    data: {
      type: 'Create',
      published: new Date().toISOString(),
      object: { type: 'Note', id: 'n', content: 'x', attributedTo: { id: 'p' }, context: 'c', ...object },
    },
  })
  const bodies = [
    ...hostileBodies,
    ...texts.map((text) =>
      JSON.stringify(note({ id: text, content: text, attributedTo: { id: text, name: text } })),
    ),
    ...hostileDates.map((published) => JSON.stringify(note({ published }))),
    JSON.stringify(note({ attributedTo: null })),
    JSON.stringify(note({ to: 'everybody', views: 'many', key: 5, inReplyTo: {} })),
    JSON.stringify({ data: [] }),
    JSON.stringify({ data: 'x' }),
  ]
  for (const [i, body] of bodies.entries()) {
    const id = `odd-${i}`
    const at = new Date()
    const response = await fetch(`${world.config.publicAddress}/hooks/${profile.hookToken}`, {
      method: 'POST',
      body,
      headers: {
        'webhook-id': id,
        'webhook-timestamp': String(Math.floor(at.getTime() / 1000)),
        'webhook-signature': new Webhook(secret).sign(id, at, body),
        'content-type': 'application/json',
      },
    })
    expect([body.slice(0, 80), response.status < 500]).toEqual([body.slice(0, 80), true])
  }
}, 120_000)
