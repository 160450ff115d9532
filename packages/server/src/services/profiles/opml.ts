import { XMLParser } from 'fast-xml-parser'
import { randomBytes } from 'node:crypto'
import type { OpmlAnswer } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import { checkAddress, InnerAddressError } from '../../connectors/index.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import { audit } from '../brand/audit.ts'

/** Feeds of one list: more than a team reads, and what one host of feeds may list. */
const feedLimit = 5000
const problemsShown = 200

interface ListedFeed {
  address: string
  title: string
}

const parser = new XMLParser({
  ignoreAttributes: false,
  attributeNamePrefix: '@',
  // Only the five entities of XML itself: declared ones may expand without end.
  processEntities: false,
  htmlEntities: false,
})

const entities: Record<string, string> = {
  '&amp;': '&',
  '&lt;': '<',
  '&gt;': '>',
  '&quot;': '"',
  '&apos;': "'",
}
const decode = (text: unknown) =>
  String(text ?? '').replace(/&(?:amp|lt|gt|quot|apos);/g, (e) => entities[e] ?? e)

/** The feeds of an OPML 2.0 list, outlines in outlines included, each address once. @throws Refusal opmlUnreadable */
export function readOpml(document: string): ListedFeed[] {
  if (/<!DOCTYPE/i.test(document.slice(0, 5000)) || /<!ENTITY/i.test(document))
    throw new Refusal('opmlUnreadable', {
      fields: [
        {
          field: 'document',
          code: 'doctype',
          message: 'The file declares entities of its own, which are not read. Export it again without them.',
        },
      ],
    })
  let root: { opml?: { body?: unknown } }
  try {
    root = parser.parse(document, true) as typeof root
  } catch (error) {
    throw new Refusal('opmlUnreadable', {}, { cause: error })
  }
  if (!root.opml?.body) throw new Refusal('opmlUnreadable')
  const feeds = new Map<string, ListedFeed>()
  // A stack and no recursion: nesting is the file's choice.
  const open: unknown[] = [root.opml.body]
  while (open.length) {
    const node = open.pop() as Record<string, unknown>
    const outlines = node?.outline
    for (const outline of Array.isArray(outlines) ? [...outlines].reverse() : outlines ? [outlines] : [])
      open.push(outline)
    const address = decode(node?.['@xmlUrl']).trim()
    if (address && !feeds.has(address))
      feeds.set(address, {
        address,
        title: decode(node['@title'] ?? node['@text'])
          .trim()
          .slice(0, 80),
      })
  }
  if (feeds.size > feedLimit)
    throw new Refusal('opmlUnreadable', {
      fields: [
        {
          field: 'document',
          code: 'tooMany',
          message: `The list has ${feeds.size} feeds; at most ${feedLimit} are taken. Split it.`,
          value: String(feeds.size),
        },
      ],
    })
  return [...feeds.values()]
}

/**
 * Takes in a list of feeds. Each is fetched later, in its turn: one that is dead shows so among the profiles and hinders
 * no other. Addresses that cannot be used are named.
 */
export async function importOpml(context: Context, reader: Reader, document: string): Promise<OpmlAnswer> {
  const { db, config, live } = context
  const feeds = readOpml(document)
  const problems: OpmlAnswer['problems'] = []
  const usable = feeds.flatMap((feed) => {
    try {
      const url = new URL(feed.address)
      checkAddress(url, config.allowedInnerAddresses)
      return [{ address: url.href, title: feed.title || url.host }]
    } catch (error) {
      const reason = error instanceof InnerAddressError ? 'lies inside our own network' : 'is no web address'
      problems.push({ address: feed.address.slice(0, 200), reason })
      return []
    }
  })
  const rows = await db.inTransaction(async (tx) => {
    const added = await db.rows<{ id: number }>(
      `INSERT INTO profiles (brand_id, channel, network, outside_id, name, url, status, hook_token)
       SELECT $1::int, 'news', 'feed', n.address, n.title, n.address, 'collecting', n.token FROM unnest($2::text[], $3::text[], $4::text[]) AS n (address, title, token)
       ON CONFLICT (brand_id, network, outside_id) DO NOTHING RETURNING id`,
      [
        reader.brandId,
        usable.map((f) => f.address),
        usable.map((f) => f.title),
        usable.map(() => randomBytes(18).toString('base64url')),
      ],
      tx,
    )
    await audit(db, reader, 'importFeeds', `brand ${reader.brandId}`, { added: added.length }, tx)
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
  const feeds = await db.rows<{ name: string; address: string }>(
    `SELECT name, outside_id AS address FROM profiles WHERE brand_id = $1 AND network = 'feed' AND status <> 'disconnected'
       AND ($2::int[] IS NULL OR id = ANY($2)) ORDER BY name COLLATE "und-x-icu"`,
    [reader.brandId, reader.profileIds],
  )
  const outlines = feeds.map(
    ({ name, address }) =>
      `    <outline type="rss" text="${escape(name)}" title="${escape(name)}" xmlUrl="${escape(address)}"/>`,
  )
  return `<?xml version="1.0" encoding="UTF-8"?>\n<opml version="2.0">\n  <head><title>Feeds</title></head>\n  <body>\n${outlines.join('\n')}\n  </body>\n</opml>\n`
}
