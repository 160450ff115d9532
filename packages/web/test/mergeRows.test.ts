import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import type { LensOrder } from '@murrabel/core/lens'
import { canMerge, mergeRows } from '../src/composables/mergeRows.ts'
import { row } from './support.ts'

const at = (minute: number) => new Date(Date.UTC(2026, 10, 26, 0, minute)).toISOString()
const rowOf = (id: number, { minute = id, pressing = id, reach = 0 } = {}) =>
  row({ id, threadId: id + 100, at: at(minute), pressingAt: at(pressing), reach })

describe('rows after some threads were looked at again', () => {
  test('what changed is in its place, what left the lens is gone', () => {
    const rows = [rowOf(1), rowOf(2), rowOf(3)]
    const merge = { order: 'pressing' as const, threads: new Set([101, 102]), hasMore: false }
    const now = mergeRows(rows, [rowOf(1, { pressing: 9 })], merge)
    expect(now.map(({ id }) => id)).toEqual([3, 1])
  })
  test('what belongs among rows that were not fetched yet stays out', () => {
    const rows = [rowOf(1), rowOf(2)]
    const merge = { order: 'pressing' as const, threads: new Set([109]), hasMore: true }
    expect(mergeRows(rows, [rowOf(9)], merge).map(({ id }) => id)).toEqual([1, 2])
    expect(mergeRows(rows, [rowOf(9)], { ...merge, hasMore: false }).map(({ id }) => id)).toEqual([1, 2, 9])
  })
  test('a story has one row: the one that comes first now', () => {
    const story = (id: number, copies: number) => ({ ...rowOf(id), storyId: 5, copies })
    const merge = {
      order: 'newest' as const,
      threads: new Set([109]),
      stories: new Set([5]),
      hasMore: false,
    }
    const now = mergeRows([story(4, 1), rowOf(3)], [story(9, 2)], merge)
    expect(now.map(({ id, copies }) => [id, copies])).toEqual([
      [9, 2],
      [3, undefined],
    ])
    expect(mergeRows([story(4, 1), rowOf(3)], [], merge).map(({ id }) => id)).toEqual([3])
  })
  test('what is ranked against each other is asked for anew', () => {
    expect(canMerge('distinctive')).toBe(false)
    expect(canMerge('pressing')).toBe(true)
  })

  // What a page shows must be what the server would answer, whatever changes and in whichever order.
  test('is what asking for everything again would show', () => {
    const things = fc.uniqueArray(
      fc.record({
        id: fc.nat(40),
        minute: fc.nat(20),
        pressing: fc.nat(20),
        reach: fc.nat(5),
        inLens: fc.boolean(),
      }),
      { selector: ({ id }) => id, maxLength: 30 },
    )
    fc.assert(
      fc.property(
        things,
        things,
        fc.constantFrom<LensOrder>('newest', 'oldest', 'pressing', 'reach'),
        fc.integer({ min: 1, max: 12 }),
        (before, changes, order, size) => {
          const world = new Map(before.map((each) => [each.id, each]))
          const all = () => {
            const rows = [...world.values()]
              .filter(({ inLens }) => inLens)
              .map((each) => rowOf(each.id, each))
            return mergeRows([], rows, { order, threads: new Set(), hasMore: false })
          }
          const page = all().slice(0, size)
          const hasMore = all().length > size
          for (const change of changes) world.set(change.id, change)
          const threads = new Set(changes.map(({ id }) => id + 100))
          const fresh = all().filter(({ threadId }) => threads.has(threadId))
          const merged = mergeRows(page, fresh, { order, threads, hasMore })
          // All of it, as far down as was shown.
          const wanted = hasMore ? all().slice(0, merged.length) : all()
          expect(merged.map(({ id }) => id)).toEqual(wanted.map(({ id }) => id))
        },
      ),
    )
  })
})
