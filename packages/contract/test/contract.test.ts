import { describe, expect, test } from 'vitest'
import {
  errorCatalogue,
  pathOf,
  problemOf,
  routes,
  signInSchema,
  threadEventSchema,
  watchProblems,
} from '@murrabel/contract'

describe('the error catalogue', () => {
  test.each(Object.entries(errorCatalogue))(
    '%s says what happened in whole sentences',
    (code, { status, sentence }) => {
      expect(status).toBeGreaterThanOrEqual(400)
      expect(sentence).toMatch(/^[A-Z].*\.$/)
      expect(problemOf(code as 'invalid')).toMatchObject({
        code,
        status,
        detail: sentence,
        type: `urn:murrabel:problem:${code}`,
      })
    },
  )
})

test('no two routes are the same', () => {
  const all = Object.values(routes).map((r) => `${r.method} ${r.path}`)
  expect(new Set(all).size).toBe(all.length)
})

test('values take their places in a path, escaped', () => {
  expect(pathOf('/api/threads/:id/events/:event/undo', { id: 3, event: 'a/b' })).toBe(
    '/api/threads/3/events/a%2Fb/undo',
  )
  expect(() => pathOf('/api/threads/:id')).toThrow('needs id')
})

test.each([
  [{ email: 'a@b.example', password: 'x' }, true],
  [{ email: 'nobody', password: 'x' }, false],
  [{ email: 'a@b.example', password: '' }, false],
])('sign-in %j: %s', async (given, valid) => expect(await signInSchema.isValid(given)).toBe(valid))

test.each([
  [{ kind: 'finish' }, true],
  [{ kind: 'setAside' }, false],
  [{ kind: 'setAside', until: 'soon' }, false],
  [{ kind: 'setAside', until: '2026-11-26T09:00:00Z' }, true],
  [{ kind: 'burn' }, false],
])('thread event %j: %s', async (given, valid) => expect(await threadEventSchema.isValid(given)).toBe(valid))

test('problems of a watch name the field of the form and say what to do', () => {
  const [problem] = watchProblems({ anyOf: [{ text: 'fe*' }], allOf: [], noneOf: [], links: [] })
  expect(problem).toMatchObject({ field: 'query.anyOf[0]', code: 'prefixTooShort' })
  expect(problem!.message).toContain('at least 3 letters')
})
