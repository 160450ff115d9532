import { ImapFlow } from 'imapflow'
import type { CollectedPage, CollectTools, ConnectorProfile, NetworkHttp, UnreadPart } from '../contract.ts'
import { partsOfMail } from './mailItem.ts'
import { mailFailure, mailTimeouts, type MailServer } from './mailSettings.ts'
import { mailLimits } from './readMail.ts'

/** Mails of a page, and their bytes together. */
const page = { mails: 50, bytes: 20_000_000 } as const

/** Opens a mailbox for reading, does something with it, and leaves it as it was: no mail is marked as read. */
export async function inMailbox<T>(
  server: MailServer,
  http: NetworkHttp,
  act: (client: ImapFlow) => Promise<T>,
): Promise<T> {
  const client = new ImapFlow({
    host: await http.host(server.host, server.port),
    servername: server.host,
    port: server.port,
    secure: server.secure,
    auth: { user: server.user, pass: server.password },
    logger: false,
    disableAutoIdle: true,
    connectionTimeout: mailTimeouts.connectMs,
    greetingTimeout: mailTimeouts.connectMs,
    socketTimeout: mailTimeouts.socketMs,
  })
  // What breaks between two commands is met by the next one.
  client.on('error', () => {})
  try {
    await client.connect()
    const result = await act(client)
    await client.logout()
    return result
  } catch (error) {
    client.close()
    throw mailFailure(error)
  }
}

/** Where a folder was left: UIDs count up for as long as it keeps its UIDVALIDITY (RFC 9051, 2.3.1.1). */
interface FolderPlace {
  validity: string
  uid: number
}
/** What came, and what we sent with whatever program. */
type Place = Record<'inbox' | 'sent', FolderPlace>

const begin: FolderPlace = { validity: '', uid: 0 }

function placeOf(cursor: string | null): Place {
  try {
    return { inbox: begin, sent: begin, ...(JSON.parse(cursor ?? '{}') as Partial<Place>) }
  } catch {
    return { inbox: begin, sent: begin }
  }
}

/** Tries whether the inbox opens. */
export const checkMailbox = (server: MailServer, http: NetworkHttp): Promise<void> =>
  inMailbox(server, http, async (client) => {
    await client.mailboxOpen('INBOX', { readOnly: true })
  })

/** Whether a mail lies among what was sent, where the server keeps that. */
export const liesInSent = (server: MailServer, messageId: string, http: NetworkHttp): Promise<boolean> =>
  inMailbox(server, http, async (client) => {
    const sent = await sentFolder(client)
    if (!sent) return false
    await client.mailboxOpen(sent, { readOnly: true })
    const found = await client.search({ header: { 'message-id': messageId } }, { uid: true })
    return found !== false && found !== undefined && found.length > 0
  })

/** The folder that the server marks as what was sent (RFC 6154). */
const sentFolder = async (client: ImapFlow): Promise<string | undefined> =>
  (await client.list()).find(({ specialUse }) => specialUse === '\\Sent')?.path

/** The next mails after the cursor, oldest first: of the inbox, then of the folder that servers mark as what was sent. */
export function collectMailbox(
  profile: ConnectorProfile,
  server: MailServer,
  cursor: string | null,
  http: NetworkHttp,
  tools: CollectTools,
): Promise<CollectedPage> {
  return inMailbox(server, http, async (client) => {
    const place = placeOf(cursor)
    const result: CollectedPage = { items: [], unread: [], reports: [], cursor: '', more: false, total: 0 }
    const sent = await sentFolder(client)
    for (const [name, path] of [['inbox', 'INBOX'] as const, ...(sent ? [['sent', sent] as const] : [])]) {
      const read = await readFolder(client, path, place[name], async (bytes) =>
        partsOfMail(await tools.readMail(bytes), profile, { isOurs: name === 'sent' }),
      )
      place[name] = read.place
      result.items.push(...read.items)
      result.unread.push(...read.unread)
      result.reports!.push(...read.reports)
      result.more ||= read.more
      result.total! += read.total
    }
    return { ...result, cursor: JSON.stringify(place) }
  })
}

interface FolderPage extends Required<
  Pick<CollectedPage, 'items' | 'unread' | 'reports' | 'more' | 'total'>
> {
  place: FolderPlace
}

async function readFolder(
  client: ImapFlow,
  path: string,
  place: FolderPlace,
  read: (bytes: Uint8Array) => Promise<ReturnType<typeof partsOfMail>>,
): Promise<FolderPage> {
  const { uidValidity, exists } = await client.mailboxOpen(path, { readOnly: true })
  const validity = String(uidValidity)
  const after = place.validity === validity ? place.uid : 0
  // A range that ends with a star holds the last mail, however old it is.
  const found = (await client.search({ uid: `${after + 1}:*` }, { uid: true })) || []
  const fresh = found.filter((uid) => uid > after).sort((a, b) => a - b)
  const result: FolderPage = {
    items: [],
    unread: [],
    reports: [],
    more: false,
    total: exists,
    place: { validity, uid: after },
  }
  let bytes = 0
  for (const [uid, size] of await sizesOf(client, fresh.slice(0, page.mails))) {
    if (bytes && bytes + size > page.bytes) break
    bytes += size
    result.place = { validity, uid }
    const part = await readOne(client, { uid, size }, read)
    if (!part) continue
    if ('reason' in part) result.unread.push({ ...part, outsideId: `${path}/${validity}/${uid}` })
    else {
      result.items.push(...part.items)
      result.reports.push(...(part.reports ?? []))
    }
  }
  return { ...result, more: fresh.some((uid) => uid > result.place.uid) && result.place.uid > after }
}

/** One mail; null: it was deleted since it was listed. */
async function readOne(
  client: ImapFlow,
  { uid, size }: { uid: number; size: number },
  read: (bytes: Uint8Array) => Promise<ReturnType<typeof partsOfMail>>,
): Promise<ReturnType<typeof partsOfMail> | Omit<UnreadPart, 'outsideId'> | null> {
  const raw = { uid, size }
  if (size > mailLimits.bytes)
    return { raw, reason: `it has ${size} bytes; at most ${mailLimits.bytes} are read` }
  const message = await client.fetchOne(uid, { source: true }, { uid: true })
  if (!message || !message.source) return null
  try {
    return await read(new Uint8Array(message.source))
  } catch (error) {
    return { raw, reason: (error as Error).message }
  }
}

async function sizesOf(client: ImapFlow, uids: readonly number[]): Promise<[number, number][]> {
  if (!uids.length) return []
  const rows = await client.fetchAll([...uids], { uid: true, size: true }, { uid: true })
  return rows.map(({ uid, size }): [number, number] => [uid, size ?? 0]).sort(([a], [b]) => a - b)
}
