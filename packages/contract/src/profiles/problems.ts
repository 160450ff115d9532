import { refusal, type RefusalKind } from '../shared/refusal.ts'

export const profilesProblems = {
  profileBroken: refusal(
    409,
    'The key of this profile has expired. Nothing was lost; renew it under Set up, Profiles.',
  ),
  profileDisconnected: refusal(
    409,
    'This profile is disconnected. Nothing was changed; connect it again under Set up, Profiles.',
  ),
  oauthRefused: refusal(
    400,
    'The network did not grant access. No profile was connected; start again from Set up, Profiles.',
  ),
  oauthState: refusal(
    400,
    'This answer does not belong to a connection you started, or it is older than ten minutes. Start again from Set up, Profiles.',
  ),
  networkUnknown: refusal(404, 'There is no network of this name here.'),
  networkDown: refusal(502, 'The network does not answer. Nothing was lost; try again in a minute.', true),
  rateLimited: refusal(503, 'The network asks us to wait. The work goes on by itself.', true),
  feedUnreadable: refusal(
    422,
    'What lies at this address is not RSS, Atom or JSON Feed. Nothing was added; check the address.',
  ),
  feedTooLarge: refusal(
    422,
    'This feed is larger than 10 MB and was not read. Ask its publisher for a shorter one.',
  ),
  feedAddress: refusal(422, 'This address cannot be used: only public http and https addresses are fetched.'),
  feedNotFetched: refusal(
    422,
    'The feed could not be fetched. Nothing was added; check the address, or try again later.',
    true,
  ),
  addressTaken: refusal(
    409,
    'Another brand here has this address already. Nothing was connected; disconnect it there first.',
  ),
  mailServer: refusal(
    422,
    'The mail server did not let us in. Nothing was connected; check the fields that are named, or try again later.',
    true,
  ),
  signatureWrong: refusal(401, 'The signature of this delivery is wrong or too old. It was not taken.'),
  opmlUnreadable: refusal(
    422,
    'The file is not a list of feeds (OPML) that can be read. Nothing was added; check the file.',
  ),
} satisfies Record<string, RefusalKind>
