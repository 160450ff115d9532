import { Refusal } from '../../problem.ts'

/** A refusal that names a part of the question. */
export const wrongPart = (field: string, message: string): Refusal =>
  new Refusal('invalid', { fields: [{ field, code: 'unknown', message }] })

/** A part of a question that must be a whole number; beyond the bounds it is brought to them. @throws Refusal invalid */
export function wholePart(
  query: Record<string, unknown>,
  name: string,
  { least, most, usual }: { least: number; most: number; usual: number },
): number {
  const value = query[name]
  if (value === undefined) return usual
  if (typeof value !== 'string' || !/^\d{1,9}$/.test(value))
    throw wrongPart(name, `This must be a whole number from ${least} to ${most}.`)
  return Math.min(most, Math.max(least, Number(value)))
}

/** A part of a question that is a list of ids, divided by commas; null when it is not asked. @throws Refusal invalid */
export function idsPart(query: Record<string, unknown>, name: string, most: number): number[] | null {
  const value = query[name]
  if (value === undefined) return null
  const ids =
    typeof value === 'string' && /^\d{1,15}(?:,\d{1,15})*$/.test(value) ? value.split(',').map(Number) : []
  if (!ids.length || ids.length > most)
    throw wrongPart(name, `These must be 1 to ${most} ids, divided by commas.`)
  return ids
}
