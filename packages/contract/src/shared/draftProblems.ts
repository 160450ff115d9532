import { ValidationError, type AnySchema } from 'yup'
import type { FieldProblem } from '../problems.ts'
import { boundProblems, knownPart } from './bounds.ts'

/** What a schema has against a body, field by field, in the words and codes that the server answers with. */
export const fieldProblemsOf = (error: ValidationError): FieldProblem[] =>
  (error.inner.length ? error.inner : [error]).slice(0, 100).map(({ path, type, message }) => ({
    field: path ?? '',
    code: type ?? 'invalid',
    message,
  }))

/**
 * Checks a draft before it is sent, as the server will check it.
 *
 * @example draftProblems(groupSchema, { name: '' }) // [{ field: 'name', code: 'required', … }]
 */
export function draftProblems(schema: AnySchema, draft: unknown): FieldProblem[] {
  const outOfBounds = boundProblems(schema, draft)
  if (outOfBounds.length) return outOfBounds
  try {
    schema.validateSync(knownPart(schema, draft), { abortEarly: false, stripUnknown: true })
    return []
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error
    return fieldProblemsOf(error)
  }
}
