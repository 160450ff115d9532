import { useI18n } from 'vue-i18n'
import { fieldReasons, reasonText, type FieldProblem, type RowProblem } from '@murrabel/contract'
import type { CallProblem } from '../api/call.ts'

/** What went wrong in the reader's language, where it is written there; else as the server says it. */
export function useProblemTexts() {
  const { t, te, locale } = useI18n()
  const known = (key: string) => te(key, locale.value)

  const sentence = ({ problem: { code, detail } }: CallProblem): string =>
    known(`problem.${code}`) ? t(`problem.${code}`) : detail
  type Told = Pick<FieldProblem, 'code' | 'message' | 'value' | 'values'>
  const field = ({ code, message, value, values }: Told): string =>
    known(`problem.field.${code}`) ? t(`problem.field.${code}`, { v: value ?? '', ...values }) : message
  /** Why a row of a file was refused or changed. */
  const row = ({ reason, values }: Pick<RowProblem, 'reason' | 'values'>): string =>
    // Files of earlier versions have kept the sentence itself.
    !Object.hasOwn(fieldReasons, reason)
      ? reason
      : field({ code: reason, message: reasonText(reason, values), values })
  /** One line for both: the first field that was refused says more than the sentence about all. */
  const line = (problem: CallProblem): string => {
    const first = problem.problem.fields?.[0]
    return first ? field(first) : sentence(problem)
  }
  return { sentence, field, row, line }
}
