import type { ChatLineDraft } from '@murrabel/contract'
import type { CollectedItem, Connector } from '../contract.ts'

/** What a visitor of a site wrote into the chat box. */
export interface VisitorLine extends Omit<ChatLineDraft, 'token'> {
  visit: number
  /** Epoch milliseconds. */
  at: number
}

/** What binds the lines of a visit together. */
export const visitThread = (visit: number): string => `visit/${visit}`

/** A line of a visitor as an entry: the same id of the same visit is the same line. */
export const itemOfLine = ({ visit, id, text, name, page, language, at }: VisitorLine): CollectedItem => ({
  outsideId: `${visit}/${id}`,
  threadId: visitThread(visit),
  threadTitle: page.title || undefined,
  kind: 'message',
  direction: 'in',
  author: { outsideId: visitThread(visit), name: name || `Visitor ${visit}` },
  text,
  at,
  private: true,
  raw: { id, text, name, page, language },
})

/**
 * Chat on the brand's own site. The box asks this server itself, so that nothing has to be fetched, and an answer is outside
 * as soon as it stands in the thread: open boxes are told of it.
 */
export const chatConnector: Connector = {
  channel: 'chat',
  capabilities: {
    reply: true,
    replyLength: 2000,
    replyIsPublic: () => false,
    repliesTo: ['message'],
    changes: true,
    live: true,
    oauth: false,
    lookEverySeconds: 86_400,
  },
  collect: (_profile, cursor) =>
    Promise.resolve({ items: [], unread: [], cursor: cursor ?? '', more: false }),
  send: (_profile, { key }) => Promise.resolve({ outsideId: `answer/${key}`, at: Date.now() }),
  change: () => Promise.resolve(),
  takeBack: () => Promise.resolve(),
}
