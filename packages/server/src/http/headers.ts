import type { Request } from 'express'

/** Headers that came once, by name. */
export const headersOf = (req: Request): Record<string, string> =>
  Object.fromEntries(
    Object.entries(req.headers).flatMap(([name, value]) =>
      typeof value === 'string' ? [[name, value]] : [],
    ),
  )
