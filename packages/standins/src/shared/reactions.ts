import { createHash } from 'node:crypto'

/** Somebody liked something, or passed it on. */
export interface ReactionRecord {
  op: 'reaction'
  id: string
  what: 'like' | 'share'
}

/** How often things were liked and shared: what visitors did, on top of what there was from the beginning. */
export class Reactions {
  private readonly counts = new Map<string, { like: number; share: number }>()

  add({ id, what }: ReactionRecord): void {
    const count = this.counts.get(id) ?? { like: 0, share: 0 }
    count[what]++
    this.counts.set(id, count)
  }

  /** As the sizes of the collections of ActivityStreams 2.0. @param seen how many saw it */
  of(id: string, seen = 0) {
    const chance = createHash('sha1').update(`liked ${id}`).digest()[0]! / 255
    const { like, share } = this.counts.get(id) ?? { like: 0, share: 0 }
    const sized = (totalItems: number) => ({ type: 'Collection', totalItems })
    return {
      likes: sized(Math.floor(seen * 0.03 * chance + 4 * chance ** 2) + like),
      shares: sized(Math.floor(seen * 0.004 * chance) + share),
    }
  }
}
