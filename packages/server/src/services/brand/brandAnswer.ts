import type { BrandAnswer } from '@murrabel/contract'
import { isLimited, type Reader } from '../../access/reader.ts'
import { accountConnectorOf } from '../../connectors/index.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import {
  aspectsOfBrand,
  brandsOf,
  colleaguesOfBrand,
  visibleChannels,
  visiblePlaces,
} from '../../store/queries/brand/brand.ts'
import { teamsOf } from '../../store/queries/absences/teams.ts'
import { listGroups, listWatches } from '../watches/index.ts'
import { listTags } from '../inbox/index.ts'

/** What every screen needs: the brand, its places, who works on it, its watches. */
export async function brandAnswer(context: Context, reader: Reader): Promise<BrandAnswer> {
  const { db, models } = context
  const [brand, me, brands, colleagues, teams, places, channels, watches, groups, aspects, tags] =
    await Promise.all([
      models.Brand.findByPk(reader.brandId),
      models.Colleague.findByPk(reader.colleagueId),
      brandsOf(db, reader.colleagueId),
      colleaguesOfBrand(db, reader.brandId),
      teamsOf(db, reader.brandId),
      visiblePlaces(db, reader),
      visibleChannels(db, reader),
      listWatches(context, reader),
      listGroups(context, reader),
      aspectsOfBrand(db, reader.brandId),
      listTags(context, reader),
    ])
  if (!brand || !me) throw new Refusal('notSignedIn')
  return {
    me: { id: me.id, name: me.name, email: me.email, role: reader.role, limited: isLimited(reader) },
    brand: { id: brand.id, name: brand.name, zone: brand.zone },
    brands,
    places,
    colleagues,
    teams,
    watches,
    groups,
    aspects,
    tags,
    channels: channels.map((c) => c.channel),
    answers: Object.fromEntries(
      channels.map(({ channel, accounts }) => {
        const connector = accounts ? accountConnectorOf(channel) : undefined
        return [channel, connector?.send ? [...connector.capabilities.repliesTo] : []]
      }),
    ),
    profileCount: channels.reduce((sum, c) => sum + c.n, 0),
  }
}
