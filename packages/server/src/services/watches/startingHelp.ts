import { startingTerms } from '@murrabel/core/tuner'
import type { ProposedWatch, StartingDraft } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { nameOfBrand, placeNames } from '../../store/queries/brand/brand.ts'

const bare = {
  anyOf: [],
  allOf: [],
  noneOf: [],
  near: [],
  links: [],
  voices: { only: [], without: [] },
  channels: [],
  languages: [],
}

/** Watches to begin with, from what is known of the brand and what its owner adds. */
export async function proposeWatches(
  { db }: Pick<Context, 'db'>,
  reader: Reader,
  draft: StartingDraft,
): Promise<ProposedWatch[]> {
  const [brand, places] = await Promise.all([nameOfBrand(db, reader.brandId), placeNames(db, reader.brandId)])
  return startingTerms({ ...draft, name: brand?.name ?? '', places: places.map((p) => p.name) }).map(
    ({ name, group, query }) => ({
      name,
      group,
      query: {
        ...bare,
        anyOf: [...(query.anyOf ?? [])],
        near: [...(query.near ?? [])],
        links: [...(query.links ?? [])],
      },
    }),
  )
}
