import type { DuePolicy, DueRule } from '@murrabel/core/inbox'
import type { DayHours } from '@murrabel/core/places'

/** A day with hours of its own. */
export interface SpecialDay {
  /** Local day, such as "2026-12-25". */
  date: string
  name: string
  /** No spans: nobody is there. */
  hours: DayHours
}

/** A place as it is set up. */
export interface PlaceSetUp {
  id: number
  edition: number
  name: string
  address: string
  phone: string
  url: string
  /** Monday first. Null: nothing is known, and due times run day and night. */
  week: DayHours[] | null
  specialDays: SpecialDay[]
  /** Profiles that belong to it. */
  profiles: number
}

export const dueMinutes = [
  'messageMinutes',
  'questionMinutes',
  'commentMinutes',
  'reviewMinutes',
  'poorReviewMinutes',
  'askedMinutes',
  'kindWordMinutes',
] as const satisfies readonly (keyof DuePolicy)[]
export type DueMinutes = Record<(typeof dueMinutes)[number], number>

/** The brand as it is set up. */
export interface BrandSetUp {
  edition: number
  name: string
  /** Other names it goes by. */
  nicknames: string[]
  /** Set when the brand was made: figures by day and hour go by it. */
  zone: string
  languages: string[]
  /** A promise of more than this, in any currency, is doubted before it is sent; null: none is. */
  promiseLimit: number | null
  /** How soon an answer is owed, in opening minutes. */
  due: DueMinutes
  /** What is owed otherwise; the first that fits decides. */
  rules: DueRule[]
}

/** Days of a calendar file, to be taken as special days. */
export interface HolidaysAnswer {
  days: Pick<SpecialDay, 'date' | 'name'>[]
  /** Days beyond the next three years, and those of events that cannot be read. */
  leftOut: number
}

/** What the public sees of the brand. */
export interface BrandLook {
  /** As `#rrggbb`; null: Murrabel's own. */
  colour: string | null
  /** Where the logo is; null: none. */
  logo: string | null
}
