import { refusal, type RefusalKind } from '../shared/refusal.ts'

export const entriesProblems = {
  lensUnknown: refusal(
    422,
    'The address holds a lens that cannot be read. The parts named here were not understood.',
  ),
} satisfies Record<string, RefusalKind>
