import { expect, test } from 'vitest'
import { kayakTable } from '../src/kayaks.ts'

const end = Date.parse('2026-11-27T12:00:00Z')
const table = kayakTable({ seed: 7, end, count: 600 })

test('the second brand has a year of reviews, the same for a seed and an end', () => {
  expect(kayakTable({ seed: 7, end, count: 600 })).toBe(table)
  const rows = table.trim().split('\r\n').slice(1)
  expect(rows).toHaveLength(600)
  expect(table).not.toContain('{')
  for (const place of ['Shingle Bay', 'Port Ellery Slip'])
    expect(rows.filter((row) => row.endsWith(place)).length).toBeGreaterThan(100)
})

test('no text stands in more than a few reviews, and two of one kind are never side by side', () => {
  const texts = table
    .trim()
    .split('\r\n')
    .slice(1)
    .map((row) => /^K\d+,[^,]*,\d,(".*"|[^,]*),/.exec(row)![1]!)
  const times = new Map<string, number>()
  for (const text of texts) times.set(text, (times.get(text) ?? 0) + 1)
  expect(Math.max(...times.values())).toBeLessThanOrEqual(8)
  texts.forEach((text, i) => expect(text).not.toBe(texts[i + 1]))
})
