import { refusal, type RefusalKind } from '../shared/refusal.ts'

export const chatProblems = {
  chatUnknown: refusal(404, 'There is no chat of this key, or it is switched off.'),
  chatOrigin: refusal(
    403,
    'This chat may not stand on this page. Add the address of the site under Set up, Profiles.',
  ),
  chatTooFast: refusal(
    429,
    'That is more than can be taken at once. Nothing of it was kept; try again in a minute.',
    true,
  ),
  chatNotBegun: refusal(409, 'This conversation has not begun. Write something first.'),
  chatNoMail: refusal(409, 'This chat cannot go on by e-mail. Nothing was kept.'),
  chatMailProfile: refusal(422, 'A chat goes on by an e-mail profile of this brand. Connect one first.'),
} satisfies Record<string, RefusalKind>
