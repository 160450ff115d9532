import type { Ending } from '../grammar.ts'

const forms = (suffixes: string, put: string, factor = 1): Ending[] =>
  suffixes.split(' ').map((suffix) => [suffix, put, factor])

/** Forms of French adjectives, nouns and verbs. */
export const frenchEndings: readonly Ending[] = [
  ...forms('issimes issime', '', 1.2),
  ...forms('issimes issime', 'e', 1.2),
  ...forms('es e s', ''),
  ...forms('euses euse eusement', 'eux'),
  ...forms('ives ive ivement', 'if'),
  ...forms('elles elle', 'el'),
  ...forms('ennes enne', 'en'),
  ...forms('ères ère', 'er'),
  ...forms('aux ales ale', 'al'),
  ...forms('amment', 'ant'),
  ...forms('ement ment', ''),
  ...forms('ées és ée', 'é'),
  ...forms('er ent ons ez ait aient ant e', 'é'),
  ...forms('ées és ée é ent ons ez ait aient ant era erait e', 'er'),
  ...forms('antes ants ante', 'ant'),
]
