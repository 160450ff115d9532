import { share } from '../../measures/shareOfVoice.ts'

/** A reading that somebody judged. */
export interface Judged {
  /** 0 to 1: how sure the reading was. */
  confidence: number
  right: boolean
}

export interface ReliabilityBin {
  from: number
  to: number
  n: number
  right: number
  /** Mean confidence of its readings. */
  said: number
  /** 95% interval of the share that is right. */
  low: number
  high: number
}

const edges = [0.3, 0.5, 0.6, 0.7, 0.8, 0.9, 1]

/**
 * Which stretch of confidence a reading lies in, from 0.
 *
 * @example confidenceBin(0.55) // 1
 */
export const confidenceBin = (confidence: number): number =>
  Math.max(
    0,
    edges.slice(0, -1).findLastIndex((from) => confidence >= from),
  )

/** Of readings by confidence: how many were right. Bins without a reading are left out. */
export function reliabilityOf(judged: readonly Judged[]): { bins: ReliabilityBin[]; error: number | null } {
  const bins = edges.slice(0, -1).flatMap((from, i): ReliabilityBin[] => {
    const to = edges[i + 1]!
    const inside = judged.filter(
      ({ confidence }) => (confidence >= from || i === 0) && (confidence < to || to === 1),
    )
    if (!inside.length) return []
    const right = inside.filter((one) => one.right).length
    const said = inside.reduce((sum, { confidence }) => sum + confidence, 0) / inside.length
    const { low, high } = share(right, inside.length)!
    return [{ from, to, n: inside.length, right, said, low, high }]
  })
  const error = judged.length
    ? bins.reduce((sum, { n, right, said }) => sum + Math.abs(right - n * said), 0) / judged.length
    : null
  return { bins, error }
}
