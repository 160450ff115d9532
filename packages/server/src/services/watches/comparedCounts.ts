import type { SentimentCounts } from '@murrabel/contract'
import type { Database } from '../../store/database.ts'
import { lensPeriods, type LensQuestion } from '../../store/queries/entries/lensSlices.ts'
import { noCounts } from './sentimentCounts.ts'
import type { ComparedPeriods } from './shownRange.ts'

/** Counts of the periods before and of the present one, oldest first. */
export async function comparedCounts(
  db: Database,
  question: LensQuestion,
  { edges, at, periods }: ComparedPeriods,
): Promise<SentimentCounts[]> {
  const rows = await lensPeriods(db, question, { starts: edges, end: periods[periods.length - 1]!.to })
  return at.map((edge) => rows.find((row) => row.period === edge) ?? noCounts())
}
