import { knownElement } from '@murrabel/contract'
import type { KnownAnswers } from './known.ts'

/** What a page that the server drew was drawn from; null for a page that comes empty. */
export function knownOfPage(): KnownAnswers | null {
  const text = document.getElementById(knownElement)?.textContent
  return text ? (JSON.parse(text) as KnownAnswers) : null
}
