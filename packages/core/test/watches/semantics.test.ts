import { readFileSync } from 'node:fs'
import { describe, expect, test } from 'vitest'
import { compileWatches, explain, type Term, type WatchQuery } from '@murrabel/core/watches'

/** Reads the query column of the table: "any: a, b; none: c", "=" exact case, "~" one misspelling, "*" prefix. */
function parseQuery(cell: string): WatchQuery {
  const query: WatchQuery = { id: 1 }
  const term = (text: string): Term => {
    const exactCase = text.startsWith('=')
    const slack = text.endsWith('~')
    return { text: text.slice(exactCase ? 1 : 0, slack ? -1 : undefined), exactCase, slack }
  }
  for (const part of cell.split('; ')) {
    const [head = '', body = ''] = part.split(/: (.*)/)
    const terms = body.split(', ').map(term)
    if (head === 'any') query.anyOf = terms
    else if (head === 'all') query.allOf = terms
    else if (head === 'none') query.noneOf = terms
    else if (head === 'link') query.links = body.split(', ')
    else {
      const within = head.replace('near ', '')
      query.near = [
        {
          first: terms[0]!,
          second: terms[1]!,
          within: /\d/.test(within) ? Number(within) : (within as 'sentence'),
        },
      ]
    }
  }
  return query
}

const unescape = (text: string) =>
  text
    .replace(/\\u([0-9a-f]{4})/g, (_, code: string) => String.fromCharCode(parseInt(code, 16)))
    .replace(/\\n/g, '\n')

const table = readFileSync(new URL('../../src/watches/semantics.md', import.meta.url), 'utf8')
  .split('\n')
  .filter((line) => line.startsWith('| ') && !line.startsWith('| query'))
  .map((line) => line.slice(2, -2).split(' | '))

describe('the table of what a watch matches', () => {
  test('has its rows', () => expect(table.length).toBeGreaterThan(140))
  test.each(table)('%s on "%s": %s', (cell, text, expected) => {
    const doc = { text: unescape(text!) }
    const query = parseQuery(cell!)
    const hits = compileWatches([query]).match(doc)
    expect(hits.length > 0).toBe(expected === 'yes')
    const explained = explain(doc, query)
    expect(explained.matched).toBe(expected === 'yes')
    if (expected === 'no') expect(explained.reasons.length).toBeGreaterThan(0)
  })
})
