import { readFileSync } from 'node:fs'

interface Hostile {
  texts: Record<string, string[]>
  numbers: string[]
  dates: string[]
  json: string[]
  headers: string[]
}

const read = JSON.parse(readFileSync(new URL('./hostile.json', import.meta.url), 'utf8')) as Hostile

const pieces: Record<string, string> = { '(space)': ' ', newline: '\n', not: 'not ', 'good but': 'good but ' }

/** "repeat: x * 100000" written out, at most so long; escapes of lone surrogates as they are meant. */
function writtenOut(text: string, longest: number): string {
  const found = /^repeat: (.*) \* (\d+)$/s.exec(text)
  if (!found)
    return text.replace(/\\u([0-9a-f]{4})/g, (_, code: string) => String.fromCharCode(parseInt(code, 16)))
  const piece = pieces[found[1]!] ?? found[1]!
  return piece.repeat(Math.min(Number(found[2]), Math.ceil(longest / piece.length)))
}

/** Texts that have broken something before, here or elsewhere, by what is odd about them. */
export const hostileTexts = (longest = 20_000): { name: string; text: string }[] =>
  Object.entries(read.texts).flatMap(([name, texts]) =>
    texts.map((text, i) => ({ name: `${name} ${i + 1}`, text: writtenOut(text, longest) })),
  )

export const { numbers: hostileNumbers, dates: hostileDates, headers: hostileHeaders } = read

/** Bodies that are JSON, but not what anybody asked for. */
export const hostileBodies: string[] = read.json.map((each) => {
  const found = /^(depth|keys): (\d+) ?(\w*)$/.exec(each)
  if (!found) return each
  const n = Number(found[2])
  if (found[1] === 'keys')
    return `{${Array.from({ length: Math.min(n, 5000) }, (_, i) => `"k${i}":1`).join(',')}}`
  return found[3] === 'arrays' ? '['.repeat(n) + ']'.repeat(n) : '{"a":'.repeat(n) + '1' + '}'.repeat(n)
})
