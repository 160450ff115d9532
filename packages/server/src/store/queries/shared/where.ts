import type { Reader } from '../../../access/reader.ts'

/** Collects conditions with bound parameters. */
export class Where {
  readonly values: unknown[] = []
  private readonly conditions: string[] = []

  /** The placeholder of a bound value. */
  bind(value: unknown): string {
    this.values.push(value)
    return `$${this.values.length}`
  }

  add(condition: string): void {
    this.conditions.push(condition)
  }

  toString(): string {
    return this.conditions.length ? this.conditions.join(' AND ') : 'true'
  }
}

/** What the reader may see, on a table or alias that has brand, place and profile. */
export function addAccess(where: Where, reader: Reader, alias: string): void {
  where.add(`${alias}.brand_id = ${where.bind(reader.brandId)}`)
  if (reader.placeIds) where.add(`${alias}.place_id = ANY(${where.bind(reader.placeIds)}::int[])`)
  if (reader.profileIds) where.add(`${alias}.profile_id = ANY(${where.bind(reader.profileIds)}::int[])`)
}

/** The same of one thing in hand. */
export const mayAccess = (
  reader: Reader,
  { placeId, profileId }: { placeId: number | null; profileId: number },
): boolean =>
  (!reader.placeIds || (placeId !== null && reader.placeIds.includes(placeId))) &&
  (!reader.profileIds || reader.profileIds.includes(profileId))
