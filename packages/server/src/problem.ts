import type { ErrorCode, FieldProblem } from '@murrabel/contract'

/** An expected refusal: carries a code of the catalogue. Anything else that is thrown is a fault of ours. */
export class Refusal extends Error {
  override readonly name = 'Refusal'
  constructor(
    readonly code: ErrorCode,
    readonly more: { fields?: FieldProblem[]; detail?: string } = {},
    options?: ErrorOptions,
  ) {
    super(code, options)
  }
}
