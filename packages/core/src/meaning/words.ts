const endings: Record<string, RegExp> = {
  en: /(?:'s|ings?|ed|es|s)$/,
  fr: /(?:issaient|issement|eraient|erait|erons|eront|aient|ations?|ements?|euses?|ées?|és|ait|ant|ent|er|ez|es|é|e|s|x)$/,
  es: /(?:aciones|ación|amente|aron|ieron|aban|aba|ando|iendo|ad[oa]s?|id[oa]s?|amos|imos|ían|ía|ar|er|ir|as|os|es|an|en|a|o|e|é|ó|s)$/,
  de: /(?:ungen|ung|lich|igkeit|keit|heit|ten|tes|ter|te|ern|em|en|er|es|st|et|t|e|n|s)$/,
}
/** What is left of a word without its ending tells at least this. */
const leastStem = 4
/** Words whose stem was looked for are remembered, so many at most. */
const mostRemembered = 20_000
/** The last part of a German compound has at least this many letters. */
const leastHead = 5

function stemOf(word: string, language: string): string {
  const stem = word.replace(endings[language]!, '')
  return stem.length >= leastStem ? stem : word
}

/**
 * Finds words by number: as they are written, else by their stem, else (German) by the last part of a compound.
 *
 * @param words numbers by word in lower case
 * @returns -1 for a word that stands in no relation to a known one
 */
export function wordFinder(words: ReadonlyMap<string, number>, language: string): (word: string) => number {
  const stems = new Map<string, number>()
  for (const [word, number] of words) {
    const stem = stemOf(word, language)
    if (stem.length >= leastStem && !stems.has(stem)) stems.set(stem, number)
  }
  const found = (word: string) => words.get(word) ?? stems.get(stemOf(word, language))
  const known = new Map<string, number>()
  return (word) => {
    const number = words.get(word) ?? known.get(word)
    if (number !== undefined) return number
    if (known.size >= mostRemembered) known.clear()
    const fresh = resolve(word)
    known.set(word, fresh)
    return fresh
  }

  function resolve(word: string): number {
    if (word.length < leastStem) return -1
    const byStem = stems.get(stemOf(word, language))
    if (byStem !== undefined) return byStem
    if (language === 'de')
      for (let at = 3; at <= word.length - leastHead; at++) {
        const head = found(word.slice(at))
        if (head !== undefined) return head
      }
    return -1
  }
}
