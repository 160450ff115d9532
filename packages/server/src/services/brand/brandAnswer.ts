import type { BrandAnswer, ColleagueAnswer, PlaceAnswer } from '@murrabel/contract'
import { isLimited, type Reader } from '../../access/reader.ts'
import { connectorOf } from '../../connectors/index.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import { listGroups } from '../watches/groups.ts'
import { listTags } from '../inbox/tags.ts'
import { listWatches } from '../watches/watches.ts'

/** What every screen needs: the brand, its places, who works on it, its watches. */
export async function brandAnswer(context: Context, reader: Reader): Promise<BrandAnswer> {
  const { db, models } = context
  const [brand, me, colleagues, places, channels, watches, groups, aspects, tags] = await Promise.all([
    models.Brand.findByPk(reader.brandId),
    models.Colleague.findByPk(reader.colleagueId),
    db.rows<ColleagueAnswer>(
      'SELECT c.id, c.name, m.role FROM memberships m JOIN colleagues c ON c.id = m.colleague_id WHERE m.brand_id = $1 ORDER BY c.name COLLATE "und-x-icu"',
      [reader.brandId],
    ),
    db.rows<PlaceAnswer>(
      'SELECT id, name FROM places WHERE brand_id = $1 AND ($2::int[] IS NULL OR id = ANY($2)) ORDER BY id',
      [reader.brandId, reader.placeIds],
    ),
    db.rows<{ channel: string; n: number }>(
      'SELECT channel, count(*) AS n FROM profiles WHERE brand_id = $1 AND ($2::int[] IS NULL OR id = ANY($2)) AND ($3::int[] IS NULL OR place_id = ANY($3)) GROUP BY 1 ORDER BY 1',
      [reader.brandId, reader.profileIds, reader.placeIds],
    ),
    listWatches(context, reader),
    listGroups(context, reader),
    db.rows<{ id: number; name: string }>('SELECT id, name FROM aspects WHERE brand_id = $1 ORDER BY id', [
      reader.brandId,
    ]),
    listTags(context, reader),
  ])
  if (!brand || !me) throw new Refusal('notSignedIn')
  return {
    me: { id: me.id, name: me.name, email: me.email, role: reader.role, limited: isLimited(reader) },
    brand: { id: brand.id, name: brand.name, zone: brand.zone },
    places,
    colleagues,
    watches,
    groups,
    aspects,
    tags,
    channels: channels.map((c) => c.channel),
    answers: Object.fromEntries(
      channels.map(({ channel }) => {
        const connector = connectorOf(channel)
        return [channel, connector?.send ? [...connector.capabilities.repliesTo] : []]
      }),
    ),
    profileCount: channels.reduce((sum, c) => sum + c.n, 0),
  }
}
