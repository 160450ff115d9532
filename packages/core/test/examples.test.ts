import { readdirSync, readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { expect, test } from 'vitest'
import * as actions from '@murrabel/core/actions'
import * as alerts from '@murrabel/core/alerts'
import * as inbox from '@murrabel/core/inbox'
import * as lens from '@murrabel/core/lens'
import * as meaning from '@murrabel/core/meaning'
import * as measures from '@murrabel/core/measures'
import * as phrases from '@murrabel/core/phrases'
import * as sentiment from '@murrabel/core/sentiment'
import * as stories from '@murrabel/core/stories'
import * as text from '@murrabel/core/text'
import * as tuner from '@murrabel/core/tuner'
import * as watches from '@murrabel/core/watches'

const source = fileURLToPath(new URL('../src/', import.meta.url))
/** All that others may use of the core. */
const names: Record<string, unknown> = {
  ...actions,
  ...alerts,
  ...inbox,
  ...lens,
  ...meaning,
  ...measures,
  ...phrases,
  ...sentiment,
  ...stories,
  ...text,
  ...tuner,
  ...watches,
}

/** Examples whose result is written as JSON; others are told in words, for readers alone. */
const examples = readdirSync(source, { recursive: true, encoding: 'utf8' })
  .filter((file) => file.endsWith('.ts'))
  .flatMap((file) =>
    [...readFileSync(source + file, 'utf8').matchAll(/\* @example (.+?) \/\/ (.+)$/gm)].flatMap(
      ([, expression = '', result = '']) => {
        try {
          const called = /^\w+/.exec(expression)?.[0] ?? ''
          return called in names ? [{ file, expression, result: JSON.parse(result) as unknown }] : []
        } catch {
          return []
        }
      },
    ),
  )

/** Figures to three places, as examples write them. */
function rounded(value: unknown): unknown {
  if (typeof value === 'number') return Math.round(value * 1000) / 1000
  if (Array.isArray(value)) return value.map(rounded)
  if (typeof value === 'object' && value !== null)
    return Object.fromEntries(Object.entries(value).map(([name, part]) => [name, rounded(part)]))
  return value ?? null
}

test('there are examples to be tried', () => expect(examples.length).toBeGreaterThan(40))

test.each(examples)('$file: $expression', ({ expression, result }) => {
  const work = new Function(...Object.keys(names), `return (${expression})`) as (
    ...given: unknown[]
  ) => unknown
  expect(rounded(work(...Object.values(names)))).toEqual(rounded(result))
})
