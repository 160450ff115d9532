import { refusal, type RefusalKind } from '../shared/refusal.ts'

export const hooksProblems = {
  hookOff: refusal(409, 'This address is switched off, so that nothing is sent to it. Switch it on first.'),
} satisfies Record<string, RefusalKind>
