import { randomBytes } from 'node:crypto'
import { cleanLine, cleanUrl } from '@murrabel/core/text'
import {
  type NetworkAnswer,
  type ProfileAnswer,
  type ProfileStatus,
  fieldProblem,
  type FieldReason,
  type ReasonValues,
} from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import { seal, unseal } from '../../access/seal.ts'
import {
  accountConnectorOf,
  connectorOf,
  FeedError,
  InnerAddressError,
  NetworkFailure,
  searchConnectorOf,
  searchId,
  TooLargeError,
  type OutsideProfile,
} from '../../connectors/index.ts'
import { freshWebhookSecret } from '../../access/webhookSecret.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import type { Tx } from '../../store/database.ts'
import {
  profilesSeenBy,
  countByNetwork,
  placeNamedIn,
  putProfileRow,
  setSearching,
} from '../../store/queries/profiles/profiles.ts'
import { endOutage } from '../../store/queries/profiles/outages.ts'
import { waitingActions } from '../../store/queries/actions/actions.ts'
import { record } from '../log/index.ts'
import { profileOwner } from '../actions/index.ts'
import {
  readersProfile,
  withProfileKey,
  sealKey,
  type ProfileKey,
  type Granted,
} from '../connections/index.ts'
import { collectOwner } from '../intake/index.ts'

export async function listProfiles({ db }: Pick<Context, 'db'>, reader: Reader): Promise<ProfileAnswer[]> {
  const rows = await profilesSeenBy(db, {
    brandId: reader.brandId,
    profileIds: reader.profileIds,
    placeIds: reader.placeIds,
  })
  return rows.map(({ outsideId, ...row }) => {
    const capabilities = connectorOf({ channel: row.channel, outsideId })?.capabilities
    return {
      ...row,
      address: row.network === 'email' ? outsideId : null,
      collectedAt: row.collectedAt?.toISOString() ?? null,
      capabilities: {
        reply: capabilities?.reply ?? false,
        live: capabilities?.live ?? false,
        search: capabilities?.search ?? false,
      },
    }
  })
}

export async function profileAnswer(context: Context, reader: Reader, id: number): Promise<ProfileAnswer> {
  const found = (await listProfiles(context, reader)).find((p) => p.id === id)
  if (!found) throw new Refusal('notFound')
  return found
}

export async function listNetworks({ db, config }: Context, reader: Reader): Promise<NetworkAnswer[]> {
  const counts = await countByNetwork(db, {
    brandId: reader.brandId,
    profileIds: reader.profileIds,
    placeIds: reader.placeIds,
  })
  return config.networks.map(({ network, name, channel }) => ({
    network,
    name,
    channel,
    accounts: accountConnectorOf(channel)?.capabilities.oauth ?? false,
    search: searchConnectorOf(channel) !== undefined,
    connectedProfiles: counts.find((c) => c.network === network)?.n ?? 0,
    searched: counts.some((c) => c.network === network && c.searched),
  }))
}

/** Takes in the profiles that a fresh key opens: new ones begin their history, known ones go on where they stopped. */
export async function takeGranted(
  context: Context,
  reader: Reader,
  { network, key }: Granted,
): Promise<number[]> {
  const connector = accountConnectorOf(network.channel)
  if (!connector?.profiles) throw new Refusal('networkUnknown')
  const found = await connector
    .profiles(network.address, key.access, context.httpFor(network.network))
    .catch((error: unknown) => {
      throw new Refusal('networkDown', {}, { cause: error })
    })
  const ids: number[] = []
  for (const outside of found) {
    const id = await putProfile(context, reader, {
      channel: network.channel,
      network: network.network,
      outside,
      key,
    })
    await subscribe(context, id)
    ids.push(id)
  }
  await context.live.tell(reader.brandId, { kind: 'profiles' })
  return ids
}

interface PutProfile {
  channel: string
  network: string
  outside: OutsideProfile
  key: ProfileKey | null
}

/** The profile and its place: a listing that bears a place's name belongs to that place. */
export async function putProfile(
  { db, config, due }: Context,
  reader: Reader,
  { channel, network, outside: given, key }: PutProfile,
): Promise<number> {
  const outside = {
    outsideId: cleanLine(given.outsideId, 300),
    name: cleanLine(given.name, 120) || network,
    url: cleanUrl(given.url) ?? null,
  }
  return db.inTransaction(async (tx) => {
    const place = await placeNamedIn(db, { brandId: reader.brandId, name: outside.name }, tx)
    const secret = freshWebhookSecret()
    const row = await putProfileRow(
      db,
      {
        brandId: reader.brandId,
        placeId: place?.id ?? null,
        channel,
        network,
        outsideId: outside.outsideId,
        name: outside.name,
        url: outside.url,
        sealedKey: key ? sealKey(key, config.sealingKey) : null,
        hookToken: randomBytes(18).toString('base64url'),
        sealedSecret: seal(secret, config.sealingKey),
      },
      tx,
    )
    await due.ask(
      { kind: 'collect', subject: row!.id, owner: collectOwner({ network, outsideId: outside.outsideId }) },
      tx,
    )
    // What waited for the key goes out now.
    const waiting = await waitingActions(db, row!.id, tx)
    await due.ask(
      waiting.map(({ id }) => ({ kind: 'act' as const, subject: id, owner: profileOwner(row!.id) })),
      tx,
    )
    await record(
      db,
      reader,
      { kind: 'connectProfile', on: ['profile', row!.id], detail: { name: outside.name, network } },
      tx,
    )
    return row!.id
  })
}

