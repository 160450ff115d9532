import type { WatchAnswer, WatchQueryDraft } from '@murrabel/contract'

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

/** What the sheet of a watch edits. */
export interface WatchSheetDraft {
  name: string
  groupId: number | null
  answered: boolean
  query: WatchQueryDraft
}
export const watchDraftOf = (watch: WatchAnswer | null): WatchSheetDraft => ({
  name: watch?.name ?? '',
  groupId: watch?.groupId ?? null,
  answered: watch?.answered ?? false,
  query: plainQuery(watch?.query ?? {}),
})

/** What a watch without a name is called. */
export const firstTermOf = (query: WatchQueryDraft): string =>
  [...query.anyOf, ...query.allOf, ...query.near.map((pair) => pair.first)][0]?.text ?? query.links[0] ?? ''
