import {
  computed,
  inject,
  onScopeDispose,
  provide,
  shallowReactive,
  type ComputedRef,
  type InjectionKey,
} from 'vue'
import type { FieldProblem } from '@murrabel/contract'

interface FormFields {
  problems: ComputedRef<readonly FieldProblem[]>
  /** Names of the fields that show their problems themselves, each with how often it is there. */
  shown: Map<string, number>
}

const key: InjectionKey<FormFields> = Symbol('fields of a form')

/** Whether a problem belongs to a field: its own, or that of a part of it. */
const belongs = (problem: FieldProblem, name: string) =>
  problem.field === name || problem.field.startsWith(`${name}.`) || problem.field.startsWith(`${name}[`)

/** Called by a form: its fields show what is wrong with them. Gives what no field shows. */
export function provideFields(problems: ComputedRef<readonly FieldProblem[]>): ComputedRef<FieldProblem[]> {
  const shown = shallowReactive(new Map<string, number>())
  provide(key, { problems, shown })
  return computed(() =>
    problems.value.filter((problem) => ![...shown.keys()].some((name) => belongs(problem, name))),
  )
}

/** Called by a field of a form. Outside a form nothing is wrong with it. */
export function useFieldProblems(name: string): ComputedRef<FieldProblem[]> {
  const form = name ? inject(key, null) : null
  if (!form) return computed(() => [])
  form.shown.set(name, (form.shown.get(name) ?? 0) + 1)
  onScopeDispose(() => {
    const left = (form.shown.get(name) ?? 1) - 1
    if (left) form.shown.set(name, left)
    else form.shown.delete(name)
  })
  return computed(() => form.problems.value.filter((problem) => belongs(problem, name)))
}
