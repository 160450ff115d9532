import type { CollectedItem, Connector, ConnectorProfile } from '../contract.ts'
import { putPictures } from './media.ts'
import { NetworkFailure } from './outcome.ts'

interface NotePlaces<Activity> {
  /** Where notes are published. */
  stream(profile: ConnectorProfile): string
  /** Where pictures are put that a note shows, where there are such. */
  media?(profile: ConnectorProfile): string
  /** One note of ours, for its owner. */
  own(profile: ConnectorProfile, entryId: string): string
  /** The public id of a note. */
  note(profile: ConnectorProfile, entryId: string): string
  itemOf(activity: Activity, profile: ConnectorProfile): CollectedItem | null
}

/** Notes of ours as ActivityStreams 2.0: sent, changed, and taken away. */
export const ownNotes = <Activity>({
  stream,
  media,
  own,
  note,
  itemOf,
}: NotePlaces<Activity>): Required<Pick<Connector, 'send' | 'change' | 'takeBack'>> => ({
  async send(profile, action, http) {
    const pictures = media
      ? await putPictures(action.files, { address: media(profile), token: profile.accessToken }, http)
      : []
    const activity = await http.json<Activity>(stream(profile), {
      method: 'POST',
      token: profile.accessToken,
      headers: { 'idempotency-key': action.key },
      body: {
        type: 'Create',
        object: {
          type: 'Note',
          content: action.text,
          mediaType: 'text/plain',
          inReplyTo: note(profile, action.entryId),
          ...(pictures.length ? { attachment: pictures } : {}),
          ...(action.privatelyTo
            ? { to: [`${profile.address}/people/${encodeURIComponent(action.privatelyTo)}`] }
            : {}),
        },
      },
    })
    const item = itemOf(activity, profile)
    if (!item) throw new NetworkFailure('transient', 'the answer could not be read')
    return { outsideId: item.outsideId, url: item.url, at: item.at }
  },
  async change(profile, { entryId, text }, http) {
    await http.json(own(profile, entryId), {
      method: 'PUT',
      token: profile.accessToken,
      body: { type: 'Update', object: { content: text, mediaType: 'text/plain' } },
    })
  },
  async takeBack(profile, { entryId }, http) {
    await http
      .json(own(profile, entryId), { method: 'DELETE', token: profile.accessToken })
      .catch((error: unknown) => {
        if (!(error instanceof NetworkFailure) || error.kind !== 'gone') throw error
      })
  },
})
