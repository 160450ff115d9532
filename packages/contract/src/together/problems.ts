import { refusal, type RefusalKind } from '../shared/refusal.ts'

export const togetherProblems = {
  noteForNobody: refusal(
    409,
    'Not everybody whom the note names may see this thread. Nothing was kept and nobody was told; take their name out, or give them access.',
  ),
  noteOfAnother: refusal(403, 'Only whoever wrote a note changes it. Nothing was changed.'),
} satisfies Record<string, RefusalKind>
