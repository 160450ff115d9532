import tlds from 'tlds'

/** Endings of names that no registry sells (RFC 2606). */
const reserved = ['example', 'test']
const endings = new Set([...tlds.filter((ending) => /^[a-z]+$/.test(ending)), ...reserved])
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

/**
 * Whether a name with dots, without a scheme, is a web address.
 *
 * @param host labels of letters, digits and hyphens
 * @param hasPath whether a "/" follows
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
