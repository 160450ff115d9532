import { parseTimeKey, type TimeKey } from '../../store/queries/shared/timeKey.ts'
import { Refusal } from '../../problem.ts'

/** Where a page begins; null: at the beginning. @throws Refusal lensUnknown */
export function afterPart(query: Record<string, unknown>): TimeKey | null {
  if (query.after === undefined) return null
  const after = parseTimeKey(String(query.after))
  if (!after)
    throw new Refusal('lensUnknown', {
      fields: [
        {
          field: 'after',
          code: 'unknown',
          message: 'This place in the list is not understood.',
          value: String(query.after),
        },
      ],
    })
  return after
}
