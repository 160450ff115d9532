import type { Shift } from '@murrabel/core/staffing'
import { useTexts } from '../../composables/useTexts.ts'

const hourMs = 3_600_000
/** Hours side by side that are named as the worst. */
const worstSpan = 3

/** The three hours side by side in which most would be late; null: next to nothing would. */
export function worstOf(byHour: readonly number[]): number | null {
  let worst: { from: number; n: number } | null = null
  for (let from = 0; from + worstSpan <= byHour.length; from++) {
    const n = byHour.slice(from, from + worstSpan).reduce((sum, each) => sum + each, 0)
    if (!worst || n > worst.n) worst = { from, n }
  }
  return worst && worst.n >= 0.5 ? worst.from : null
}

/** The words of the week ahead. */
export function useWeekTexts() {
  const { t, called, format, percent, number } = useTexts()
  const clock = (at: number) => format(at, { hour: '2-digit', minute: '2-digit' })
  const dayOf = (at: number) => format(at, { weekday: 'short', day: 'numeric' })
  const spanText = (from: number, to: number) => `${dayOf(from)}, ${clock(from)}–${clock(to)}`
  return {
    /** Hour of the day where the brand is. */
    clockOf: (at: number) => Number(format(at, { hour: '2-digit', hourCycle: 'h23' }).replace(/\D/g, '')),
    shiftText: ({ from, hours }: Shift, start: number) =>
      spanText(start + from * hourMs, start + (from + hours) * hourMs),
    /** "77–85", the sign of percent left to the figure beside it. */
    shareRange: ({ low, high }: { low: number; high: number }) =>
      `${number(Math.round(100 * low))}–${number(Math.round(100 * high))}`,
    /** Minutes as hours and minutes. */
    minutesText(minutes: number): string {
      const whole = Math.round(minutes)
      if (whole < 60) return `${Math.max(minutes > 0 ? 1 : 0, whole)} min`
      const rest = whole % 60
      return rest ? `${Math.floor(whole / 60)} h ${String(rest).padStart(2, '0')}` : `${whole / 60} h`
    },
    channelName(channel: string): string {
      const name = called('lens.channel', channel)
      return name.charAt(0).toUpperCase() + name.slice(1)
    },
    worstHours(byHour: readonly number[], start: number): string | null {
      const from = worstOf(byHour)
      return from === null ? null : spanText(start + from * hourMs, start + (from + worstSpan) * hourMs)
    },
    percent,
    t,
  }
}
