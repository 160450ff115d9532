/** A question to the database: what to read, with its bound values. */
export interface AskedElsewhere {
  sql: string
  values: unknown[]
}
