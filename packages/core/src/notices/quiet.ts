import { DateTime } from 'luxon'

/** Each day from one time of day until another, which may be of the next day: "22:00" to "07:30". */
export interface QuietTime {
  from: string
  until: string
}

const minutesOf = (time: string): number => {
  const [hour, minute] = time.split(':').map(Number) as [number, number]
  return hour * 60 + minute
}

/**
 * When a quiet time that holds now is over, epoch milliseconds; null when it does not hold. From and until the same holds
 * never. Where the clock leaves the end out, it is the moment after.
 *
 * @param now epoch milliseconds
 * @param zone IANA zone
 * @example quietUntil({ from: '22:00', until: '07:00' }, { now: 0, zone: 'UTC' }) // 25_200_000
 */
export function quietUntil(
  { from, until }: QuietTime,
  { now, zone }: { now: number; zone: string },
): number | null {
  const here = DateTime.fromMillis(now, { zone })
  const minute = here.hour * 60 + here.minute
  const [begin, end] = [minutesOf(from), minutesOf(until)]
  const holds = begin <= end ? minute >= begin && minute < end : minute >= begin || minute < end
  if (!holds) return null
  const thisDay = here.set({ hour: Math.floor(end / 60), minute: end % 60, second: 0, millisecond: 0 })
  const over = thisDay.toMillis() > now ? thisDay : thisDay.plus({ days: 1 })
  return over.toMillis()
}
