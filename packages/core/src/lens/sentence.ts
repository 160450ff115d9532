import { partsOf, type Lens, type LensField } from './lens.ts'
import type { LensPhrase } from './part.ts'

/** The phrases of the sentence that describes a lens, by field. The order of words is the language's affair. */
export const lensPhrases = (lens: Lens): (LensPhrase & { field: LensField })[] =>
  partsOf(lens).flatMap(({ part, value }) =>
    part.phrase ? [{ field: part.field as LensField, ...part.phrase(value, lens) }] : [],
  )
