import { Parser } from 'htmlparser2'

/** Elements after which a line ends, and those whose content nobody reads. */
const blocks = new Set(
  'address article aside blockquote dd div dl dt figcaption figure footer form h1 h2 h3 h4 h5 h6 header hr li main nav ol p pre section table tr ul'.split(
    ' ',
  ),
)
const unseen = new Set([
  'script',
  'style',
  'template',
  'noscript',
  'head',
  'title',
  'svg',
  'math',
  'object',
  'iframe',
])

const deepest = 400
const tooDeep = new Error('nested too deep')

/** What stands between angle brackets taken out, and nothing else looked at. */
function withoutTags(html: string): string {
  const pieces: string[] = []
  for (let at = 0; at < html.length;) {
    const open = html.indexOf('<', at)
    if (open < 0) return pieces.join(' ') + html.slice(at)
    pieces.push(html.slice(at, open))
    const close = html.indexOf('>', open)
    if (close < 0) break
    at = close + 1
  }
  return pieces.join(' ')
}

/**
 * HTML as the text a reader would see: scripts and styles dropped, blocks and breaks as line ends. Linear in its length,
 * however it is broken; read by a parser of well-formed and malformed HTML alike.
 */
export function htmlText(html: string): string {
  const pieces: string[] = []
  let hidden = 0
  let depth = 0
  const parser = new Parser(
    {
      onopentagname(name) {
        // The parser's own time grows with the depth: what is nested deeper was written to be.
        if (++depth > deepest) throw tooDeep
        if (unseen.has(name)) hidden++
        else if (name === 'br') pieces.push('\n')
        else if (blocks.has(name)) pieces.push('\n')
      },
      ontext(text) {
        if (!hidden) pieces.push(text.replace(/\s+/g, ' '))
      },
      onclosetag(name) {
        depth--
        if (unseen.has(name)) hidden = Math.max(0, hidden - 1)
        else if (blocks.has(name)) pieces.push(name === 'p' || name === 'blockquote' ? '\n\n' : '\n')
      },
    },
    { decodeEntities: true, lowerCaseTags: true },
  )
  try {
    parser.write(html)
    parser.end()
  } catch (error) {
    if (error !== tooDeep) throw error
    pieces.push(withoutTags(html.slice(parser.endIndex)))
  }
  return tidy(pieces.join(''))
}

/** Spaces and empty lines as a reader sees them. */
function tidy(text: string): string {
  const lines: string[] = []
  for (const line of text.split('\n')) {
    const trimmed = line.trim()
    if (trimmed || (lines.length && lines[lines.length - 1] !== '')) lines.push(trimmed)
  }
  return lines.join('\n').trim()
}
