export { hash32 } from './hash32.ts'
export { StoryBook, stories, type StoryEntry } from './storyBook.ts'
export { storyPrint, storyWords, type StoryPrint } from './storyPrint.ts'
