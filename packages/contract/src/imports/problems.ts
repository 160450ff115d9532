import { refusal, type RefusalKind } from '../shared/refusal.ts'

export const importsProblems = {
  importRunning: refusal(409, 'This file is being brought in already. Wait for it to end.'),
  csvUnreadable: refusal(422, 'The file is not a table of reviews that can be read. Nothing was added.'),
} satisfies Record<string, RefusalKind>
