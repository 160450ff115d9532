import type { Lesson } from './readTexts.ts'

/** Two texts of different languages with this share of their concepts in common say the same. */
const alikeFrom = 0.5
/** Texts of fewer concepts are alike by chance. */
const leastConcepts = 5

/**
 * Texts that say in another language, in another trade, what a text says: whoever has seen the one knows the other.
 *
 * @param concepts of each text
 * @returns by text, its likes
 */
export function copiesOf(
  concepts: readonly ReadonlySet<number>[],
  lessons: readonly Pick<Lesson, 'language' | 'trade'>[],
): Map<number, number[]> {
  const holding = new Map<number, number[]>()
  const copies = new Map<number, number[]>()
  const put = (i: number, j: number) => void copies.set(i, [...(copies.get(i) ?? []), j])
  concepts.forEach((own, i) => {
    if (own.size < leastConcepts) return
    const shared = new Map<number, number>()
    for (const concept of own) {
      const before = holding.get(concept) ?? []
      for (const j of before) shared.set(j, (shared.get(j) ?? 0) + 1)
      before.push(i)
      holding.set(concept, before)
    }
    for (const [j, n] of shared) {
      const isElsewhere =
        lessons[i]!.language !== lessons[j]!.language && lessons[i]!.trade !== lessons[j]!.trade
      if (!isElsewhere || n / (own.size + concepts[j]!.size - n) < alikeFrom) continue
      put(i, j)
      put(j, i)
    }
  })
  return copies
}
