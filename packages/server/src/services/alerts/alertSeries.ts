import {
  hourMs,
  usualWeeks,
  type AlertCondition,
  type AlertSeries,
  type HourCounts,
} from '@murrabel/core/alerts'
import { weekHoursOf } from '@murrabel/core/lens'
import type { Context } from '../../context.ts'
import { lensWhere } from '../../store/queries/entries/lensWhere.ts'
import { fillBuckets } from '../lens/index.ts'
import { missedHours, missedOf } from '../watches/index.ts'
import type { LensQuestion } from '../../store/queries/entries/lensSlices.ts'
import { tide } from '../../store/queries/entries/tide.ts'
import { entriesOfLensSince } from '../../store/queries/alerts/checks.ts'

/** Days a condition needs to know before the first hour it judges. */
export function learningDays(condition: AlertCondition): number {
  switch (condition.kind) {
    case 'spike':
      return 100
    case 'more':
      return 7 * usualWeeks * Math.ceil(condition.hours / 168) + Math.ceil(condition.hours / 24) + 7
    case 'net':
      return condition.days
    default:
      return 0
  }
}

/**
 * Entries of a lens by hour and sentiment, of hours that are over: half an hour is no measure of whole ones. Silence before
 * anything was collected is not part of it.
 */
export async function hourSeries(
  { db }: Pick<Context, 'db'>,
  question: LensQuestion,
  { from, to }: { from: number; to: number },
): Promise<AlertSeries> {
  const begin = Math.max(from, question.context.since ?? to)
  const start = Math.floor(begin / hourMs) * hourMs
  const length = Math.max(0, Math.floor((to - start) / hourMs))
  const starts = Array.from({ length }, (_, i) => start + i * hourMs)
  const end = start + length * hourMs
  const [rows, missed] = await Promise.all([
    tide(db, { ...question, lens: { ...question.lens, range: null, order: 'newest' }, starts, to: end }),
    missedOf(db, question, { from: start, to: end }, end),
  ])
  const hours: HourCounts[] = fillBuckets(starts, rows)
  return {
    start,
    hours,
    weekHours: weekHoursOf(start, length, question.context.zone),
    unknown: missedHours(missed, start, length),
    entries: [],
  }
}

export interface SingleEntry {
  id: number
  at: number
  reach: number
}

/** Single entries of a lens that a condition on entries is for, oldest first. */
export async function singleEntries(
  { db }: Pick<Context, 'db'>,
  { lens, context, reader }: LensQuestion,
  {
    condition,
    since,
    unfired,
  }: {
    condition: Extract<AlertCondition, { kind: 'any' | 'reach' }>
    since: number
    /** Only those read since then and not told by this alert. */
    unfired?: { alertId: number; readSince: Date }
  },
): Promise<SingleEntry[]> {
  const rows = await entriesOfLensSince(
    db,
    lensWhere({ ...lens, range: null, order: 'newest' }, context, reader),
    {
      since: new Date(since),
      reachAbove: condition.kind === 'reach' ? condition.above : null,
      unfired: unfired ?? null,
    },
  )
  return rows.map((row) => ({ ...row, at: row.at.getTime() }))
}
