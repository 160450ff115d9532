/** Places of texts by a number; most numbers have one place, which is kept without a list. */
export class Shelves {
  private readonly places = new Map<number, number | number[]>()

  add(key: number, place: number): void {
    const shelf = this.places.get(key)
    if (shelf === undefined) this.places.set(key, place)
    else if (typeof shelf === 'number') this.places.set(key, [shelf, place])
    else shelf.push(place)
  }

  /** The places of each number that has some, those added last at the end; the shortest shelves first. */
  of(keys: readonly number[]): (readonly number[])[] {
    const shelves: (readonly number[])[] = []
    for (const key of keys) {
      const shelf = this.places.get(key)
      if (shelf !== undefined) shelves.push(typeof shelf === 'number' ? [shelf] : shelf)
    }
    return shelves.sort((a, b) => a.length - b.length)
  }
}
