import type { Called } from '../../composables/useT.ts'

/** How a failed try is kept: what kind it was, and what the other side said, often with a status of HTTP before it. */
const kept =
  /^(transient|rateLimited|keyExpired|refused|gone|held|stopped|undelivered): ?(?:([1-5]\d\d)\b ?)?(.*)$/s

/** Why a reply did not go out, in the reader's words; what the network itself said stands as it said it. */
export function failureText(error: string, called: Called): string {
  const [, kind, status, said] = kept.exec(error) ?? []
  if (!kind) return error
  const own = [said, status && `(${status})`].filter(Boolean).join(' ')
  return [called('inbox.failure', kind), own].filter(Boolean).join(': ')
}
