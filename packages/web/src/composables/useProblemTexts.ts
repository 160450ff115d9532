import { useI18n } from 'vue-i18n'
import type { FieldProblem } from '@murrabel/contract'
import type { CallProblem } from '../api/call.ts'

/** What went wrong in the reader's language, where it is written there; else as the server says it. */
export function useProblemTexts() {
  const { t, te, locale } = useI18n()
  const known = (key: string) => te(key, locale.value)

  const sentence = ({ problem: { code, detail } }: CallProblem): string =>
    known(`problem.${code}`) ? t(`problem.${code}`) : detail
  const field = ({ code, message, value }: Pick<FieldProblem, 'code' | 'message' | 'value'>): string =>
    known(`problem.field.${code}`) ? t(`problem.field.${code}`, { v: value ?? '' }) : message
  /** One line for both: the first field that was refused says more than the sentence about all. */
  const line = (problem: CallProblem): string => {
    const first = problem.problem.fields?.[0]
    return first ? field(first) : sentence(problem)
  }
  return { sentence, field, line }
}
