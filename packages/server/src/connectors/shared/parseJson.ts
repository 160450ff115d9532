/** Deeper nesting than any format that is read here has. */
export const longestDepth = 64

/** JSON that is nested deeper than it may be. */
export class TooDeepError extends Error {
  override readonly name = 'TooDeepError'
}

const quote = 0x22
const escape = 0x5c

/** Whether brackets are nested deeper than `longest`; linear, and ends at the first that is. */
export function isTooDeep(text: string, longest = longestDepth): boolean {
  let depth = 0
  let inString = false
  for (let i = 0; i < text.length; i++) {
    const code = text.charCodeAt(i)
    if (inString) {
      if (code === escape) i++
      else if (code === quote) inString = false
    } else if (code === quote) inString = true
    else if (code === 0x5b || code === 0x7b) {
      if (++depth > longest) return true
    } else if (code === 0x5d || code === 0x7d) depth--
  }
  return false
}

/** `JSON.parse` of outside text. @throws TooDeepError, SyntaxError */
export function parseJson(text: string): unknown {
  if (isTooDeep(text)) throw new TooDeepError('the JSON is nested too deep')
  return JSON.parse(text) as unknown
}
