import { ValidationError, type AnySchema } from 'yup'
import { boundProblems, fieldProblemsOf, knownPart } from '@murrabel/contract'
import { Refusal } from './problem.ts'

/** Checks a body against its schema. @throws Refusal invalid with every field that is wrong */
export async function checked<T>(schema: AnySchema, body: unknown): Promise<T> {
  const given = body ?? {}
  const problems = boundProblems(schema, given)
  if (problems.length) throw new Refusal('invalid', { fields: problems })
  try {
    return (await schema.validate(knownPart(schema, given), { abortEarly: false, stripUnknown: true })) as T
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error
    throw new Refusal('invalid', { fields: fieldProblemsOf(error) }, { cause: error })
  }
}
