const tracking = /^(?:utm_|mc_|pk_|ref$|ref_|referrer$|source$|campaign$|igsh|gclid|dclid|msclkid|yclid)/i

/**
 * The canonical form of a web address for matching: https, host in lower case without "www.", default port,
 * fragment, trailing slash and tracking parameters dropped, the rest of the query sorted.
 *
 * @returns null when the text is not a web address
 * @example canonicalLink('HTTP://www.Skerrivane.example:80/winter/?utm_source=x') === 'https://skerrivane.example/winter'
 */
export function canonicalLink(address: string): string | null {
  const withScheme = /^[a-z][a-z0-9+.-]*:\/\//i.test(address) ? address : `https://${address}`
  let url: URL
  try {
    url = new URL(withScheme)
  } catch {
    return null
  }
  if (url.protocol !== 'http:' && url.protocol !== 'https:') return null
  // "mailto:a@b" and the like: what stands before the @ is no host.
  if (url.username || url.password) return null
  const host = url.hostname
    .toLowerCase()
    .replace(/^www\./, '')
    .replace(/\.$/, '')
  if (!host.includes('.') && host !== 'localhost') return null
  const kept = [...url.searchParams]
    .filter(([name]) => !tracking.test(name))
    .sort(([a], [b]) => (a < b ? -1 : a > b ? 1 : 0))
  const query = kept.length ? `?${new URLSearchParams(kept).toString()}` : ''
  const port = url.port && url.port !== '80' && url.port !== '443' ? `:${url.port}` : ''
  return `https://${host}${port}${url.pathname.replace(/\/+$/, '')}${query}`
}

/**
 * Whether a link lies under a pattern: the same host or one of its subdomains, a path that starts with the pattern's path at a
 * "/" boundary, and what the pattern's query asks for. A pattern without a port suits any port.
 *
 * @example linkUnder('https://shop.orrin.example:8443/tickets/7', 'orrin.example/tickets') // true
 * @example linkUnder('https://orrin.example/see?page=2&boat=7', 'orrin.example/see?boat=7') // true
 */
export function linkUnder(link: string, pattern: string): boolean {
  const a = canonicalLink(link)
  const b = canonicalLink(pattern)
  if (!a || !b) return false
  const one = new URL(a)
  const two = new URL(b)
  if (one.hostname !== two.hostname && !one.hostname.endsWith(`.${two.hostname}`)) return false
  if (two.port && one.port !== two.port) return false
  for (const [name, value] of two.searchParams)
    if (!one.searchParams.getAll(name).includes(value)) return false
  const path = two.pathname.replace(/\/$/, '')
  return path === '' || one.pathname === path || one.pathname.startsWith(`${path}/`)
}
