declare module 'vader-sentiment/src/vader_lexicon.js' {
  /** Word to mean valence, -4 to 4. */
  export const lexicon: Record<string, number>
}
