import { endingsOf, type Ending } from '../grammar.ts'

/** Forms of French adjectives, nouns and verbs. */
export const frenchEndings: readonly Ending[] = [
  ...endingsOf('issimes issime', '', 1.2),
  ...endingsOf('issimes issime', 'e', 1.2),
  ...endingsOf('es e s', ''),
  ...endingsOf('euses euse eusement', 'eux'),
  ...endingsOf('ives ive ivement', 'if'),
  ...endingsOf('elles elle', 'el'),
  ...endingsOf('ennes enne', 'en'),
  ...endingsOf('ères ère', 'er'),
  ...endingsOf('aux ales ale', 'al'),
  ...endingsOf('amment', 'ant'),
  ...endingsOf('ement ment', ''),
  ...endingsOf('ées és ée', 'é'),
  ...endingsOf('er ent ons ez ait aient ant e', 'é'),
  ...endingsOf('ées és ée é ent ons ez ait aient ant era erait e', 'er'),
  ...endingsOf('antes ants ante', 'ant'),
]
