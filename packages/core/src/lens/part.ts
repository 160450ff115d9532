import type { LensContext, LensEntry, LensSubject } from './entry.ts'
import type { Instants } from './range.ts'

/** A changeable phrase of the sentence that describes a lens. */
export interface LensPhrase {
  /** Name of the message under "lens.<field>". */
  message: string
  /** What the message names: ids or words, put into the reader's language by whoever shows it. */
  values: (string | number)[]
  /** Differs from "everything": drawn stronger. */
  narrows: boolean
}

/** What conditions in SQL are written with. Entries are `e`, their threads `t`, mentions of the asked watch `m`, people `p`, follow-ups `f`, lines of the log `v`. */
export interface ConditionSql {
  /** The placeholder of a bound value. */
  bind(value: unknown): string
  context: LensContext
  /** The column of an entry's time. */
  at: string
  /** What the lens's time comes to; null for any time. */
  window: Instants | null
}

/**
 * One part of the lens: everything that is to be known of it, in one place. A part is added by writing its file and naming
 * it in `parts/index.ts`; the sentence needs its messages under "lens.<field>".
 */
export interface LensPart<Field extends string = string, Value = unknown> {
  field: Field
  /** It asks about a person, a follow-up or a line of the log, and not about what was said. */
  of?: 'person' | 'followUp' | 'logLine'
  /** Its name in the address. */
  name: string
  /** The value that asks for nothing. */
  blank: Value
  print(value: NoInfer<Value>): string
  /** Undefined for what is no value of this part. */
  parse(text: string): NoInfer<Value> | undefined
  /** Null for a part that another one tells. */
  phrase: ((value: NoInfer<Value>, all: Readonly<Record<string, unknown>>) => LensPhrase) | null
  /** The test for a value that asks for something; made once, applied to many. A part of something else never looks at the entry. */
  matches(value: NoInfer<Value>, context: LensContext): (entry: LensEntry, subject?: LensSubject) => boolean
  /** The same test in SQL; null for what is asked otherwise, such as an order. */
  sql(value: NoInfer<Value>, query: ConditionSql): string | null
  /** The condition needs the thread, which is joined then. */
  needsThread?: boolean
  /**
   * The condition on roll-ups `r` and their profiles `p`; left out, or null, where they do not tell it apart. Roll-ups of
   * mentions know no kinds, those of entries no watches.
   */
  rollup?(value: NoInfer<Value>, query: ConditionSql & { of: 'entries' | 'mentions' }): string | null
}

export const definePart = <Field extends string, Value>(
  part: LensPart<Field, Value>,
): LensPart<Field, Value> => part

/** Whether a value asks for something. */
export const asks = (part: LensPart, value: unknown): boolean =>
  JSON.stringify(value) !== JSON.stringify(part.blank)

export const always = () => true
