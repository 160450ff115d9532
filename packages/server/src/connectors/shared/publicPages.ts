import type { NetworkHttp } from '../contract.ts'
import { NetworkFailure } from './outcome.ts'

/** More pages than this are not read of one list. */
const pageLimit = 200

/** A link found in an answer, which may lead nowhere but to the network itself. */
export function linkWithin(network: string, link: unknown, base: string): string {
  const found = typeof link === 'string' && URL.canParse(link, base) ? new URL(link, base) : null
  if (!found || found.origin !== new URL(network).origin)
    throw new NetworkFailure('refused', 'this is no public profile of the network')
  return found.href
}

/** Every page of a public list, oldest first. */
export async function everyPage<P extends { next?: string }>(
  http: NetworkHttp,
  { network, first, accept }: { network: string; first: string; accept: string },
): Promise<P[]> {
  const pages: P[] = []
  for (let url: string | null = first; url && pages.length < pageLimit;) {
    const page: P = await http.json<P>(url, { headers: { accept } })
    pages.push(page)
    url = page.next === undefined ? null : linkWithin(network, page.next, url)
  }
  return pages
}
