/** What a caller may branch on. The sentence is for the person: what happened, what was kept, what to do. */
interface CatalogueEntry {
  status: number
  /** English; the web puts its own language's message of the same code over it. */
  sentence: string
  /** Whether a job should try again. */
  retry: boolean
}

const entry = (status: number, sentence: string, retry = false): CatalogueEntry => ({
  status,
  sentence,
  retry,
})

export const errorCatalogue = {
  invalid: entry(
    422,
    'Some of what was given cannot be used. Nothing was changed; mend the fields named here and send it again.',
  ),
  signInFailed: entry(401, 'E-mail address and password do not belong together. Check both and try again.'),
  notSignedIn: entry(
    401,
    'You are not signed in, or your session has ended. Sign in again; what you typed is still here.',
  ),
  notAllowed: entry(403, 'Your role does not allow this. Nothing was changed; ask an owner or a lead.'),
  limitedAccess: entry(
    403,
    'Your access is limited to some places or profiles, and this concerns the whole brand. Nothing was changed; ask somebody who sees all of it.',
  ),
  foreignOrigin: entry(403, 'The request came from another site and was refused. Nothing was changed.'),
  notFound: entry(404, 'This is not here, or not open to you. It may have been deleted.'),
  tooMany: entry(429, 'Too many tries in a short time. Wait a minute and try again.', true),
  tooLarge: entry(
    413,
    'The file is larger than can be taken. Nothing was kept; split it and send the parts.',
  ),
  unreadableBody: entry(400, 'The request could not be read: its body is not valid. Nothing was changed.'),
  lensUnknown: entry(
    422,
    'The address holds a lens that cannot be read. The parts named here were not understood.',
  ),
  replyTooLong: entry(422, 'The reply is longer than this channel takes. It was not sent; shorten it.'),
  threadChanged: entry(
    409,
    'A colleague acted on this thread while you wrote. Nothing was sent; your text is kept. Look at the thread, then send again.',
  ),
  replyNotPossible: entry(409, 'This channel takes no reply here. Nothing was sent.'),
  alreadySent: entry(409, 'This reply has already gone out and cannot be called back.'),
  beingSent: entry(409, 'This reply is on its way right now. Wait a moment and look again.'),
  maybeSent: entry(
    409,
    'The network never said whether it took this reply, so it may be public. Trying again is safe: it appears once. To call it back anyway, say so.',
  ),
  calledBack: entry(
    409,
    'This reply was called back already. Nothing was changed; write it again to send it.',
  ),
  keyUsed: entry(
    409,
    'A reply was already sent from this window with another text or in another thread. Nothing was sent now; your text is kept. Send it again.',
  ),
  changedMeanwhile: entry(
    409,
    'Somebody changed this while you had it open. Nothing was saved; your version is still here. Load it again to see theirs.',
  ),
  tooMuch: entry(
    503,
    'This took longer than may be waited for. Nothing was changed; choose a shorter time or a narrower lens.',
    true,
  ),
  databaseAway: entry(
    503,
    'The database does not answer just now. Nothing was lost; this page tries again by itself.',
    true,
  ),
  undoTooLate: entry(
    409,
    'Something newer has happened on this thread, so this can no longer be undone. Nothing was changed.',
  ),
  profileBroken: entry(
    409,
    'The key of this profile has expired. Nothing was lost; renew it under Set up, Profiles.',
  ),
  profileDisconnected: entry(
    409,
    'This profile is disconnected. Nothing was changed; connect it again under Set up, Profiles.',
  ),
  importRunning: entry(409, 'This file is being brought in already. Wait for it to end.'),
  oauthRefused: entry(
    400,
    'The network did not grant access. No profile was connected; start again from Set up, Profiles.',
  ),
  oauthState: entry(
    400,
    'This answer does not belong to a connection you started, or it is older than ten minutes. Start again from Set up, Profiles.',
  ),
  networkUnknown: entry(404, 'There is no network of this name here.'),
  networkDown: entry(502, 'The network does not answer. Nothing was lost; try again in a minute.', true),
  publicProfile: entry(
    422,
    'This address cannot be looked at as a public profile. Nothing was added; the reason stands at the field.',
  ),
  rateLimited: entry(503, 'The network asks us to wait. The work goes on by itself.', true),
  feedUnreadable: entry(
    422,
    'What lies at this address is not RSS, Atom or JSON Feed. Nothing was added; check the address.',
  ),
  feedTooLarge: entry(
    422,
    'This feed is larger than 10 MB and was not read. Ask its publisher for a shorter one.',
  ),
  feedAddress: entry(422, 'This address cannot be used: only public http and https addresses are fetched.'),
  feedNotFetched: entry(
    422,
    'The feed could not be fetched. Nothing was added; check the address, or try again later.',
    true,
  ),
  signatureWrong: entry(401, 'The signature of this delivery is wrong or too old. It was not taken.'),
  csvUnreadable: entry(422, 'The file is not a table of reviews that can be read. Nothing was added.'),
  sameThing: entry(
    422,
    'This compares a thing with itself, so there is nothing to see. Choose another watch or another time.',
  ),
  watchesUnreadable: entry(
    422,
    'The file holds no watches that can be read. Nothing was added; choose a file that was exported here.',
  ),
  opmlUnreadable: entry(
    422,
    'The file is not a list of feeds (OPML) that can be read. Nothing was added; check the file.',
  ),
  alertTooOften: entry(
    422,
    'This alert would tell you too often to be of use. It was not saved; choose a rarer condition or a longer quiet time.',
  ),
  running: entry(409, 'This is already running. Wait for it to end.'),
  broken: entry(
    500,
    'The server met a fault and noted it. Nothing you typed was lost; try again, and tell us the number below if it stays.',
    true,
  ),
} satisfies Record<string, CatalogueEntry>

export type ErrorCode = keyof typeof errorCatalogue

/** One field that was refused, with why and the value in question. */
export interface FieldProblem {
  field: string
  /** A stable name of the reason, such as "required" or "nothingAsked". */
  code: string
  message: string
  value?: string
}

/** RFC 9457 problem details, with our code and the fields. */
export interface Problem {
  type: string
  title: string
  status: number
  code: ErrorCode
  detail: string
  fields?: FieldProblem[]
  instance?: string
}

export function problemOf(
  code: ErrorCode,
  { fields, detail, instance }: { fields?: FieldProblem[]; detail?: string; instance?: string } = {},
): Problem {
  const { status, sentence } = errorCatalogue[code]
  return {
    type: `urn:murrabel:problem:${code}`,
    title: code,
    status,
    code,
    detail: detail ?? sentence,
    fields,
    instance,
  }
}
