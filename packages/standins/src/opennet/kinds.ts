/** What tells one open network from another. */
export interface OpenNetKind {
  name: string
  /** Type of a post in ActivityStreams 2.0; answers are Notes everywhere. */
  type: 'Note' | 'Image' | 'Video' | 'Page'
  /** Posts have a title. */
  titled: boolean
  /** Characters of a post. */
  longest: number
  /** People write to accounts in private. */
  messages: boolean
}

export const openNets = {
  skimmer: { name: 'Skimmer', type: 'Note', titled: false, longest: 300, messages: true },
  framelet: { name: 'Framelet', type: 'Image', titled: false, longest: 2200, messages: true },
  reelbarn: { name: 'Reelbarn', type: 'Video', titled: true, longest: 5000, messages: false },
  talkstead: { name: 'Talkstead', type: 'Page', titled: true, longest: 20_000, messages: false },
} as const satisfies Record<string, OpenNetKind>
export type OpenNetName = keyof typeof openNets
