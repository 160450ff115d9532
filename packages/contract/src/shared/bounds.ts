import type { AnySchema } from 'yup'
import type { FieldProblem } from '../problems.ts'

/** A schema as it describes itself, as far as it is looked at here. */
interface Described {
  type: string
  nullable?: boolean
  fields?: Record<string, Described>
  innerType?: Described
  tests?: { name?: string; params?: Record<string, unknown> }[]
}

const known = new WeakMap<AnySchema, Described>()
/** Problems that are told of one body; more help nobody. */
const mostTold = 20

/**
 * What of a body has the wrong kind, or more elements or characters than it may have: looked at before anything inside is
 * checked, so that a body costs no more than its limits allow. Kinds are taken as they are: a number is no text.
 */
export function boundProblems(schema: AnySchema, body: unknown): FieldProblem[] {
  const problems: FieldProblem[] = []
  look(describedOf(schema), body, '', problems)
  return problems
}

function describedOf(schema: AnySchema): Described {
  let described = known.get(schema)
  if (!described) known.set(schema, (described = schema.describe() as unknown as Described))
  return described
}

/**
 * The part of a body that its schema knows, copied: names such as "constructor" mean something to whoever looks fields up
 * without care.
 */
export const knownPart = (schema: AnySchema, body: unknown): unknown => copyKnown(describedOf(schema), body)

function copyKnown({ fields, innerType }: Described, value: unknown): unknown {
  if (innerType && Array.isArray(value)) return value.map((each) => copyKnown(innerType, each))
  if (!fields || typeof value !== 'object' || value === null || Array.isArray(value)) return value
  return Object.fromEntries(
    Object.entries(fields).flatMap(([name, inner]) =>
      Object.hasOwn(value, name) ? [[name, copyKnown(inner, (value as Record<string, unknown>)[name])]] : [],
    ),
  )
}

const kinds: Record<string, { fits(value: unknown): boolean; message: string }> = {
  string: { fits: (value) => typeof value === 'string', message: 'This must be text.' },
  number: {
    fits: (value) => typeof value === 'number' && Number.isFinite(value),
    message: 'This must be a number.',
  },
  boolean: { fits: (value) => typeof value === 'boolean', message: 'This must be yes or no.' },
  array: { fits: Array.isArray, message: 'This must be a list.' },
  object: {
    fits: (value) => typeof value === 'object' && value !== null && !Array.isArray(value),
    message: 'This must be an object.',
  },
}

function look(
  { type, fields, innerType, tests = [] }: Described,
  value: unknown,
  field: string,
  told: FieldProblem[],
): void {
  // What is missing or empty is the schema's own affair.
  if (value === undefined || value === null || told.length >= mostTold) return
  const kind = kinds[type]
  if (kind && !kind.fits(value)) return void told.push({ field, code: 'typeError', message: kind.message })
  const most = tests.find(({ name }) => name === 'max')?.params?.max
  if (typeof most === 'number' && isLonger(value, most))
    return void told.push({ field, code: 'max', message: tooLong(value, most) })
  if (innerType && Array.isArray(value)) lookInto(innerType, value, field, told)
  if (fields && typeof value === 'object')
    for (const [name, inner] of Object.entries(fields))
      if (Object.hasOwn(value, name))
        look(inner, (value as Record<string, unknown>)[name], field ? `${field}.${name}` : name, told)
}

/** Lists are taken at their word; texts are cleaned before they are measured, so that some more than fits may come in. */
const isLonger = (value: unknown, most: number): value is string | unknown[] =>
  Array.isArray(value) ? value.length > most : typeof value === 'string' && value.length > most * 2 + 10

function lookInto(inner: Described, list: readonly unknown[], field: string, told: FieldProblem[]): void {
  for (const [i, each] of list.entries()) {
    if (told.length >= mostTold) return
    const at = `${field}[${i}]`
    if (each === null && inner.type !== 'mixed')
      told.push({ field: at, code: 'typeError', message: 'This must not be empty.' })
    else look(inner, each, at, told)
  }
}

const tooLong = (value: string | unknown[], most: number) =>
  typeof value === 'string'
    ? `This has ${value.length} characters; at most ${most} are taken.`
    : `This list has ${value.length} entries; at most ${most} are taken.`
