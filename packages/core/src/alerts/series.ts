export interface HourCounts {
  positive: number
  neutral: number
  negative: number
  unread: number
}

/** What an alert looks at: entries by hour, and the single ones it may tell of. */
export interface AlertSeries {
  /** Start of the first hour, epoch milliseconds, a whole hour of UTC. */
  start: number
  hours: readonly HourCounts[]
  /** Hour of the local week of each of them, 0 to 167. */
  weekHours: readonly number[]
  /** Hours that were not collected, or not enough of them; undefined: all were. */
  unknown?: readonly boolean[]
  /** Entries that count for a condition on single ones, oldest first. */
  entries: readonly { id: number; at: number; reach: number }[]
}

export const hourMs = 3_600_000
export const totalOfHour = ({ positive, neutral, negative, unread }: HourCounts) =>
  positive + neutral + negative + unread
