import { randomBytes } from 'node:crypto'
import type { OpmlAnswer } from '@murrabel/contract'
import { cutText } from '@murrabel/core/text'
import type { Reader } from '../../access/reader.ts'
import { checkAddress, InnerAddressError } from '../../connectors/index.ts'
import type { Context } from '../../context.ts'
import { addFeeds, feedsOfBrand } from '../../store/queries/profiles/feeds.ts'
import { record } from '../log/index.ts'
import { collectOwner } from '../intake/index.ts'

const problemsShown = 200

/**
 * Takes in a list of feeds. Each is fetched later, in its turn: one that is dead shows so among the profiles and hinders
 * no other. Addresses that cannot be used are named.
 */
export async function importOpml(context: Context, reader: Reader, document: string): Promise<OpmlAnswer> {
  const { db, config, live, due } = context
  const feeds = await context.fileWorker.ask({ kind: 'opml', document })
  const problems: OpmlAnswer['problems'] = []
  const usable = feeds.flatMap((feed) => {
    try {
      const url = new URL(feed.address)
      checkAddress(url, config.allowedInnerAddresses)
      return [{ address: url.href, title: feed.title || url.host }]
    } catch (error) {
      const reason = error instanceof InnerAddressError ? 'lies inside our own network' : 'is no web address'
      problems.push({ address: cutText(feed.address, 200), reason })
      return []
    }
  })
  const rows = await db.inTransaction(async (tx) => {
    const added = await addFeeds(
      db,
      {
        brandId: reader.brandId,
        addresses: usable.map((f) => f.address),
        titles: usable.map((f) => f.title),
        hookTokens: usable.map(() => randomBytes(18).toString('base64url')),
      },
      tx,
    )
    await due.ask(
      added.map(({ id, outsideId }) => ({
        kind: 'collect' as const,
        subject: id,
        owner: collectOwner({ network: 'feed', outsideId }),
      })),
      tx,
    )
    await record(
      db,
      reader,
      { kind: 'importFeeds', on: ['brand', reader.brandId], detail: { added: added.length } },
      tx,
    )
    await live.tell(reader.brandId, { kind: 'profiles' }, tx)
    return added
  })
  return {
    added: rows.length,
    known: usable.length - rows.length,
    refused: problems.length,
    problems: problems.slice(0, problemsShown),
  }
}

const escape = (text: string) =>
  text.replace(/[&<>"]/g, (c) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[c] ?? c)

/** The brand's feeds as OPML 2.0. */
export async function exportOpml({ db }: Pick<Context, 'db'>, reader: Reader): Promise<string> {
  const feeds = await feedsOfBrand(db, {
    brandId: reader.brandId,
    profileIds: reader.profileIds,
    placeIds: reader.placeIds,
  })
  const outlines = feeds.map(
    ({ name, address }) =>
      `    <outline type="rss" text="${escape(name)}" title="${escape(name)}" xmlUrl="${escape(address)}"/>`,
  )
  return `<?xml version="1.0" encoding="UTF-8"?>\n<opml version="2.0">\n  <head><title>Feeds</title></head>\n  <body>\n${outlines.join('\n')}\n  </body>\n</opml>\n`
}
