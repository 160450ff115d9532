/** A lens over threads that somebody keeps under a name, for themselves or for the team. */
export interface KeptLens {
  id: number
  edition: number
  name: string
  /** As its address writes it, on top of a lens that asks for nothing. */
  lens: string
  /** The team's; otherwise one's own. */
  team: boolean
  /** Who made it; null where they are no longer here. */
  by: string | null
  /** Whoever asks may change and remove it. */
  changeable: boolean
}

/** Threads that wait for something. */
export interface WorkCount {
  count: number
  /** Of them, those whose answer should be there by now. */
  pastDue: number
  /** Of them, those whose answer is due later today, where the brand is. */
  dueToday: number
}

/**
 * What one's lenses show of the open threads: `whole` is what one may see of them, `none` what no lens shows, `again` how often threads
 * are counted again after the first lens that shows them. So `whole` is the sum over the lenses, less `again`, plus `none`; of what is
 * past due and due today as well.
 */
export interface LensCounts {
  whole: WorkCount
  none: WorkCount
  again: WorkCount
  lenses: { id: number; /** All that it shows. */ shown: number; open: WorkCount }[]
}
