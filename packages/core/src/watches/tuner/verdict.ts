import type { Precision } from './precision.ts'

export type TunerVerdict = 'nothing' | 'tooLittleMarked' | 'tooWide' | 'tooNarrow' | 'wellCut' | 'unclear'

export interface VerdictInput {
  hits: number
  precision: Precision
  /** Hits that the best proposed additions would bring, on topic as far as can be told. */
  missing: number
}

/** At least this share on topic is well cut; surely less is too wide. */
export const precisionWanted = 0.9
/** New hits, as a share of the present ones, from which on a watch is too narrow. */
const missingShare = 0.25

/**
 * What to make of a watch. Too wide: even the upper end of the interval lies under what is wanted, or the middle lies
 * under it by far. Too narrow: precise, and what goes with its hits is often said without them. The interface says the
 * figures beside the verdict.
 */
export function verdictOf({ hits, precision, missing }: VerdictInput): TunerVerdict {
  if (hits === 0) return 'nothing'
  if (precision.tooFew) return 'tooLittleMarked'
  if (precision.high < precisionWanted || precision.value < precisionWanted - 0.1) return 'tooWide'
  if (missing > missingShare * hits) return 'tooNarrow'
  return precision.value >= precisionWanted - 0.05 ? 'wellCut' : 'unclear'
}
