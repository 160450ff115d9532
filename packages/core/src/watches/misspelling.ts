/** Every string that is left when one character is taken out of `word`. */
export function deletions(word: string): string[] {
  const out: string[] = []
  for (let i = 0; i < word.length; i++)
    if (i === 0 || word[i] !== word[i - 1]) out.push(word.slice(0, i) + word.slice(i + 1))
  return out
}

/**
 * Whether two words differ by at most one edit: a letter more, less or other, or two neighbours swapped
 * (optimal string alignment distance of at most 1).
 */
export function withinOneEdit(a: string, b: string): boolean {
  if (a === b) return true
  const gap = a.length - b.length
  if (gap > 1 || gap < -1) return false
  let i = 0
  while (i < a.length && i < b.length && a[i] === b[i]) i++
  if (gap === 1) return a.slice(i + 1) === b.slice(i)
  if (gap === -1) return a.slice(i) === b.slice(i + 1)
  if (a.slice(i + 1) === b.slice(i + 1)) return true
  return a[i] === b[i + 1] && a[i + 1] === b[i] && a.slice(i + 2) === b.slice(i + 2)
}
