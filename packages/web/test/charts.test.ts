import { mount, type VueWrapper } from '@vue/test-utils'
import type { Component } from 'vue'
import { describe, expect, test } from 'vitest'
import HourGrid from '../src/parts/HourGrid.vue'
import PeriodBars from '../src/parts/PeriodBars.vue'
import RatingSteps from '../src/parts/RatingSteps.vue'
import SliceBars from '../src/parts/SliceBars.vue'
import SparkLine from '../src/parts/SparkLine.vue'
import { chance, leaning, percent, points, totalOfCounts } from '../src/sections/watches/watchFigures.ts'
import { button, keep, useStage } from './stage.ts'
import { mounting } from './support.ts'

useStage({ sizes: true })

const chart = async (part: Component, props: object): Promise<VueWrapper> =>
  keep(mount(part, { ...(await mounting()), props, attachTo: document.body }))
const table = async (html: VueWrapper) => {
  await button(html, 'Table').trigger('click')
  return html.findAll('tbody tr').map((r) => r.findAll('th, td').map((c) => c.text()))
}

describe('the hours of the week', () => {
  const hours = [
    { key: 0, n: 1 },
    { key: 38, n: 16 },
  ]
  test('each have a cell that is named, deeper for more, and opens its hour', async () => {
    const html = await chart(HourGrid, { hours })
    const cells = html.findAll('[role="gridcell"] button')
    expect(cells).toHaveLength(168)
    // Tuesday is the second row; its hour 14 is 24 + 14.
    expect(cells[38]!.attributes('aria-label')).toMatch(/Tue.*14.*: 16$/)
    const depth = (i: number) => cells[i]!.attributes('style')!
    expect(new Set([depth(0), depth(1), depth(38)]).size).toBe(3)
    expect(depth(1)).toBe(depth(167))
    await cells[38]!.trigger('click')
    expect(html.emitted('open')).toEqual([[38]])
  })
  test('have a table of those in which something was said', async () => {
    const rows = await table(await chart(HourGrid, { hours }))
    expect(rows.map((cells) => cells.at(-1))).toEqual(['1', '16'])
  })
  test('of nothing are pale, not broken', async () => {
    const html = await chart(HourGrid, { hours: [] })
    expect(new Set(html.findAll('[role="gridcell"] button').map((c) => c.attributes('style'))).size).toBe(1)
  })
})

describe('parts of a volume', () => {
  const slice = (key: string | null, positive: number, negative: number) => ({
    key,
    positive,
    neutral: 0,
    negative,
    unread: 0,
  })
  const slices = [slice('maps', 6, 2), slice('news', 1, 1), slice(null, 0, 1)]
  const nameOf = (key: string | number | null) => (key === null ? 'none' : `the ${key}`)
  test('are bars as long as their share of the longest, stacked by mood', async () => {
    const html = await chart(SliceBars, { slices, title: 'By channel', nameOf })
    const bars = html.findAll('li button')
    expect(bars[0]!.attributes('aria-label')).toBe(
      'the maps: 8 (2 negative, 0 neutral, 6 positive, 0 sentiment unknown)',
    )
    const widths = bars.map((bar) =>
      bar.findAll('.track span').map((part) => part.attributes('style')?.match(/[\d.]+%/)?.[0]),
    )
    expect(widths[0]).toEqual(['25%', '0%', '75%', '0%'])
    expect(widths[1]).toEqual(['12.5%', '0%', '12.5%', '0%'])
  })
  test('open what they are of, also what has no name', async () => {
    const html = await chart(SliceBars, { slices, title: 'By channel', nameOf })
    await html.findAll('li button')[2]!.trigger('click')
    expect(html.emitted('open')).toEqual([[null]])
  })
  test('beyond the limit are in the table only', async () => {
    const html = await chart(SliceBars, { slices, title: 'By channel', nameOf, limit: 2 })
    expect(html.findAll('li')).toHaveLength(2)
    expect((await table(html)).map((cells) => [cells[0], cells.at(-1)])).toEqual([
      ['the maps', '8'],
      ['the news', '2'],
      ['none', '1'],
    ])
  })
})

