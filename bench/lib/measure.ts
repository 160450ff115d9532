export interface Figure {
  name: string
  value: string
  /** What it is held against, in the same run. */
  baseline?: string
  ratio?: string
  /** What is aimed at. */
  aim?: string
}

/** Milliseconds of one call: the best of several rounds, each long enough to be measured. */
export function msPerCall(
  call: () => void,
  { rounds = 5, minMs = 150 }: { rounds?: number; minMs?: number } = {},
): number {
  call()
  let best = Infinity
  for (let r = 0; r < rounds; r++) {
    let calls = 0
    const began = performance.now()
    do {
      call()
      calls++
    } while (performance.now() - began < minMs)
    best = Math.min(best, (performance.now() - began) / calls)
  }
  return best
}

export function percentile(values: readonly number[], share: number): number {
  const sorted = [...values].sort((a, b) => a - b)
  return sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? Number.NaN
}

export const us = (ms: number) => `${(ms * 1000).toFixed(1)} µs`
export const times = (ratio: number) => `${ratio.toFixed(ratio < 10 ? 2 : 0)} ×`
