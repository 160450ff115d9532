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
export const accessOf = (bind: (value: unknown) => string, reader: Reader, alias: string): string =>
  [
    `${alias}.brand_id = ${bind(reader.brandId)}`,
    ...(reader.placeIds ? [`${alias}.place_id = ANY(${bind(reader.placeIds)}::int[])`] : []),
    ...(reader.profileIds ? [`${alias}.profile_id = ANY(${bind(reader.profileIds)}::int[])`] : []),
  ].join(' AND ')

export const addAccess = (where: Where, reader: Reader, alias: string): void =>
  where.add(accessOf((value) => where.bind(value), reader, alias))

/** The same of one thing in hand. */
export const mayAccess = (
  reader: Reader,
  { placeId, profileId }: { placeId: number | null; profileId: number },
): boolean =>
  (!reader.placeIds || (placeId !== null && reader.placeIds.includes(placeId))) &&
  (!reader.profileIds || reader.profileIds.includes(profileId))
