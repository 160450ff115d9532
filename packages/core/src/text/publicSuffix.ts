import { parse } from 'tldts-icann'

/**
 * Whether a host is an ending under which anybody may have a name ("co.uk"): too wide to be watched.
 *
 * @example isPublicSuffix('co.uk') // true
 */
export function isPublicSuffix(host: string): boolean {
  return host.includes('.') && parse(host).publicSuffix === host
}
