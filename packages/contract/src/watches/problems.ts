import { refusal, type RefusalKind } from '../shared/refusal.ts'

export const watchesProblems = {
  publicProfile: refusal(
    422,
    'This address cannot be looked at as a public profile. Nothing was added; the reason stands at the field.',
  ),
  sameThing: refusal(
    422,
    'This compares a thing with itself, so there is nothing to see. Choose another watch or another time.',
  ),
  watchesUnreadable: refusal(
    422,
    'The file holds no watches that can be read. Nothing was added; choose a file that was exported here.',
  ),
} satisfies Record<string, RefusalKind>
