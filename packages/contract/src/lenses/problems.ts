import { refusal, type RefusalKind } from '../shared/refusal.ts'

export const lensesProblems = {
  manyLenses: refusal(
    409,
    'There are 100 of these lenses already. Remove one that nobody uses; nothing was changed.',
  ),
} satisfies Record<string, RefusalKind>
