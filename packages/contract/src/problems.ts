import { absencesProblems } from './absences/problems.ts'
import { alertsProblems } from './alerts/problems.ts'
import { approvalsProblems } from './approvals/problems.ts'
import { attachmentsProblems } from './attachments/problems.ts'
import { brandProblems } from './brand/problems.ts'
import { chatProblems } from './chat/problems.ts'
import { entriesProblems } from './entries/problems.ts'
import { hooksProblems } from './hooks/problems.ts'
import { importsProblems } from './imports/problems.ts'
import { inboxProblems } from './inbox/problems.ts'
import { keysProblems } from './keys/problems.ts'
import { lensesProblems } from './lenses/problems.ts'
import { peopleProblems } from './people/problems.ts'
import { personalDataProblems } from './personalData/problems.ts'
import { placesProblems } from './places/problems.ts'
import { colleaguesProblems } from './colleagues/problems.ts'
import { profilesProblems } from './profiles/problems.ts'
import { repliesProblems } from './replies/problems.ts'
import { sharedProblems } from './shared/problems.ts'
import { togetherProblems } from './together/problems.ts'
import { todayProblems } from './today/problems.ts'
import { watchesProblems } from './watches/problems.ts'
import type { RefusalKind } from './shared/refusal.ts'

/** Every refusal by its code, which callers branch on. */
export const errorCatalogue = {
  ...sharedProblems,
  ...brandProblems,
  ...entriesProblems,
  ...inboxProblems,
  ...lensesProblems,
  ...togetherProblems,
  ...repliesProblems,
  ...approvalsProblems,
  ...todayProblems,
  ...colleaguesProblems,
  ...absencesProblems,
  ...placesProblems,
  ...personalDataProblems,
  ...keysProblems,
  ...hooksProblems,
  ...peopleProblems,
  ...watchesProblems,
  ...alertsProblems,
  ...profilesProblems,
  ...importsProblems,
  ...attachmentsProblems,
  ...chatProblems,
} satisfies Record<string, RefusalKind>

export type ErrorCode = keyof typeof errorCatalogue

/** One field that was refused, with why and the value in question. */
export interface FieldProblem {
  field: string
  /** A stable name of the reason, such as "required" or "nothingAsked". */
  code: string
  message: string
  value?: string
  /** Figures and names of the reason, for a sentence in another language. */
  values?: Record<string, string | number>
}

/** RFC 9457 problem details, with our code and the fields. */
export interface Problem {
  type: string
  title: string
  status: number
  code: ErrorCode
  detail: string
  fields?: FieldProblem[]
  instance?: string
}

export function problemOf(
  code: ErrorCode,
  { fields, detail, instance }: { fields?: FieldProblem[]; detail?: string; instance?: string } = {},
): Problem {
  const { status, sentence } = errorCatalogue[code]
  return {
    type: `urn:murrabel:problem:${code}`,
    title: code,
    status,
    code,
    detail: detail ?? sentence,
    fields,
    instance,
  }
}