/** Asks the network to announce new entries; without that they are still fetched now and then. */
async function subscribe(context: Context, id: number): Promise<void> {
  const { models, config, log } = context
  const profile = await models.Profile.findByPk(id)
  const connector = profile && connectorOf(profile)
  if (!profile?.hookSecretSealed || !connector?.subscribe) return
  const secret = unseal(profile.hookSecretSealed, config.sealingKey)
  const subscription = { callback: `${config.publicAddress}/hooks/${profile.hookToken}`, secret }
  try {
    await withProfileKey(context, id, (p, http) => connector.subscribe!(p, subscription, http))
  } catch (error) {
    log.warn({ profile: id, message: (error as Error).message }, 'no webhook subscription')
  }
}

/** Begins to search a network for what the watches ask for. */
export async function connectSearch(
  context: Context,
  reader: Reader,
  network: string,
): Promise<ProfileAnswer> {
  const known = context.config.networks.find((n) => n.network === network)
  if (!known || !searchConnectorOf(known.channel)) throw new Refusal('networkUnknown')
  const id = await putProfile(context, reader, {
    channel: known.channel,
    network,
    outside: { outsideId: searchId, name: known.name, url: known.address },
    key: null,
  })
  await context.live.tell(reader.brandId, { kind: 'profiles' })
  return profileAnswer(context, reader, id)
}

/** Searches again soon, because a watch asks for something new. */
export async function searchSoon(
  { db, due }: Pick<Context, 'db' | 'due'>,
  brandId: number,
  tx: Tx,
): Promise<void> {
  const rows = await setSearching(db, { brandId, searchId }, tx)
  await due.ask(
    rows.map(({ id, network }) => ({ kind: 'collect' as const, subject: id, owner: network })),
    tx,
  )
}

/** Adds a feed by its address, after reading it once. */
export async function connectFeed(
  context: Context,
  reader: Reader,
  { address, name }: { address: string; name?: string },
): Promise<ProfileAnswer> {
  let url: URL
  try {
    url = new URL(/^[a-z]+:/i.test(address) ? address : `https://${address}`)
  } catch {
    throw new Refusal('feedAddress', {
      fields: [fieldProblem('address', 'noAddress', { value: address })],
    })
  }
  const title = await readFeedTitle(context, url.href)
  const id = await putProfile(context, reader, {
    channel: 'news',
    network: 'feed',
    outside: { outsideId: url.href, name: name?.trim() || title || url.host, url: url.href },
    key: null,
  })
  await context.live.tell(reader.brandId, { kind: 'profiles' })
  return profileAnswer(context, reader, id)
}

async function readFeedTitle(context: Context, address: string): Promise<string> {
  const http = context.httpFor(address)
  const refused = (
    code: 'feedAddress' | 'feedTooLarge' | 'feedUnreadable' | 'feedNotFetched',
    reason: FieldReason,
    error: unknown,
    values?: ReasonValues,
  ) =>
    new Refusal(
      code,
      { fields: [fieldProblem('address', reason, { value: address, values })] },
      { cause: error },
    )
  try {
    const { body } = await http.text(address, { headers: { accept: '*/*' }, maxBytes: 10_000_000 })
    const { title } = await context.fileWorker.ask({ kind: 'feed', document: body })
    return cleanLine(title, 80)
  } catch (error) {
    if (error instanceof InnerAddressError) throw refused('feedAddress', 'notPublic', error)
    if (error instanceof TooLargeError) throw refused('feedTooLarge', 'feedLarge', error)
    if (error instanceof FeedError) throw refused('feedUnreadable', error.reason, error)
    if (error instanceof NetworkFailure)
      throw refused('feedNotFetched', 'addressAnswered', error, { said: error.message })
    throw error
  }
}

/** Stops collecting and forgets the key; what was collected stays. */
export async function disconnectProfile(
  context: Context,
  reader: Reader,
  id: number,
): Promise<ProfileAnswer> {
  const { db, live, due } = context
  const profile = await readersProfile(context, reader, id)
  const connector = connectorOf(profile)
  if (connector?.unsubscribe && profile.status === 'connected')
    await withProfileKey(context, id, (p, http) => connector.unsubscribe!(p, http)).catch(() => {})
  await db.inTransaction(async (tx) => {
    await profile.update(
      { status: 'disconnected' satisfies ProfileStatus, keySealed: null, error: null },
      { transaction: tx },
    )
    await endOutage(db, { profileId: id, complete: !connector?.capabilities.passesBy }, tx)
    await due.drop('collect', [id], tx)
    await record(db, reader, { kind: 'disconnectProfile', on: ['profile', id] }, tx)
    await live.tell(reader.brandId, { kind: 'profiles' }, tx)
  })
  return profileAnswer(context, reader, id)
}

/** Fetches now what the schedule would fetch later. */
export async function collectNow(context: Context, reader: Reader, id: number): Promise<void> {
  const profile = await readersProfile(context, reader, id)
  if (profile.status === 'expired') throw new Refusal('profileBroken')
  if (profile.status === 'disconnected') throw new Refusal('profileDisconnected')
  await context.db.inTransaction(async (tx) => {
    if (profile.status === 'failing')
      await profile.update({ status: 'collecting', error: null }, { transaction: tx })
    // Not only brought forward: a wait after failures is over as well.
    await context.due.ask({ kind: 'collect', subject: id, owner: collectOwner(profile) }, tx)
  })
}