describe('values by period', () => {
  const starts = ['2026-11-05T00:00:00Z', '2026-11-12T00:00:00Z', '2026-11-19T00:00:00Z']
  test('are named marks; each opens its period, by mouse and by key', async () => {
    const html = await chart(PeriodBars, {
      values: [3, 9, 1],
      starts,
      title: 'Volume',
      usual: { low: 0, high: 4 },
    })
    const bars = html.findAll('.bar')
    expect(bars.map((bar) => bar.attributes('aria-label'))).toEqual(['5 Nov: 3', '12 Nov: 9', '19 Nov: 1'])
    await bars[1]!.trigger('click')
    await bars[2]!.trigger('keydown', { key: 'Enter' })
    expect(html.emitted('open')).toEqual([[1], [2]])
    expect(html.find('.usual').exists()).toBe(true)
  })
  test('a period that tells nothing is a gap, and a dash in the table', async () => {
    const html = await chart(PeriodBars, {
      values: [0.5, null, -0.25],
      starts,
      title: 'Net',
      around: true,
      show: points,
    })
    expect(html.findAll('circle')).toHaveLength(2)
    expect(html.find('path.line').attributes('d')!.match(/M/g)).toHaveLength(2)
    expect(html.findAll('.bar')[1]!.attributes('tabindex')).toBe('-1')
    expect((await table(html)).map((cells) => cells[1])).toEqual(['+50', '–', '−25'])
  })
  test('the highest value is drawn within the field', async () => {
    const html = await chart(PeriodBars, { values: [1, 1000, 2], starts, title: 'Volume' })
    const tops = html.findAll('.bar rect:not(.hand)').map((r) => Number(r.attributes('y')))
    expect(Math.min(...tops)).toBeGreaterThanOrEqual(0)
  })
})

describe('small marks', () => {
  test('a line of no values, or one, is no error', async () => {
    for (const values of [[], [3], [0, 0, 0]]) {
      const html = await chart(SparkLine, { values, label: 'Before' })
      expect(html.find('path').attributes('d') ?? '').not.toContain('NaN')
      expect(html.find('svg').attributes('aria-label')).toBe('Before')
    }
  })
  test.each([
    [1, 1],
    [3.4, 3],
    [3.5, 4],
    [5, 5],
  ])('a rating of %d fills %d steps, and is read aloud', async (rating, full) => {
    const html = await chart(RatingSteps, { rating })
    expect(html.findAll('.full')).toHaveLength(full)
    expect(html.find('[role="img"]').attributes('aria-label')).toBe(`${rating} of 5`)
  })
})

describe('figures in words', () => {
  test.each([
    [{ low: 0.1, high: 0.4 }, 'positive'],
    [{ low: -0.4, high: -0.1 }, 'negative'],
    [{ low: -0.1, high: 0.4 }, 'neutral'],
    [null, 'unread'],
  ] as const)('%j leans to %s', (net, mood) => expect(leaning(net)).toBe(mood))
  test.each([
    [0.5, '1 : 2'],
    [0.04, '1 : 25'],
    [1 / 4200, '1 : 4,200'],
    [1 / 4299, '1 : 4,200'],
    [1e-12, '1 : 1,000,000,000'],
    [0, '1 : 1,000,000,000'],
  ])('a chance of %d is told as %s, never smaller than it is', (p, text) =>
    expect(chance(p, (n) => n.toLocaleString('en'))).toBe(text),
  )
  test('shares', () => {
    expect([points(-0.004), points(0.125), percent(0.875)]).toEqual(['0', '+13', '88%'])
    expect(totalOfCounts({ positive: 1, neutral: 2, negative: 3, unread: 4 })).toBe(10)
  })
})
