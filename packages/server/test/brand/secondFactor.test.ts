import { Secret, TOTP } from 'otpauth'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import type {
  ColleaguesAnswer,
  Problem,
  RecoveryCodes,
  SecondFactorAnswer,
  SecondFactorBegun,
} from '@murrabel/contract'
import { codesOf, newSecret, stepOf } from '../../src/access/secondFactor.ts'
import { caller, password, startTestWorld, type Caller, type TestWorld } from '../support/world.ts'

let world: TestWorld
let owner: Caller
let tamsin: Caller
const email = 'tamsin@skerrivane.example'

beforeAll(async () => {
  world = await startTestWorld()
  owner = await world.signIn('wynn')
  tamsin = await world.signIn('tamsin')
}, 150_000)
afterAll(() => world.stop())

const signIn = async (code?: string) => {
  const answer = await fetch(`${world.config.publicAddress}/api/session`, {
    method: 'POST',
    headers: { origin: world.config.publicAddress, 'content-type': 'application/json' },
    body: JSON.stringify({ email, password, ...(code === undefined ? {} : { code }) }),
  })
  const body = (await answer.json()) as Partial<Problem>
  return { status: answer.status, code: body.code, cookie: answer.headers.get('set-cookie') }
}
const own = async () => (await tamsin<SecondFactorAnswer>('GET', '/api/me/second-factor')).body
/** The codes an app would show, made here from the picture's text and nothing else. */
const appOf = (uri: string): TOTP => {
  const asked = new URL(uri)
  expect(asked.protocol).toBe('otpauth:')
  return new TOTP({ secret: Secret.fromBase32(asked.searchParams.get('secret')!) })
}
/** Steps already used make room: the clock of the test does not run on by itself. */
const forgetSteps = () =>
  world.server.context.db.rows('UPDATE colleagues SET code_step = NULL WHERE email = $1', [email])
const forgetTries = () => world.server.context.db.rows('DELETE FROM sign_in_tries')

describe('codes', () => {
  // RFC 6238, appendix B: the ASCII secret and the last six of its eight digits.
  const rfc = new Secret({ buffer: new TextEncoder().encode('12345678901234567890').buffer }).base32
  test.each([
    [59, '287082'],
    [1_111_111_109, '081804'],
    [1_234_567_890, '005924'],
    [2_000_000_000, '279037'],
  ])('are those of RFC 6238 at %i s', (seconds, code) => {
    expect(stepOf(codesOf(rfc, 'x@y.example'), code, seconds * 1000)).toBe(Math.floor(seconds / 30))
  })
  test('hold for one step either way, and for no other', () => {
    const totp = codesOf(newSecret(), 'x@y.example')
    const now = 1_800_000_000_000
    const at = (steps: number) => totp.generate({ timestamp: now + steps * 30_000 })
    expect([-2, -1, 0, 1, 2].map((steps) => stepOf(totp, at(steps), now) !== null)).toEqual([
      false,
      true,
      true,
      true,
      false,
    ])
    expect(stepOf(totp, ` ${at(0).slice(0, 3)} ${at(0).slice(3)} `, now)).toBe(now / 30_000)
    for (const other of ['', '12345', '1234567', 'abcdef', '１２３４５６'])
      expect(stepOf(totp, other, now)).toBeNull()
  })
})

