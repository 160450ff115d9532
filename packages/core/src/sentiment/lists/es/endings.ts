import type { Ending } from '../grammar.ts'

const forms = (suffixes: string, put: string, factor = 1): Ending[] =>
  suffixes.split(' ').map((suffix) => [suffix, put, factor])

/** Forms of Spanish adjectives, nouns and verbs. */
export const spanishEndings: readonly Ending[] = [
  ...forms('ísimos ísimas ísimo ísima', 'o', 1.2),
  ...forms('ísimos ísimas ísimo ísima', 'e', 1.2),
  ...forms('ísimos ísimas ísimo ísima', '', 1.2),
  ...forms('os as a', 'o'),
  ...forms('es s', ''),
  ...forms('amente', 'o'),
  ...forms('mente', ''),
  ...forms('itos itas ito ita', 'o'),
  ...forms('ar an amos aron aban aba ando ó', 'ado'),
  ...forms('ado ada ados adas an amos aron aban aba ando ó', 'ar'),
  ...forms('er ir en ieron ió ía ían iendo', 'ido'),
  ...forms('ido ida idos idas en ieron ió ía ían iendo', 'er'),
  ...forms('ido ida idos idas en ieron ió ía ían iendo', 'ir'),
]
