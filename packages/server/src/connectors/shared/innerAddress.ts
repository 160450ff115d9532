import { lookup } from 'node:dns'
import ipaddr from 'ipaddr.js'
import { NetworkFailure } from './outcome.ts'

/** Addresses that are not the public internet's: loopback, private, link-local, reserved, and what maps to them. */
export function isInnerAddress(address: string): boolean {
  try {
    const parsed = ipaddr.process(address)
    if (parsed.range() !== 'unicast') return true
    // Of IPv6 only what is handed out for the internet (RFC 4291: 2000::/3): older notations hide inner IPv4 addresses.
    return parsed.kind() === 'ipv6' && (parsed.toByteArray()[0]! & 0xe0) !== 0x20
  } catch {
    return true
  }
}

export class InnerAddressError extends Error {
  override readonly name = 'InnerAddressError'
}

/** Whether a url may be fetched at all: http or https, no user name, and no inner address written out. */
export function checkAddress(url: URL, allowed: readonly string[]): void {
  if (url.protocol !== 'http:' && url.protocol !== 'https:')
    throw new InnerAddressError(`${url.protocol} addresses are not fetched`)
  if (url.username || url.password) throw new InnerAddressError('addresses with a user name are not fetched')
  if (allowed.includes(url.host)) return
  const host = url.hostname.replace(/^\[|\]$|\.$/g, '')
  if (
    host === 'localhost' ||
    host.endsWith('.localhost') ||
    host.endsWith('.internal') ||
    host.endsWith('.local')
  )
    throw new InnerAddressError(`${host} is an inner address`)
  if (ipaddr.isValid(host) && isInnerAddress(host)) throw new InnerAddressError(`${host} is an inner address`)
}

type LookupDone = (
  error: NodeJS.ErrnoException | null,
  addresses: { address: string; family: number }[],
) => void

type Resolve = (hostname: string, options: { all: true }, done: LookupDone) => void

/** A look-up of names that gives no inner address away: names that point inside are refused after they are resolved. */
export function guardedLookup(allowedHosts: readonly string[], resolve: Resolve = lookup) {
  return (hostname: string, _options: unknown, done: LookupDone): void => {
    resolve(hostname, { all: true }, (error, addresses) => {
      if (error) return done(error, [])
      const bad = allowedHosts.includes(hostname)
        ? undefined
        : addresses.find(({ address }) => isInnerAddress(address))
      if (bad)
        done(new InnerAddressError(`${hostname} points to an inner address`) as NodeJS.ErrnoException, [])
      else done(null, addresses)
    })
  }
}

/**
 * The address behind a host's name.
 *
 * @param allowed host:port pairs that may lie inside; undefined: any may
 * @throws NetworkFailure refused for inner addresses, transient when the name is not found
 */
export async function outerHost(
  name: string,
  port: number,
  allowed: readonly string[] | undefined,
): Promise<string> {
  const isAllowed = allowed === undefined || allowed.includes(`${name}:${port}`)
  try {
    if (!isAllowed) checkAddress(new URL(`https://${name}:${port}`), [])
    const found = await new Promise<{ address: string }[]>((resolve, reject) =>
      guardedLookup(isAllowed ? [name] : [])(name, {}, (error, addresses) =>
        error ? reject(error) : resolve(addresses),
      ),
    )
    if (found[0]) return found[0].address
    throw new Error(`${name} is not found`)
  } catch (error) {
    const inner = error instanceof InnerAddressError || error instanceof TypeError
    throw new NetworkFailure(inner ? 'refused' : 'transient', (error as Error).message, null, {
      cause: error,
      reached: false,
    })
  }
}
