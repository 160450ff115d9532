import { IANAZone } from 'luxon'
import {
  addBusinessMinutes,
  businessMinutesBetween,
  type BusinessHours,
  type DayHours,
} from '../src/places/index.ts'
import { drawing, type SimulatedFigure } from './figure.ts'

const minute = 60_000
const day = 86_400_000
const zones = [
  'UTC',
  'Europe/London',
  'America/St_Johns',
  'America/Havana',
  'America/Santiago',
  'Asia/Kolkata',
  'Asia/Beirut',
  'Africa/Cairo',
  'Australia/Lord_Howe',
  'Pacific/Chatham',
]
/** Days in which some of these clocks change, and days in which none does. */
const dates = [
  '2026-03-08',
  '2026-03-28',
  '2026-04-04',
  '2026-04-23',
  '2026-06-10',
  '2026-09-05',
  '2026-10-24',
  '2026-10-29',
  '2026-10-31',
]

/** Whether the clock on the wall shows an open minute: of the day itself, or of the night before. */
function wallSaysOpen(at: number, { week, specialDays, zone }: BusinessHours): boolean {
  const wall = at + IANAZone.create(zone).offset(at) * minute
  const [date, minutes] = [Math.floor(wall / day), Math.floor((((wall % day) + day) % day) / minute)]
  const on = (of: number, passed: number) => {
    const special = specialDays[new Date(of * day).toISOString().slice(0, 10)]
    const hours = special ?? (week ? (week[(of + 3) % 7] ?? []) : [[0, 1440] as const])
    return hours.some(([open, close]) => passed >= open && passed < close)
  }
  return on(date, minutes) || on(date - 1, minutes + 1440)
}

function randomHours(draw: () => number): BusinessHours {
  const pick = <T>(of: readonly T[]): T => of[Math.floor(draw() * of.length)]!
  const time = () => 5 * Math.floor(draw() * (draw() < 0.5 ? 60 : 288))
  const dayHours = (): DayHours => {
    const kind = draw()
    if (kind < 0.15) return []
    if (kind < 0.25) return [[0, 1440]]
    if (kind < 0.45) return [[1200 + 5 * Math.floor(draw() * 48), 1445 + 5 * Math.floor(draw() * 100)]]
    const times = [...new Set([time(), time(), time(), time()])].sort((a, b) => a - b)
    return Array.from({ length: times.length >> 1 }, (_, i) => [times[2 * i]!, times[2 * i + 1]!] as const)
  }
  return {
    week: draw() < 0.1 ? null : Array.from({ length: 7 }, dayHours),
    specialDays: Object.fromEntries(dates.filter(() => draw() < 0.2).map((date) => [date, dayHours()])),
    zone: pick(zones),
  }
}

/** Opening time against the clock on the wall, minute by minute. */
export function businessTimeFigures(cases = 3000): SimulatedFigure[] {
  const draw = drawing(21)
  let [between, after] = [0, 0]
  for (let i = 0; i < cases; i++) {
    const hours = randomHours(draw)
    const from =
      Date.parse(`${dates[Math.floor(draw() * dates.length)]!}T00:00Z`) + Math.floor(draw() * 2880) * minute
    const length = Math.floor(draw() * 4000)
    let open = 0
    /** The end of the last open minute. */
    let last = from
    for (let k = 0; k < length; k++)
      if (wallSaysOpen(from + k * minute, hours)) {
        open++
        last = from + (k + 1) * minute
      }
    if (businessMinutesBetween(from, from + length * minute, hours) !== open) between++
    if (open > 0 && addBusinessMinutes(from, open, hours) !== last) after++
  }
  const how = `${cases.toLocaleString('en')} random weeks with nights, special days and hours in which the clock changes, in ${zones.length} zones, up to 4,000 minutes each`
  return [
    {
      what: 'Opening minutes between two instants',
      claimed: 'those of the clock on the wall',
      measured: `${between} differ`,
      how,
    },
    {
      what: 'The instant after so many opening minutes',
      claimed: 'the end of the last of them',
      measured: `${after} differ`,
      how,
    },
  ]
}
