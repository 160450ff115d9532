import MarkdownIt, { type Token } from 'markdown-it'

/** Addresses that a link may lead to. */
const linked = /^(?:https?|mailto|tel):/i

/**
 * The part of CommonMark that an answer by mail may be laid out with: paragraphs, lines, bold, italic, lists, quotes and links. All else
 * is words, HTML included.
 */
export const readMarkup: MarkdownIt = new MarkdownIt('zero', { breaks: true, linkify: false }).enable([
  'blockquote',
  'emphasis',
  'escape',
  'link',
  'list',
  'newline',
  'balance_pairs',
  'fragments_join',
])
readMarkup.validateLink = (address) => linked.test(address.trim())

/** The same, with bare addresses as links, as whoever reads a mail expects them. */
const forReaders = new MarkdownIt('zero', { breaks: true, linkify: true }).enable([
  'blockquote',
  'emphasis',
  'escape',
  'link',
  'linkify',
  'list',
  'newline',
  'balance_pairs',
  'fragments_join',
])
forReaders.validateLink = readMarkup.validateLink
// A word before a full stop and another is no address.
forReaders.linkify.set({ fuzzyLink: false, fuzzyEmail: false, fuzzyIP: false })

/**
 * A text of an answer as HTML: the elements named above, nothing else.
 *
 * @param markup any text; no text is refused
 * @example htmlOf('**Sorry**') // "<p><strong>Sorry</strong></p>"
 */
export const htmlOf = (markup: string): string => forReaders.render(markup).trim()

/** What is around the block that is being written. */
interface Frame {
  /** Before its first line, and before all others. */
  first: string
  rest: string
  begun: boolean
}

/**
 * A text of an answer without its marks: lists with a dash or a number, quotes with ">", the address of a link behind its words.
 *
 * @param markup any text; no text is refused
 * @example plainOf('**Sorry**, see [the page](https://x.example)') // "Sorry, see the page (https://x.example)"
 */
export function plainOf(markup: string): string {
  const frames: Frame[] = []
  const lists: { ordered: boolean; next: number; first: boolean }[] = []
  const lines: string[] = []
  /** The next block stands close below the last. */
  let close = true
  function write(words: string): void {
    if (!close) lines.push(frames.map(({ begun, rest }) => (begun ? rest : '')).join(''))
    close = false
    for (const line of words.split('\n')) {
      lines.push(frames.map(({ begun, first, rest }) => (begun ? rest : first)).join('') + line)
      for (const frame of frames) frame.begun = true
    }
  }
  const open = (first: string, rest: string) => frames.push({ first, rest, begun: false })
  for (const token of readMarkup.parse(markup, {})) {
    switch (token.type) {
      case 'blockquote_open':
        open('> ', '> ')
        break
      case 'bullet_list_open':
      case 'ordered_list_open':
        lists.push({
          ordered: token.type === 'ordered_list_open',
          next: Number(token.attrGet('start') ?? 1),
          first: true,
        })
        break
      case 'list_item_open': {
        const list = lists.at(-1)!
        const mark = list.ordered ? `${list.next++}. ` : '- '
        close ||= !list.first || lists.length > 1
        list.first = false
        open(mark, ' '.repeat(mark.length))
        break
      }
      case 'bullet_list_close':
      case 'ordered_list_close':
        lists.pop()
        break
      case 'blockquote_close':
      case 'list_item_close':
        frames.pop()
        break
      case 'inline':
        write(plainWords(token.children ?? []))
        break
    }
  }
  return lines.join('\n').replace(/[ \t]+$/gm, '')
}

function plainWords(tokens: readonly Token[]): string {
  let words = ''
  const links: { from: number; address: string }[] = []
  for (const token of tokens) {
    if (token.type === 'softbreak' || token.type === 'hardbreak') words += '\n'
    else if (token.type === 'link_open')
      links.push({ from: words.length, address: token.attrGet('href') ?? '' })
    else if (token.type === 'link_close') {
      const { from, address } = links.pop()!
      if (!sameAddress(words.slice(from), address)) words += ` (${address})`
    } else words += token.content
  }
  return words
}

const sameAddress = (words: string, address: string): boolean =>
  [words, `mailto:${words}`, `tel:${words.replace(/[\s()-]/g, '')}`].includes(address)

/**
 * A plain text as markup that says the same, with no layout but its lines.
 *
 * @example escapeMarkup('2 * 3 * 4') // "2 \\* 3 \\* 4"
 */
export const escapeMarkup = (plain: string): string =>
  plain
    .replace(/[\\*_[\]]/g, '\\$&')
    .replace(/^([ \t]*)([-+>])/gm, '$1\\$2')
    .replace(/^([ \t]*\d+)([.)])/gm, '$1\\$2')
