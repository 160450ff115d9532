import fc from 'fast-check'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { createBrand, migrate, openDatabase, readConfig, type Database } from '@murrabel/server'
import { checkPassword, hashPassword } from '../../src/access/password.ts'
import { may, type Reader } from '../../src/access/reader.ts'
import { seal, unseal } from '../../src/access/seal.ts'
import { closeSession, openSession, readerOf } from '../../src/access/sessions.ts'
import { freshDatabase, type TestDatabase } from '../support/database.ts'
import { testBrand } from '../support/world.ts'

describe('sealed keys', () => {
  const key = Buffer.alloc(32, 3)
  test('open again with the same key, and hide what is in them', () => {
    fc.assert(
      fc.property(
        fc.string({ unit: 'grapheme', minLength: 1 }),
        (text) => unseal(seal(text, key), key) === text,
      ),
    )
    expect(seal('the same', key).equals(seal('the same', key))).toBe(false)
  })
  test('refuse another key and changed bytes', () => {
    const sealed = seal('a token', key)
    expect(() => unseal(sealed, Buffer.alloc(32, 4))).toThrow()
    sealed[14]! ^= 1
    expect(() => unseal(sealed, key)).toThrow()
  })
})

describe('passwords', () => {
  test('are checked against their hash, whatever form their letters have', async () => {
    const hash = await hashPassword('caf\u00e9 au lait')
    expect(hash).not.toContain('lait')
    expect(await checkPassword('cafe\u0301 au lait', hash)).toBe(true)
    expect(await checkPassword('cafe au lait', hash)).toBe(false)
    expect(await checkPassword('x', 'md5$nonsense')).toBe(false)
  })
})

test.each([
  ['owner', ['answer', 'watch', 'setUp', 'import']],
  ['lead', ['answer', 'watch', 'setUp', 'import']],
  ['specialist', ['answer', 'watch', 'import']],
  ['placeManager', ['answer']],
  ['reader', []],
] as const)('a %s may %j', (role, rights) => {
  const reader: Reader = { colleagueId: 1, brandId: 1, role, placeIds: null, profileIds: null }
  expect((['answer', 'watch', 'setUp', 'import'] as const).filter((right) => may(reader, right))).toEqual(
    rights,
  )
})

describe('settings', () => {
  const good = { DATABASE_URL: 'postgres://x', MURRABEL_KEY: Buffer.alloc(32).toString('base64') }
  test('have defaults', () => {
    expect(readConfig(good)).toMatchObject({
      port: 4600,
      publicAddress: 'http://localhost:4600',
      jobs: true,
      web: true,
      networks: [],
      leaseSeconds: 20,
    })
  })
  test.each([
    ['web', { jobs: false, web: true }],
    ['jobs', { jobs: true, web: false }],
  ])('the role %s', (role, expected) =>
    expect(readConfig({ ...good, MURRABEL_ROLE: role })).toMatchObject(expected),
  )
  test('that are missing or wrong are all named', () => {
    expect(() => readConfig({})).toThrow('DATABASE_URL, MURRABEL_KEY')
    expect(() => readConfig({ ...good, MURRABEL_KEY: 'c2hvcnQ=' })).toThrow('32 bytes')
  })
})

describe('in the database', () => {
  let database: TestDatabase
  let db: Database
  beforeAll(async () => {
    database = await freshDatabase()
    db = openDatabase(database.url)
    await migrate(db)
  })
  afterAll(async () => {
    await db.close()
    await database.drop()
  })

  test('a brand is made once, with its places and roles', async () => {
    const id = await createBrand(db, testBrand)
    expect(await createBrand(db, testBrand)).toBe(id)
    const roles = await db.rows<{ name: string; role: string; placeIds: number[] | null }>(
      'SELECT c.name, m.role, m.place_ids AS "placeIds" FROM memberships m JOIN colleagues c ON c.id = m.colleague_id ORDER BY c.id',
    )
    expect(roles.map((r) => [r.name, r.role, r.placeIds])).toEqual([
      ['Wynn Adair', 'owner', null],
      ['Tamsin Kerr', 'specialist', null],
      ['Ness Pascoe', 'placeManager', [2]],
      ['Rowan Teague', 'reader', null],
    ])
  })

  test('a session opens for its token alone, until it is closed or over', async () => {
    const token = await openSession(db, { colleagueId: 1, brandId: 1 })
    expect(await readerOf(db, token)).toEqual({
      colleagueId: 1,
      brandId: 1,
      role: 'owner',
      placeIds: null,
      profileIds: null,
    })
    expect(await readerOf(db, `${token}x`)).toBeNull()
    const stored = await db.rows<{ hash: Buffer }>('SELECT token_hash AS hash FROM sessions')
    expect(stored.every((s) => !s.hash.toString('latin1').includes(token))).toBe(true)
    await db.rows(`UPDATE sessions SET expires_at = now() - interval '1 second'`)
    expect(await readerOf(db, token)).toBeNull()
    const other = await openSession(db, { colleagueId: 1, brandId: 1 })
    await closeSession(db, other)
    expect(await readerOf(db, other)).toBeNull()
  })

  test('values are bound, never written into a statement', async () => {
    const nasty = `'; DROP TABLE brands; --`
    expect(await db.rows('SELECT $1::text AS v', [nasty])).toEqual([{ v: nasty }])
    expect(await db.rows('SELECT count(*) AS n FROM brands')).toEqual([{ n: 1 }])
  })
})
