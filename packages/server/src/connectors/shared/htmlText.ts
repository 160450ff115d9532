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

/**
 * HTML as the text a reader would see: scripts and styles dropped, blocks and breaks as line ends. Linear in its length,
 * however it is broken; read by a parser of well-formed and malformed HTML alike.
 */
export function htmlText(html: string): string {
  const pieces: string[] = []
  let hidden = 0
  const parser = new Parser(
    {
      onopentagname(name) {
        if (unseen.has(name)) hidden++
        else if (name === 'br') pieces.push('\n')
        else if (blocks.has(name)) pieces.push('\n')
      },
      ontext(text) {
        if (!hidden) pieces.push(text.replace(/\s+/g, ' '))
      },
      onclosetag(name) {
        if (unseen.has(name)) hidden = Math.max(0, hidden - 1)
        else if (blocks.has(name)) pieces.push(name === 'p' || name === 'blockquote' ? '\n\n' : '\n')
      },
    },
    { decodeEntities: true, lowerCaseTags: true },
  )
  parser.write(html)
  parser.end()
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
