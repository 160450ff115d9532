/** Sentences of a topic, by mood. Slots: {ship} {place} {crew} {time} {minutes} {price} {day} {month} {n}. */
export interface TopicBank {
  good: string[]
  bad: string[]
}

/** One sentence a line. */
export const lines = (text: string): string[] =>
  text
    .split('\n')
    .map((line) => line.trim())
    .filter(Boolean)
