/** Cells of an entry: the first number, the second, and what is kept of them. */
const cells = 4
const none = -1

/**
 * Numbers by two others: a hash table with open addressing (Knuth, The Art of Computer Programming 3, 6.4), at most half full,
 * in one piece of memory, so that a look touches little of it.
 */
export class PairTable {
  private readonly table: Int32Array
  private readonly mask: number

  /** @param entries each two numbers from 0, and the number to be found by them; a later one takes the place of an earlier */
  constructor(entries: readonly (readonly [first: number, second: number, kept: number])[]) {
    const size = 2 ** Math.ceil(Math.log2(Math.max(1, entries.length) * 2))
    this.mask = size - 1
    this.table = new Int32Array(size * cells).fill(none)
    for (const [first, second, kept] of entries) {
      const at = this.place(first, second)
      this.table[at] = first
      this.table[at + 1] = second
      this.table[at + 2] = kept
    }
  }

  /** @returns -1 for none */
  get(first: number, second: number): number {
    return this.table[this.place(first, second) + 2]!
  }

  /** Where two numbers stand, or would. */
  private place(first: number, second: number): number {
    const { table, mask } = this
    let slot = Math.imul(first, 0x9e3779b1) ^ Math.imul(second, 0x85ebca6b)
    slot = (slot ^ (slot >>> 15)) & mask
    while (true) {
      const at = slot * cells
      const held = table[at]!
      if (held === none || (held === first && table[at + 1] === second)) return at
      slot = (slot + 1) & mask
    }
  }
}
