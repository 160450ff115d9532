/**
 * What is read of an entry, in this order. A step whose code reads otherwise than before gets a higher version: the jobs then
 * read the history again by that step alone, and by those that build on it.
 */
export const readingSteps = {
  language: { version: 1, then: ['sentiment', 'watches'] },
  words: { version: 3, then: [] },
  sentiment: { version: 11, then: [] },
  stories: { version: 3, then: [] },
  watches: { version: 3, then: [] },
} as const satisfies Record<string, { version: number; then: readonly string[] }>

export type ReadingStep = keyof typeof readingSteps
export const readingStepNames = Object.keys(readingSteps) as ReadingStep[]
