import { asks, type LensPart } from './part.ts'
import { entryParts, followUpParts, logParts, peopleParts } from './parts/index.ts'

type AnyPart =
  | (typeof entryParts)[number]
  | (typeof peopleParts)[number]
  | (typeof followUpParts)[number]
  | (typeof logParts)[number]
type ValueOf<Part> = Part extends LensPart<string, infer Value> ? Value : never

/**
 * What is on screen, and in which order. `unit`: threads are shown by their latest incoming entry, entries one by one,
 * people by what they said, follow-ups by when they are due, the log by when it was. Each unit has parts of its own (`lensParts`); those of other units stay blank. What each part
 * means stands at its definition in `parts/`; empty lists mean "all".
 */
export type Lens = { unit: 'threads' | 'entries' | 'people' | 'followUps' | 'log' } & {
  [Part in AnyPart as Part['field']]: ValueOf<Part>
}
export type LensField = AnyPart['field']

/** The parts of each unit. */
export const lensParts = {
  threads: entryParts,
  entries: entryParts,
  people: peopleParts,
  followUps: followUpParts,
  log: logParts,
} as const satisfies Record<Lens['unit'], readonly unknown[]>

/** The parts of a lens with their values, each to be asked without knowing which it is. */
export const partsOf = (lens: Lens): { part: LensPart; value: unknown }[] =>
  lensParts[lens.unit].map((part) => ({ part: part as unknown as LensPart, value: lens[part.field] }))

/** Those that ask for something. */
export const askingParts = (lens: Lens): { part: LensPart; value: unknown }[] =>
  partsOf(lens).filter(({ part, value }) => asks(part, value))

export const blankLens: Lens = Object.freeze({
  unit: 'entries',
  ...Object.fromEntries(
    [...entryParts, ...peopleParts, ...followUpParts, ...logParts].map(({ field, blank }) => [field, blank]),
  ),
}) as Lens

/**
 * Whether a lens asks for nothing beyond these parts.
 *
 * @example isBlankBut({ ...blankLens, words: 'late' }, ['words']) // true
 */
export const isBlankBut = (lens: Lens, fields: readonly LensField[]): boolean =>
  askingParts(lens).every(({ part }) => (fields as readonly string[]).includes(part.field))
