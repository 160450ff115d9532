import { refusal, type RefusalKind } from '../shared/refusal.ts'

export const personalDataProblems = {
  answerUnderWay: refusal(
    409,
    'An answer to them is on its way right now. Nothing was erased; wait a moment and ask again.',
  ),
  erasedAlready: refusal(409, 'Their data was erased already. Nothing was changed.'),
} satisfies Record<string, RefusalKind>
