import { worldTexts } from './lib/texts.ts'
import { readMeaning } from '@murrabel/core/meaning'
import { readByLists } from '../packages/core/src/sentiment/lists/readByLists.ts'
import { detectLanguage, loadLanguages, placedWords } from '@murrabel/core/text'
await loadLanguages()
const all = worldTexts()
  .filter((t) => {
    const w = t.split(/\s+/).length
    return w >= 12 && w <= 18
  })
  .slice(0, 800)
const time = (name: string, f: (t: string) => void) => {
  for (let r = 0; r < 4; r++) all.forEach(f)
  const b = performance.now()
  for (let r = 0; r < 8; r++) all.forEach(f)
  console.log(name, (((performance.now() - b) / 8 / all.length) * 1000).toFixed(1))
}
time('detect', (t) => detectLanguage(t))
time('meaning', (t) => readMeaning(t))
time('lists', (t) => readByLists(t))
time('words', (t) => placedWords(t))
