import { lensParts, partsOf, type Lens } from './lens.ts'
import type { LensPart } from './part.ts'

export interface LensProblem {
  /** The part of the address. */
  field: string
  value: string
}

/**
 * The lens as pairs for the address; what equals `base` is left out, so that addresses stay short.
 *
 * @example printLens({ ...base, state: 'done' }, base) // [['state', 'done']]
 */
export function printLens(lens: Lens, base: Lens): [string, string][] {
  return partsOf(lens).flatMap(({ part, value }): [string, string][] => {
    const printed = part.print(value)
    return printed === part.print(base[part.field as keyof Lens]) ? [] : [[part.name, printed]]
  })
}

/** Names that addresses had before, in what people have kept. */
const formerNames: Record<string, string> = { felt: 'sentiment' }

/** Names the address may hold, former ones too; others belong to somebody else and are left alone. */
export const lensNames: readonly string[] = [
  ...new Set(Object.values(lensParts).flatMap((parts) => parts.map(({ name }) => name))),
  ...Object.keys(formerNames),
]

/**
 * Reads a lens from the pairs of an address, on top of `base`. What cannot be read is named in `problems` and keeps the
 * base's value; names that are not the lens's are left alone.
 *
 * @example parseLens([['sentiment', 'negative']], blankLens).lens.sentiments // ["negative"]
 */
export function parseLens(
  pairs: Iterable<readonly [string, string]>,
  base: Lens,
): { lens: Lens; problems: LensProblem[] } {
  const parts = new Map<string, LensPart>(
    lensParts[base.unit].map((part) => [part.name, part as unknown as LensPart]),
  )
  const lens: Lens = { ...base }
  const problems: LensProblem[] = []
  for (const [name, value] of pairs) {
    const part = parts.get(Object.hasOwn(formerNames, name) ? formerNames[name]! : name)
    if (!part) continue
    const read = part.parse(value)
    if (read === undefined) problems.push({ field: name, value })
    else Object.assign(lens, { [part.field]: read })
  }
  return { lens, problems }
}
