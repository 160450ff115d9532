export { bands, distance, simHash, storyDistance, storyWords, type SimHash } from './simHash.ts'
export { stories, StoryBook, type StoryEntry } from './stories.ts'
