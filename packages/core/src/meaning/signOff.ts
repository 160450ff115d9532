/** Ways to sign a letter, in the languages that are read; each stands alone in its line, or before a name. */
const formulas = [
  '(?:(?:with )?(?:kind|best|warm|warmest|kindest)(?: and (?:kind|best|warm))? )?regards',
  '(?:(?:with )?(?:best|kind|warm|good|all good|many good) )wishes',
  'yours(?: (?:sincerely|faithfully|truly|respectfully|ever))?',
  '(?:sincerely|respectfully|faithfully)(?: yours)?',
  'all the best',
  '(?:(?:bien|très) )?cordialement',
  '(?:bien )?à vous',
  '(?:(?:avec )?mes )?(?:(?:sincères|meilleures|respectueuses|cordiales) )?salutations(?: (?:distinguées|cordiales|respectueuses|les meilleures))?',
  '(?:je vous prie|nous vous prions|veuillez)[^\\n]{0,120}(?:salutations|sentiments|considération|respects|hommages)[^\\n]{0,40}',
  '(?:mit )?(?:(?:freundlich|viel|best|lieb|herzlich|schön|sonnig)e[nrm]? )+gr(?:ü|ue)(?:ß|ss)en?',
  '(?:mit )?(?:(?:freundlich|best|lieb|herzlich|schön)e[nrm]? )+gru(?:ß|ss)',
  'gr(?:ü|ue)(?:ß|ss)e',
  'mfg|lg|hochachtungsvoll',
  '(?:reciban? )?(?:un )?(?:muy )?(?:cordial(?:es)? |atento )?saludos?(?: cordial(?:es)?| atentos?)?',
  '(?:muy )?atentamente',
]
const formula = new RegExp(`^(?:${formulas.join('|')})(?=[ \\t,.!–-]|$)`, 'iu')
const name = "[\\p{Lu}][\\p{L}.’'-]*"
const names = new RegExp(`^[ \\t]*(?:[,.!–-][ \\t]*)?(?:${name}(?:[ \\t]+${name}){0,3})?$`, 'u')
/** What follows a formula: names, a firm, a number, and never a sentence or an afterthought. */
const mostLines = 7
const belongs = /^(?!p\.? ?s\b)(?=.{0,60}$)(?!.*\S+(?:\s+\S+){4,}[.!?]$)/iu
const longestFormula = 200

const isFormula = (line: string): boolean => {
  const found = line.length <= longestFormula ? formula.exec(line) : null
  return found !== null && names.test(line.slice(found[0].length))
}

/**
 * Where what somebody says ends, and how they sign it begins: "Kind regards" is no kindness.
 *
 * @returns an index into the text; its length where nothing is signed, or nothing said before
 * @example saidUntil('Which is it?\n\nKind regards,\nPerrin Oakes') // 14
 */
export function saidUntil(text: string): number {
  let end = text.trimEnd().length
  for (let lines = 0; lines < mostLines && end > 0; lines++) {
    const start = text.lastIndexOf('\n', end - 1) + 1
    if (start === 0) break
    const line = text.slice(start, end).trim()
    const before = text.slice(0, start).trimEnd().length
    if (isFormula(line)) return before ? start : text.length
    if (!belongs.test(line)) break
    end = before
  }
  return text.length
}
