/** What happened to something on a network, in the order in which whoever listens hears of it. */
export interface StreamEvent<Item> {
  type: 'Create' | 'Update' | 'Delete'
  /** ISO 8601. */
  at: string
  /** As it was then; of what was deleted, as it last was. */
  item: Item
}
