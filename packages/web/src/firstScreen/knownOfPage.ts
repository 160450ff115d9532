import { knownElement } from '@murrabel/contract'
import type { KnownAnswers } from './known.ts'

/**
 * What a page that the server drew was drawn from; null for a page that comes empty. It is taken out of the page: whoever signs
 * in after somebody else finds nothing of theirs.
 */
export function knownOfPage(): KnownAnswers | null {
  const element = document.getElementById(knownElement)
  element?.remove()
  return element?.textContent ? (JSON.parse(element.textContent) as KnownAnswers) : null
}
