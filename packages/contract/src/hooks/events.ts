/** What another program can hear of. */
export const hookEvents = [
  /** Entries came in and were read; some in one message. */
  'entries.read',
  'thread.answered',
  'thread.assigned',
  'thread.setAside',
  'thread.finished',
  'thread.reopened',
  'thread.tagged',
  /** An answer has arrived on its network, or will not. */
  'answer.sent',
  'answer.failed',
  'followUp.made',
  'followUp.done',
  'person.changed',
  'person.joined',
  'person.erased',
  'profile.connected',
  'profile.disconnected',
  'colleague.joined',
  'colleague.left',
] as const
export type HookEvent = (typeof hookEvents)[number]
