/** Of what one screen calls clear, so much may be chance. */
export const falseDiscoveries = 0.1

/**
 * Which of many figures looked at together may be called clear, so that of those called so at most a tenth are chance (Benjamini
 * and Hochberg 1995): with 30 watches in view, one in 20 would be "clear" for nothing.
 *
 * @param ps how often chance alone gives so much, 0 to 1 each
 * @example heldTogether([0.001, 0.04, 0.5, 0.04]) // [true,true,false,true]
 */
export function heldTogether(ps: readonly number[], rate = falseDiscoveries): boolean[] {
  const sorted = [...ps].sort((a, b) => a - b)
  let mark = -1
  sorted.forEach((p, i) => {
    if (p <= ((i + 1) / ps.length) * rate) mark = p
  })
  return ps.map((p) => p <= mark)
}
