import { refusal, type RefusalKind } from '../shared/refusal.ts'

export const attachmentsProblems = {
  attachmentGone: refusal(
    410,
    'This file is no longer in the store. Ask whoever runs the server for a backup of its files.',
  ),
  attachmentsTooLarge: refusal(
    422,
    'The files are too many or too large for this channel. Nothing was sent; take one away.',
  ),
  attachmentsNotTaken: refusal(
    422,
    'This channel takes no files with an answer. Nothing was sent; take them away.',
  ),
  attachmentLost: refusal(
    409,
    'A file that was to go with this answer is not here any more. Nothing was sent; add it again.',
  ),
  pictureNotFetched: refusal(
    422,
    'The picture could not be fetched, or is none. The mail is shown without it.',
    true,
  ),
} satisfies Record<string, RefusalKind>
