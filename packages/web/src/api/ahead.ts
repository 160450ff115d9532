/** An answer that was asked for before somebody needs it is given to the first who asks, within this time. */
export const aheadMs = 5_000

interface Asked {
  at: number
  answer: Promise<unknown>
}
const asked = new Map<string, Asked>()

/** Holds an answer under its address for the first who asks. */
export function holdAhead(address: string, answer: Promise<unknown>, now = performance.now()): void {
  // Whoever takes it meets its failure; if nobody does, nobody needs to.
  answer.catch(() => {})
  for (const [each, { at }] of asked) if (now - at > aheadMs) asked.delete(each)
  asked.set(address, { at: now, answer })
}

/** The answer that was asked for ahead, once; nothing when there is none or it is too old. */
export function takeAhead(address: string, now = performance.now()): Promise<unknown> | undefined {
  const found = asked.get(address)
  asked.delete(address)
  return found && now - found.at <= aheadMs ? found.answer : undefined
}
