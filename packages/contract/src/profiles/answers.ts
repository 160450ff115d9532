export type ProfileStatus = 'collecting' | 'connected' | 'expired' | 'disconnected' | 'failing'

export interface ProfileAnswer {
  id: number
  channel: string
  network: string
  name: string
  placeId: number | null
  url: string | null
  /** Of an e-mail profile: its address. */
  address: string | null
  status: ProfileStatus
  /** Entries of the history fetched so far, and in all where the network says it. */
  historyDone: number
  historyTotal: number | null
  entries: number
  /** Items that could not be read and are set apart. */
  apart: number
  collectedAt: string | null
  error: string | null
  capabilities: { reply: boolean; live: boolean; search: boolean }
}

/** An item that could not be read, stored or analysed. */
export interface ItemApart {
  id: number
  stage: 'read' | 'store' | 'analyse'
  reason: string
  at: string
  /** Beginning of its text, where it has one that can be shown. */
  text: string
  threadId: number | null
}

/** What became of a list of feeds. */
export interface OpmlAnswer {
  added: number
  known: number
  refused: number
  problems: { address: string; reason: string }[]
}

export interface NetworkAnswer {
  network: string
  name: string
  channel: string
  /** Accounts of one's own can be connected there. */
  accounts: boolean
  /** What anybody says there can be searched for. */
  search: boolean
  /** Accounts that are connected, and whether it is searched. */
  connectedProfiles: number
  searched: boolean
}
