import { askingParts, type Instants, type Lens, type LensContext } from '@murrabel/core/lens'
import type { Reader } from '../../../access/reader.ts'
import { Where } from '../shared/where.ts'

/**
 * A lens as SQL over hourly roll-ups r and their profiles p, between two instants
 * that begin an hour of the brand's clock; the lens's own time is left aside.
 *
 * @returns null when the roll-ups do not tell apart what the lens asks for
 */
export function rollupWhere(
  lens: Lens,
  context: LensContext,
  reader: Reader,
  between: Instants | null,
): { table: 'rollups' | 'mention_rollups'; where: Where } | null {
  if (lens.unit !== 'entries') return null
  const of = lens.watch === null ? 'entries' : 'mentions'
  const where = new Where()
  where.add(`p.brand_id = ${where.bind(reader.brandId)}`)
  if (of === 'entries') where.add(`r.brand_id = ${where.bind(reader.brandId)}`)
  if (reader.profileIds) where.add(`r.profile_id = ANY(${where.bind(reader.profileIds)}::int[])`)
  if (reader.placeIds) where.add(`p.place_id = ANY(${where.bind(reader.placeIds)}::int[])`)
  const bind = (value: unknown) => where.bind(value)
  const query = { bind, context, at: 'r.hour', window: null, of } as const
  for (const { part, value } of askingParts({ ...lens, range: null })) {
    const condition = part.rollup?.(value, query)
    if (!condition) return null
    where.add(condition)
  }
  if (between)
    where.add(`r.hour >= ${bind(new Date(between.from))} AND r.hour < ${bind(new Date(between.to))}`)
  return { table: of === 'entries' ? 'rollups' : 'mention_rollups', where }
}
