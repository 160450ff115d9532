/** Indices of the first and the last bar of a range, both included. */
export type Bars = readonly [first: number, last: number]

/** Which end of a range is moved. */
export type RangeEnd = 'first' | 'last'

/** Steps of a key, in bars; PageUp and PageDown go a week of days, half a day of hours. */
const pageBars = 7
const steps: Record<string, number> = {
  ArrowLeft: -1,
  ArrowDown: -1,
  ArrowRight: 1,
  ArrowUp: 1,
  PageDown: -pageBars,
  PageUp: pageBars,
}

/**
 * What a key at one end of a range makes of it: the end moves, never past the other one; with Shift the whole range
 * moves, as wide as it is; Home and End go to the ends of the line. Null when the key does nothing.
 *
 * @param bars of the range now
 * @param count bars of the line
 * @example rangeAfterKey([3, 5], 10, { key: 'ArrowRight', shiftKey: false }, 'last') // [3, 6]
 */
export function rangeAfterKey(
  [first, last]: Bars,
  count: number,
  { key, shiftKey }: { key: string; shiftKey: boolean },
  end: RangeEnd,
): Bars | null {
  const most = count - 1
  const by = key === 'Home' ? -count : key === 'End' ? count : Object.hasOwn(steps, key) ? steps[key]! : null
  if (by === null) return null
  const within = (value: number, low: number, high: number) => Math.max(low, Math.min(high, value))
  const moved = within(by, -first, most - last)
  const next: Bars = shiftKey
    ? [first + moved, last + moved]
    : end === 'first'
      ? [within(first + by, 0, last), last]
      : [first, within(last + by, first, most)]
  return next[0] === first && next[1] === last ? null : next
}
