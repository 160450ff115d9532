import { refusal, type RefusalKind } from '../shared/refusal.ts'

export const todayProblems = {
  manyLines: refusal(409, 'Your list has 200 lines already. Remove what is done; nothing was changed.'),
} satisfies Record<string, RefusalKind>
