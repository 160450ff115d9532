/** What entries say, summed up by clusters that may say the same: by story, by author, or by both. */
export interface ClusterSums {
  clusters: number
  /** Over the clusters: the square of positive less negative entries, that times all entries, and the square of all entries. */
  squares: number
  cross: number
  sizes: number
}

export interface Clusters {
  byStory: ClusterSums
  byAuthor: ClusterSums
  /** By author within story. */
  byBoth: ClusterSums
}

/**
 * How many entries that are independent of each other would say as much of the net sentiment as these do: copies of one story, and
 * what one author writes again, are no further voices. The variance of the mean over clusters of stories and of authors (Cameron, Gelbach and Miller
 * 2011), against that of entries which come alone.
 *
 * @returns 1 up to the number of entries; null when there is none
 */
export function independentEntries(
  { positive, neutral, negative }: { positive: number; neutral: number; negative: number },
  { byStory, byAuthor, byBoth }: Clusters,
): number | null {
  const n = positive + neutral + negative
  if (n === 0) return null
  const net = (positive - negative) / n
  const alone = ((positive + negative) / n - net ** 2) / n
  const of = ({ clusters, squares, cross, sizes }: ClusterSums) =>
    clusters > 1
      ? ((squares - 2 * net * cross + net ** 2 * sizes) / n ** 2) * (clusters / (clusters - 1))
      : Infinity
  // Of few clusters, or where all say the same, the variance tells nothing of how they hang together: then sizes do.
  const bySize = n ** 2 / Math.max(byStory.sizes, byAuthor.sizes)
  const [story, author, both] = [of(byStory), of(byAuthor), of(byBoth)]
  const together = Math.max(story, author, story + author - both)
  const byVariance = alone > 0 && Number.isFinite(together) && together > 0 ? (n * alone) / together : bySize
  const fewest = Math.min(byStory.clusters, byAuthor.clusters)
  const weight = fewest / (fewest + fewClusters)
  const found = Math.exp(weight * Math.log(byVariance) + (1 - weight) * Math.log(bySize))
  return Math.max(1, Math.min(n, found))
}

/** With so many clusters, sizes and variance have as much to say. */
const fewClusters = 15
