import type { HookEvent, LogKind } from '@murrabel/contract'
import type { LogSubject } from '@murrabel/core/lens'

/** Of what the log tells, that which other programs can hear of. */
const events: Partial<Record<`${LogSubject} ${LogKind}`, HookEvent>> = {
  'thread reply': 'thread.answered',
  'thread replyAndFinish': 'thread.answered',
  'thread give': 'thread.assigned',
  'thread setAside': 'thread.setAside',
  'thread finish': 'thread.finished',
  'thread reopen': 'thread.reopened',
  'thread incoming': 'thread.reopened',
  'thread sendFailed': 'answer.failed',
  'thread tag': 'thread.tagged',
  'thread addFollowUp': 'followUp.made',
  'thread finishFollowUp': 'followUp.done',
  'person addPerson': 'person.changed',
  'person changePerson': 'person.changed',
  'person joinPeople': 'person.joined',
  'person erasePerson': 'person.erased',
  'profile connectProfile': 'profile.connected',
  'profile disconnectProfile': 'profile.disconnected',
  'colleague join': 'colleague.joined',
  'colleague leave': 'colleague.left',
}

export const hookEventOf = (subject: LogSubject, kind: LogKind): HookEvent | undefined =>
  events[`${subject} ${kind}`]
