import { endingsOf, type Ending } from '../grammar.ts'

/** Forms of Spanish adjectives, nouns and verbs. */
export const spanishEndings: readonly Ending[] = [
  ...endingsOf('ísimos ísimas ísimo ísima', 'o', 1.2),
  ...endingsOf('ísimos ísimas ísimo ísima', 'e', 1.2),
  ...endingsOf('ísimos ísimas ísimo ísima', '', 1.2),
  ...endingsOf('os as a', 'o'),
  ...endingsOf('es s', ''),
  ...endingsOf('amente', 'o'),
  ...endingsOf('mente', ''),
  ...endingsOf('itos itas ito ita', 'o'),
  ...endingsOf('ar an amos aron aban aba ando ó', 'ado'),
  ...endingsOf('ado ada ados adas an amos aron aban aba ando ó', 'ar'),
  ...endingsOf('er ir en ieron ió ía ían iendo', 'ido'),
  ...endingsOf('ido ida idos idas en ieron ió ía ían iendo', 'er'),
  ...endingsOf('ido ida idos idas en ieron ió ía ían iendo', 'ir'),
]
