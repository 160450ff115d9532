import { randomBytes } from 'node:crypto'
import { chatPaths, type ChatSiteAnswer, type ChatSiteDraft } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import { chatByProfile, putChatSite } from '../../store/queries/chat/sites.ts'
import { lookOfBrand } from '../brand/index.ts'
import { readersProfile } from '../connections/index.ts'
import { record } from '../log/index.ts'
import { putProfile } from '../profiles/index.ts'

/** Puts a chat box on a site of the brand: a profile of its own. */
export async function addChat(
  context: Context,
  reader: Reader,
  draft: ChatSiteDraft,
): Promise<ChatSiteAnswer> {
  await checkMailProfile(context, reader, draft)
  const profileId = await putProfile(context, reader, {
    channel: 'chat',
    network: 'chat',
    outside: { outsideId: randomBytes(12).toString('base64url'), name: draft.name },
    key: null,
  })
  await putChatSite(context.db, { ...draft, profileId })
  await context.live.tell(reader.brandId, { kind: 'profiles' })
  return chatSettings(context, reader, profileId)
}

/** @throws Refusal notFound */
export async function chatSettings(context: Context, reader: Reader, id: number): Promise<ChatSiteAnswer> {
  const { name } = await readersProfile(context, reader, id)
  const site = await chatByProfile(context.db, id)
  if (!site) throw new Refusal('notFound')
  const { profileId, key, origins, answerWithin, mailProfileId, greeting } = site
  const { colour } = await lookOfBrand(context, reader.brandId)
  const painted = colour ? ` data-colour="${colour}"` : ''
  const tag = `<script src="${context.config.publicAddress}${chatPaths.box}" data-site="${key}"${painted} async></script>`
  return { profileId, key, name, origins, answerWithin, mailProfileId, greeting, tag }
}

/** @throws Refusal notFound, chatMailProfile */
export async function changeChat(
  context: Context,
  reader: Reader,
  id: number,
  draft: ChatSiteDraft,
): Promise<ChatSiteAnswer> {
  await chatSettings(context, reader, id)
  await checkMailProfile(context, reader, draft)
  await context.db.inTransaction(async (tx) => {
    await putChatSite(context.db, { ...draft, profileId: id }, tx)
    // One that was switched off is on again, under its old key.
    await context.models.Profile.update(
      { status: 'connected', error: null },
      { where: { id, status: 'disconnected' }, transaction: tx },
    )
    await record(context.db, reader, { kind: 'changeChat', on: ['profile', id], detail: {} }, tx)
    await context.live.tell(reader.brandId, { kind: 'profiles' }, tx)
  })
  return chatSettings(context, reader, id)
}

async function checkMailProfile(
  context: Context,
  reader: Reader,
  { mailProfileId }: ChatSiteDraft,
): Promise<void> {
  if (mailProfileId === null) return
  const profile = await readersProfile(context, reader, mailProfileId).catch(() => null)
  if (profile?.network !== 'email') throw new Refusal('chatMailProfile')
}
