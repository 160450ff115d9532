import type { Ending } from '../grammar.ts'

const forms = (suffixes: string, put: string, factor = 1): Ending[] =>
  suffixes.split(' ').map((suffix) => [suffix, put, factor])

/** Forms of German adjectives, nouns and verbs. */
export const germanEndings: readonly Ending[] = [
  ...forms('estes estem ester esten este stes stem ster sten ste', '', 1.2),
  ...forms('eres erem erer eren ere', '', 0.9),
  ...forms('es em er en e', ''),
  ...forms('les lem ler len le', 'el'),
  ...forms('res rem rer ren re', 'er'),
  ...forms('n s', ''),
  ...forms('ten te est st et t end', 'en'),
  ...forms('endes endem ender enden ende', 'en'),
]
