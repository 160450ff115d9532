/** Languages the interface speaks. */
export type Language = 'en' | 'fr'

/** The reader's language: what they chose, else the browser's, else English. */
export function languageOf(stored: string | null, browser: readonly string[]): Language {
  const wanted = [stored, ...browser].map((l) => l?.slice(0, 2)).find((l) => l === 'en' || l === 'fr')
  return wanted === 'fr' ? 'fr' : 'en'
}
