import LinkifyIt from 'linkify-it'
import tlds from 'tlds'

/** Endings of names that no registry sells (RFC 2606). */
const reserved = ['example', 'test']
const endings = new Set([...tlds, ...reserved])
/**
 * Endings that are words as well, or begin sentences: "on time.so we" is no address. With a path behind them, or a "www."
 * before, they are.
 */
const words = new Set(
  'am as at be by call cat day de des di es fit fly fun go how id if im in is it la land le let live love me my need new no now off one only or page pay pet place plus post run safe sale save se show si site so stream study super team tel time tips to today tours town un us via visit vote wait watch we win work world wow you'.split(
    ' ',
  ),
)
/** Of those above, endings of whole countries where we are: an address more often than a word. */
const countries = new Set(['de', 'es'])

// Any run of letters may end a name here; the list of endings decides (isBareHost).
const finder = new LinkifyIt({ fuzzyEmail: false, fuzzyIP: false })
  .add('ftp:', null)
  .add('mailto:', null)
  .add('//', null)
  .tlds('[a-z\\u00a1-\\uffff]{2,24}')
/** Longer stretches are read in pieces, so that no input makes the patterns look at all of it again and again. */
const pieceLength = 512

/**
 * Whether a name with dots, without a scheme, is a web address: there is such an ending, and it is not rather two words with a forgotten space.
 *
 * @param hasPath whether a path or port follows
 * @example isBareHost('orrin-gazette.example', false) // true
 * @example isBareHost('late.so', false) // false
 */
export function isBareHost(host: string, hasPath: boolean): boolean {
  const ending = host.slice(host.lastIndexOf('.') + 1)
  const folded = ending.toLowerCase()
  if (!endings.has(folded)) return false
  // "fine.Next": a sentence begins where a space was forgotten.
  if (ending !== folded && host !== host.toUpperCase()) return false
  return hasPath || countries.has(folded) || !words.has(folded)
}

export interface FoundAddress {
  /** UTF-16 offsets into the text, end exclusive. */
  start: number
  end: number
}

/** Stretches in which an address may stand: no space, quotation mark, mark of ideographic writing or picture in it. */
const stretch =
  /[^\s<>"“”„«»‹›、。！？「」『』（），：；\p{Extended_Pictographic}\p{Regional_Indicator}\p{DI}]+/gu
const maybe = /\.[^\s.]|:\/\//

/**
 * The web addresses of a text in their order: with a scheme, with "www.", and bare names whose ending is registered.
 *
 * @example findAddresses('at café-orrin.example.').map(({ start, end }) => [start, end]) // [[3, 21]]
 */
export function findAddresses(text: string): FoundAddress[] {
  const found: FoundAddress[] = []
  if (!maybe.test(text)) return found
  for (const { 0: run, index } of text.matchAll(stretch)) {
    if (!maybe.test(run)) continue
    for (let from = 0; from < run.length; from += pieceLength) {
      const before = found.length
      for (const each of addressesOf(run.slice(from, from + pieceLength)))
        found.push({ start: index + from + each.start, end: index + from + each.end })
      // An address longer than a piece goes on to the end of its stretch.
      const last = found.length > before ? found[found.length - 1]! : undefined
      if (last?.end !== index + from + pieceLength) continue
      last.end = index + run.length
      break
    }
  }
  return found
}

function addressesOf(piece: string): FoundAddress[] {
  const found: FoundAddress[] = []
  for (const { schema, raw, index, lastIndex } of finder.match(piece) ?? []) {
    if (schema || /^www\./i.test(raw)) {
      found.push({ start: index, end: lastIndex })
      continue
    }
    const behind = raw.search(/[/?#:]/)
    const name = behind < 0 ? raw : raw.slice(0, behind)
    if (behind >= 0 && isBareHost(name, true)) found.push({ start: index, end: lastIndex })
    else if (behind < 0) {
      // "orrin.example.Then": the sentence that begins there is no part of it.
      let host = name
      while (host.includes('.') && !isBareHost(host, false)) host = host.slice(0, host.lastIndexOf('.'))
      if (host.includes('.')) found.push({ start: index, end: index + host.length })
    }
  }
  return found
}
