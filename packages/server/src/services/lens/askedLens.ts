import { blankLens, lensTest, parseLens, type Lens, type LensContext } from '@murrabel/core/lens'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import { firstHeard } from '../../store/queries/entries/firstHeard.ts'
import { groupMembers } from '../../store/queries/watches/groupMembers.ts'
import { keptLensTexts } from '../../store/queries/lenses/keptLenses.ts'
import { keptLensOf } from './keptLenses.ts'
import { zoneOfBrand } from '../../store/queries/brand/brand.ts'

type Parts = Pick<Context, 'db' | 'now'>

/** The lens an address asks for. @throws Refusal lensUnknown, naming each part that cannot be read */
export function lensOf(
  query: Record<string, unknown>,
  of: 'said' | 'people' | 'followUps' | 'log' = 'said',
): Lens {
  const pairs = Object.entries(query).flatMap(([name, value]): [string, string][] =>
    typeof value === 'string' ? [[name, value]] : [[name, '\u0000']],
  )
  const unit = of !== 'said' ? of : query.unit === 'threads' ? 'threads' : 'entries'
  return readLens(pairs, unit)
}

/** A lens as its address writes it, on top of one that asks for nothing. @throws Refusal lensUnknown, naming each part that cannot be read */
export function readLens(pairs: Iterable<readonly [string, string]>, unit: Lens['unit']): Lens {
  const { lens, problems } = parseLens(pairs, { ...blankLens, unit })
  if (problems.length)
    throw new Refusal('lensUnknown', {
      fields: problems.map(({ field, value }) => ({
        field,
        code: 'unknown',
        message: `"${value}" is not understood here.`,
        value,
      })),
    })
  return lens
}

export async function lensContext({ db, now }: Parts, reader: Reader): Promise<LensContext> {
  const [brand, groups, since, kept] = await Promise.all([
    zoneOfBrand(db, reader.brandId),
    groupMembers(db, reader.brandId),
    firstHeard(db, reader.brandId),
    keptLensTexts(db, reader),
  ])
  const context: LensContext = {
    now: now(),
    zone: brand?.zone ?? 'UTC',
    me: reader.colleagueId,
    doubtBelow: brand?.doubtBelow ?? 0,
    since,
    watchesOf: (group) => groups.get(group) ?? [],
  }
  return { ...context, keptLenses: kept.map(({ lens }) => lensTest(keptLensOf(lens), context)) }
}
