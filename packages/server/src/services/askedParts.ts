import { Refusal } from '../problem.ts'

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
