import { createHmac } from 'node:crypto'
import { addBusinessMinutes, businessMinutesBetween } from '@murrabel/core/places'
import { cleanUrl } from '@murrabel/core/text'
import type { ChatLine, ChatLineDraft, ChatMailDraft, ChatStateAnswer } from '@murrabel/contract'
import { hashOf } from '../../access/sessions.ts'
import { itemOfLine, visitThread } from '../../connectors/index.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import { chatByKey, type ChatSite } from '../../store/queries/chat/sites.ts'
import {
  countLine,
  handOff,
  lineAt,
  setPresent,
  setVisitEmail,
  threadOfVisit,
  visitByToken,
  visitsFrom,
  type Visit,
} from '../../store/queries/chat/visits.ts'
import { lookOfBrand } from '../brand/index.ts'
import { businessHoursOf } from '../inbox/index.ts'
import { ingest } from '../intake/index.ts'

/** What one visitor may write, and how many visits may begin from one address in ten minutes. */
export const chatLimits = { linesAMinute: 20, linesADay: 500, visitsAnAddress: 30 } as const
const addressMinutes = 10
/** So long after it was heard of last a box counts as open. */
export const presentMs = 40_000
const minute = 60_000

/** The chat that a page asks for, when it may stand on that page. @throws Refusal chatUnknown, chatOrigin */
export async function chatOn({ db }: Context, key: string, origin: string | undefined): Promise<ChatSite> {
  const site = /^[\w-]{8,40}$/.test(key) ? await chatByKey(db, key) : undefined
  if (!site) throw new Refusal('chatUnknown')
  if (!origin || !site.origins.includes(origin)) throw new Refusal('chatOrigin')
  return site
}

/** What the box shows before a word is said. */
export async function chatState(context: Context, site: ChatSite): Promise<ChatStateAnswer> {
  const { db, now } = context
  const { brandId, brand, greeting, answerWithin, mailProfileId } = site
  const { withoutPlace: hours } = await businessHoursOf(db, brandId)
  const at = now()
  const open = businessMinutesBetween(at, at + minute, hours) > 0
  const { colour, logo } = await lookOfBrand(context, brandId)
  return {
    brand,
    colour,
    logo,
    greeting,
    open,
    opensAt: open ? null : new Date(addBusinessMinutes(at, 1, hours) - minute).toISOString(),
    answerWithin,
    byMail: mailProfileId !== null,
  }
}

/**
 * Takes a line of a visitor; the first begins their visit. The same line again is the same.
 *
 * @param address the visitor's network address, of which only a hash is kept
 * @throws Refusal chatTooFast
 */
export async function takeLine(
  context: Context,
  site: ChatSite,
  { token, ...draft }: ChatLineDraft,
  address: string,
): Promise<ChatLine> {
  const { db, now } = context
  const { profileId } = site
  const tokenHash = hashOf(token)
  const sent = (at: number): ChatLine => ({
    id: draft.id,
    from: 'visitor',
    name: '',
    text: draft.text,
    at: new Date(at).toISOString(),
    byMail: false,
  })
  const before = await visitByToken(db, { profileId, tokenHash })
  if (before) {
    const known = await lineAt(db, { profileId, outsideId: `${before.id}/${draft.id}` })
    if (known) return sent(known.at.getTime())
  }
  const at = now()
  if (before && !isInPace(before, at, 1)) throw new Refusal('chatTooFast')
  const visit = await countedVisit(context, site, { draft, tokenHash, address, isNew: !before, at })
  const item = itemOfLine({ ...draft, name: draft.name || visit.name || '', visit: visit.id, at })
  await ingest(context, { ...site, id: profileId, channel: 'chat', outsideId: site.key }, [item])
  return sent(at)
}

/** Whether so many lines more may come now. */
function isInPace({ minuteAt, minuteLines, dayAt, dayLines }: Visit, at: number, more: number): boolean {
  const left = (since: Date, ms: number, lines: number, most: number) =>
    at - since.getTime() >= ms || lines + more <= most
  return (
    left(minuteAt, minute, minuteLines, chatLimits.linesAMinute) &&
    left(dayAt, 1440 * minute, dayLines, chatLimits.linesADay)
  )
}

/** The visit with this line counted. @throws Refusal chatTooFast, and nothing is counted */
async function countedVisit(
  { db, config }: Context,
  { profileId }: ChatSite,
  line: {
    draft: Omit<ChatLineDraft, 'token'>
    tokenHash: Buffer
    address: string
    isNew: boolean
    at: number
  },
): Promise<Visit> {
  const { draft, tokenHash, at } = line
  const addressHash = createHmac('sha256', config.sealingKey).update(line.address).digest()
  return db.inTransaction(async (tx) => {
    const begun = line.isNew
      ? await visitsFrom(db, { profileId, addressHash, minutes: addressMinutes }, tx)
      : 0
    if (begun >= chatLimits.visitsAnAddress) throw new Refusal('chatTooFast')
    const visit = await countLine(
      db,
      {
        profileId,
        tokenHash,
        addressHash,
        name: draft.name || null,
        language: /^[a-z]{2,3}(?![a-z])/i.exec(draft.language)?.[0].toLowerCase() ?? null,
        page: { url: cleanUrl(draft.page.url) ?? null, title: draft.page.title || null },
        at: new Date(at),
        presentUntil: new Date(at + presentMs),
      },
      tx,
    )
    // It is among those counted.
    if (!isInPace(visit!, at, 0)) throw new Refusal('chatTooFast')
    return visit!
  })
}

/** The visit that a box belongs to. @throws Refusal chatNotBegun */
export async function visitOf({ db }: Context, site: ChatSite, token: string): Promise<Visit> {
  const visit = await visitByToken(db, { profileId: site.profileId, tokenHash: hashOf(token) })
  if (!visit) throw new Refusal('chatNotBegun')
  return visit
}

/** Goes on by e-mail: answers go to this address when the box is closed. @throws Refusal chatNoMail, chatNotBegun */
export async function takeMail(
  context: Context,
  site: ChatSite,
  { token, email, name }: ChatMailDraft,
): Promise<void> {
  const { db, live, now } = context
  const { mailProfileId, profileId } = site
  if (mailProfileId === null) throw new Refusal('chatNoMail')
  const visit = await visitOf(context, site, token)
  await db.inTransaction(async (tx) => {
    await setVisitEmail(db, { id: visit.id, email, name: name || null }, tx)
    const thread = await handOff(
      db,
      {
        profileId,
        thread: visitThread(visit.id),
        byProfile: mailProfileId,
        address: email,
        name: name || visit.name || '',
        subject: site.name,
        presentUntil: new Date(now() + presentMs),
      },
      tx,
    )
    if (!thread) throw new Refusal('chatNotBegun')
    await live.tell(site.brandId, { kind: 'thread', threads: [thread.threadId] }, tx)
  })
}

/** Tells the team that a visitor is there, writes, or has gone. */
export async function noteVisitor(
  { db, live, now }: Context,
  { profileId, brandId }: ChatSite,
  visit: Visit,
  { typing = false, gone = false }: { typing?: boolean; gone?: boolean },
): Promise<void> {
  const thread = visitThread(visit.id)
  if (!typing)
    await setPresent(db, {
      id: visit.id,
      thread,
      profileId,
      until: new Date(now() + (gone ? 0 : presentMs)),
    })
  const row = await threadOfVisit(db, { profileId, thread })
  if (row) await live.tell(brandId, { kind: 'visitor', threads: [row.id], typing, present: !gone })
}
