import { Feed } from 'feed'
import { blankLens, type Lens } from '@murrabel/core/lens'
import { cleanUrl, shortened } from '@murrabel/core/text'
import type { FeedAddresses } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import { readerOfMember } from '../../access/sessions.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import { entryPage } from '../../store/queries/entries/entryPage.ts'
import { alertAnswer, secretToken } from './alerts.ts'
import { feedAddresses } from './feedAddresses.ts'
import {
  watchFeedToken,
  setWatchFeed,
  setAlertFeed,
  alertByToken,
  eventsOfFeed,
  watchByToken,
} from '../../store/queries/alerts/feeds.ts'
import { record } from '../log/index.ts'
import { lensContext } from '../lens/index.ts'

const shown = 50

/** The secret addresses of a watch's feeds, as they are. */
export async function watchFeedState(
  { db, config }: Pick<Context, 'db' | 'config'>,
  reader: Reader,
  watchId: number,
): Promise<FeedAddresses> {
  const row = await watchFeedToken(db, { watchId, brandId: reader.brandId })
  if (!row) throw new Refusal('notFound')
  return feedAddresses(config, row.token)
}

/** Makes the secret addresses of a watch's feeds, new ones each time, or switches them off: the old are valid no more. */
export async function watchFeed(
  { db, config }: Pick<Context, 'db' | 'config'>,
  reader: Reader,
  watchId: number,
  on: boolean,
): Promise<FeedAddresses> {
  const token = on ? secretToken() : null
  await db.inTransaction(async (tx) => {
    const rows = await setWatchFeed(
      db,
      { watchId, brandId: reader.brandId, token, colleagueId: on ? reader.colleagueId : null },
      tx,
    )
    if (!rows.length) throw new Refusal('notFound')
    await record(db, reader, { kind: on ? 'watchFeed' : 'watchFeedOff', on: ['watch', watchId] }, tx)
  })
  return feedAddresses(config, token)
}

/** The same of an alert's feeds. */
export async function alertFeedAddresses(
  context: Pick<Context, 'db' | 'config'>,
  reader: Reader,
  alertId: number,
  on: boolean,
): Promise<FeedAddresses> {
  const { db, config } = context
  await alertAnswer(context, reader, alertId)
  const token = on ? secretToken() : null
  await db.inTransaction(async (tx) => {
    await setAlertFeed(db, { alertId, token }, tx)
    await record(db, reader, { kind: on ? 'alertFeed' : 'alertFeedOff', on: ['alert', alertId] }, tx)
  })
  return feedAddresses(config, token)
}

/** A feed by its secret token, as Atom or JSON Feed. @throws Refusal when no alert or watch has this token (any more) */
export async function feedOf(
  context: Pick<Context, 'db' | 'config' | 'now'>,
  token: string,
  format: 'atom' | 'json',
): Promise<string> {
  const feed = (await alertFeed(context, token)) ?? (await mentionFeed(context, token))
  if (!feed) throw new Refusal('notFound')
  return format === 'atom' ? feed.atom1() : feed.json1()
}

function emptyFeed({ config }: Pick<Context, 'config'>, token: string, title: string, updated: Date): Feed {
  const address = `${config.publicAddress}/feeds/${token}`
  return new Feed({
    id: `urn:murrabel:feed:${token.slice(0, 8)}`,
    title,
    link: config.publicAddress,
    updated,
    generator: 'Murrabel',
    copyright: '',
    feedLinks: { atom: `${address}.atom`, json: `${address}.json` },
  })
}

/** XML 1.0 knows no control characters; texts from outside may hold some. */
// eslint-disable-next-line no-control-regex -- these are what is taken away
const safe = (text: string) => text.replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]/g, '')

async function alertFeed(context: Pick<Context, 'db' | 'config'>, token: string): Promise<Feed | null> {
  const alert = await alertByToken(context.db, token)
  if (!alert) return null
  const events = await eventsOfFeed(context.db, alert.id)
  const feed = emptyFeed(
    context,
    token,
    safe(`${alert.name}: ${alert.brand}`),
    events[0]?.at ?? alert.createdAt,
  )
  for (const { id, at, detail } of events)
    feed.addItem({
      id: `urn:murrabel:alert:${alert.id}:${id}`,
      title: safe(detail.text),
      link: context.config.publicAddress + detail.link,
      date: at,
      content: safe(
        [
          detail.text,
          ...(detail.phrases?.length ? [`What is said: ${detail.phrases.join(', ')}.`] : []),
        ].join(' '),
      ),
    })
  return feed
}

async function mentionFeed(
  context: Pick<Context, 'db' | 'config' | 'now'>,
  token: string,
): Promise<Feed | null> {
  const { db, config } = context
  const watch = await watchByToken(db, token)
  const reader = watch?.by ? await readerOfMember(db, watch.by, watch.brandId) : null
  if (!watch || !reader) return null
  const lens: Lens = { ...blankLens, watch: watch.id }
  const page = await entryPage(db, {
    lens,
    context: await lensContext(context, reader),
    reader,
    after: null,
    limit: 2 * shown,
  })
  // Whoever has the address reads it: private messages stay inside.
  const rows = page.rows.filter((row) => !row.private).slice(0, shown)
  const updated = rows[0] ? new Date(rows[0].at) : watch.updatedAt
  const feed = emptyFeed(context, token, safe(`${watch.name}: ${watch.brand}`), updated)
  for (const row of rows)
    feed.addItem({
      id: `urn:murrabel:entry:${row.id}`,
      title: safe(row.title ?? shortened(row.text, 80)),
      link:
        cleanUrl(row.url) ??
        `${config.publicAddress}/inbox/${row.threadId}?state=any&given=anybody&kind=all&time=all`,
      date: new Date(row.at),
      content: safe(row.text),
      author: row.author ? [{ name: safe(row.author) }] : [],
    })
  return feed
}