describe('a second factor', () => {
  let app: TOTP
  let codes: string[]

  test('is asked for only once the app has shown its first code', async () => {
    expect(await own()).toEqual({ since: null, codesLeft: 0 })
    const confirm = (code: string) =>
      tamsin<RecoveryCodes & Problem>('PUT', '/api/me/second-factor', { code })
    expect((await confirm('123456')).body.code).toBe('secondFactorOff')
    const begin = (word: string) =>
      tamsin<SecondFactorBegun & Problem>('POST', '/api/me/second-factor', { password: word })
    expect((await begin('not mine')).body.code).toBe('passwordWrong')
    const begun = (await begin(password)).body
    app = appOf(begun.uri)
    expect((await signIn()).status).toBe(200)
    const wrong = String((Number(app.generate()) + 1) % 1_000_000).padStart(6, '0')
    expect((await confirm(wrong)).body.code).toBe('codeWrong')
    const on = await confirm(app.generate())
    codes = on.body.codes
    expect(new Set(codes).size).toBe(10)
    expect(await own()).toMatchObject({ since: expect.any(String) as string, codesLeft: 10 })
    expect((await begin(password)).body.code).toBe('secondFactorOn')
    expect(await signIn()).toMatchObject({ status: 401, code: 'codeNeeded', cookie: null })
    // Neither the secret nor a code stands readable in the database.
    const { db } = world.server.context
    const kept = await db.rows<{ all: string }>(
      `SELECT encode(code_secret, 'escape') || coalesce((SELECT string_agg(encode(code_hash, 'escape'), '') FROM recovery_codes), '') AS all
       FROM colleagues WHERE email = $1`,
      [email],
    )
    for (const secret of [begun.secret, ...codes]) expect(kept[0]!.all).not.toContain(secret)
  })

  test('a code signs in once, also when it comes twice at the same moment', async () => {
    await forgetSteps()
    const code = app.generate()
    const both = await Promise.all([signIn(code), signIn(code)])
    expect(both.map(({ status }) => status).sort()).toEqual([200, 401])
    expect(await signIn(code)).toMatchObject({ code: 'codeWrong' })
    // The one before it is no newer.
    expect(await signIn(app.generate({ timestamp: Date.now() - 30_000 }))).toMatchObject({
      code: 'codeWrong',
    })
  })

  test('a recovery code does once, however it is typed', async () => {
    await forgetTries()
    expect((await signIn(codes[0]!.toUpperCase().replace('-', ' '))).status).toBe(200)
    expect(await signIn(codes[0])).toMatchObject({ code: 'codeWrong' })
    expect((await own()).codesLeft).toBe(9)
    const renewed = (await tamsin<RecoveryCodes>('POST', '/api/me/recovery-codes', { password })).body.codes
    expect(await signIn(codes[1])).toMatchObject({ code: 'codeWrong' })
    expect((await signIn(renewed[1])).status).toBe(200)
    codes = renewed
  })

  test('guesses are slowed down, with the right password as well', async () => {
    await forgetTries()
    const told: (string | undefined)[] = []
    for (let i = 0; i < 12; i++) told.push((await signIn(String(100_000 + i))).code)
    expect(told.slice(0, 10)).toEqual(Array.from({ length: 10 }, () => 'codeWrong'))
    expect(told.slice(10)).toEqual(['tooMany', 'tooMany'])
    await forgetTries()
  })

  test('joining another brand with this account asks for it, too', async () => {
    const { db } = world.server.context
    const brand = (await db.one<{ id: number }>(
      `INSERT INTO brands (name, zone) VALUES ('Orrin Sound Kayaks', 'Europe/London') RETURNING id`,
    ))!
    const token = 'x'.repeat(32)
    await db.rows(
      `INSERT INTO invitations (brand_id, email, role, token_hash, ends_at)
       VALUES ($1, $2, 'reader', sha256($3::bytea), now() + interval '1 day')`,
      [brand.id, email, token],
    )
    const nobody = caller(world.config.publicAddress, '')
    const join = (more: object) => nobody<Problem>('POST', `/api/invitations/${token}`, { password, ...more })
    expect((await join({})).body.code).toBe('codeNeeded')
    expect((await join({ code: codes[2] })).status).toBe(204)
    // Owners of one brand do not open the door to another.
    const { colleagues } = (await owner<ColleaguesAnswer>('GET', '/api/set-up/colleagues')).body
    const { id } = colleagues.find((each) => each.email === email)!
    const lift = () => owner<Problem>('POST', `/api/set-up/colleagues/${id}/second-factor/off`)
    expect((await lift()).body.code).toBe('worksElsewhere')
    await db.rows('DELETE FROM memberships WHERE brand_id = $1', [brand.id])
    expect(colleagues.map((each) => [each.email === email, each.secondFactor])).toContainEqual([true, true])
    expect((await lift()).status).toBe(204)
    expect((await lift()).body.code).toBe('secondFactorOff')
    expect((await signIn()).status).toBe(200)
    const letter = await db.one('SELECT 1 FROM letters WHERE address = $1 AND subject LIKE $2', [
      email,
      'Your second factor%',
    ])
    expect(letter).toBeDefined()
  })
})
