import { refusal, type RefusalKind } from '../shared/refusal.ts'

export const alertsProblems = {
  alertTooOften: refusal(
    422,
    'This alert would tell you too often to be of use. It was not saved; choose a rarer condition or a longer quiet time.',
  ),
} satisfies Record<string, RefusalKind>
