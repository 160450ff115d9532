import { refusal, type RefusalKind } from '../shared/refusal.ts'

export const inboxProblems = {
  noMailProfile: refusal(
    422,
    'Answers by e-mail go out from an e-mail profile. Nothing was changed; connect an address first.',
  ),
  replyTooLong: refusal(422, 'The reply is longer than this channel takes. It was not sent; shorten it.'),
  threadChanged: refusal(
    409,
    'A colleague acted on this thread while you wrote. Nothing was sent; your text is kept. Look at the thread, then send again.',
  ),
  reportNotPossible: refusal(409, 'This network takes no reports of this. Nothing was sent.'),
  cannotRegroup: refusal(
    409,
    'Only mails of one address can be brought into one thread or taken apart, and the first of a thread stays where it is. Nothing was changed.',
  ),
  replyNotPossible: refusal(409, 'This channel takes no reply here. Nothing was sent.'),
  contactStopped: refusal(
    409,
    'They asked to hear nothing more from you here. Nothing was sent; another way may be open.',
  ),
  alreadySent: refusal(409, 'This reply has already gone out and can no longer be withdrawn.'),
  beingSent: refusal(409, 'This reply is on its way right now. Wait a moment and look again.'),
  maybeSent: refusal(
    409,
    'The network did not confirm this reply, so it may be public. Trying again is safe: it appears only once. To withdraw it anyway, say so.',
  ),
  calledBack: refusal(
    409,
    'This reply was withdrawn already. Nothing was changed; write it again to send it.',
  ),
  keyUsed: refusal(
    409,
    'A reply was already sent from this window with another text or in another thread. Nothing was sent now; your text is kept. Send it again.',
  ),
  undoTooLate: refusal(
    409,
    'Something newer has happened on this thread, so this can no longer be undone. Nothing was changed.',
  ),
} satisfies Record<string, RefusalKind>
