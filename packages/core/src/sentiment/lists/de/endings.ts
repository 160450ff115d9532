import { endingsOf, type Ending } from '../grammar.ts'

/** Forms of German adjectives, nouns and verbs. */
export const germanEndings: readonly Ending[] = [
  ...endingsOf('estes estem ester esten este stes stem ster sten ste', '', 1.2),
  ...endingsOf('eres erem erer eren ere', '', 0.9),
  ...endingsOf('es em er en e', ''),
  ...endingsOf('les lem ler len le', 'el'),
  ...endingsOf('res rem rer ren re', 'er'),
  ...endingsOf('n s', ''),
  ...endingsOf('ten te est st et t end', 'en'),
  ...endingsOf('endes endem ender enden ende', 'en'),
]
