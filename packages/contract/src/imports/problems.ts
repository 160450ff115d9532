import { refusal, type RefusalKind } from '../shared/refusal.ts'

export const importsProblems = {
  importRunning: refusal(409, 'This file is being brought in already. Wait for it to end.'),
  csvUnreadable: refusal(422, 'The file is not a table of reviews that can be read. Nothing was added.'),
  chatFileUnreadable: refusal(
    422,
    'The file is no collection of conversations in ActivityStreams 2.0 (JSON). Nothing was added.',
  ),
  cardsUnreadable: refusal(
    422,
    'The file holds no cards of people (vCard) that can be read. Nothing was added.',
  ),
  historyProfileMissing: refusal(
    422,
    'Say of which e-mail address or chat these are the history. Nothing was added; connect it first if there is none.',
  ),
} satisfies Record<string, RefusalKind>
