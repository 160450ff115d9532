import type { WatchQueryDraft } from '@murrabel/contract'

/** A watch that asks for nothing yet. */
export const blankQuery = (): WatchQueryDraft => ({
  anyOf: [],
  allOf: [],
  noneOf: [],
  links: [],
  near: [],
  voices: { only: [], without: [] },
  channels: [],
  languages: [],
})

/** A copy without reactivity, with every part there: older watches lack some. */
export const plainQuery = (query: Partial<WatchQueryDraft>): WatchQueryDraft => ({
  ...blankQuery(),
  ...(JSON.parse(JSON.stringify(query)) as Partial<WatchQueryDraft>),
})
