import { foldAccents } from '../text/index.ts'

const languages = ['en', 'fr', 'es', 'de']
const day = 86_400_000

const parts = (text: string) => text.split(' ')

/** Days of the week and months, long and short, and the words for parts of days and for days beside today. */
const dates = new Set([
  ...languages.flatMap((language) =>
    (['long', 'short'] as const).flatMap((form) => [
      ...Array.from({ length: 7 }, (_, i) => dated(language, { weekday: form }, i * day)),
      ...Array.from({ length: 12 }, (_, i) => dated(language, { month: form }, i * 31 * day)),
    ]),
  ),
  ...parts('today tomorrow yesterday tonight morning noon afternoon evening night weekend'),
  ...parts("aujourd'hui demain hier matin midi soir nuit apres-midi"),
  ...parts('hoy manana ayer mediodia tarde noche'),
  ...parts('heute morgen gestern mittag abend nacht vormittag nachmittag'),
])

const numbers = new Set([
  ...parts('two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen sixteen'),
  ...parts(
    'seventeen eighteen nineteen twenty thirty forty fifty sixty seventy eighty ninety hundred thousand',
  ),
  ...parts('first second third fourth fifth half quarter'),
  ...parts(
    'deux trois quatre cinq sept huit neuf dix onze douze quinze vingt trente quarante cinquante soixante cent mille',
  ),
  ...parts(
    'dos tres cuatro cinco seis siete ocho nueve diez once doce quince veinte treinta cuarenta cincuenta sesenta cien mil',
  ),
  ...parts(
    'zwei drei vier funf sechs sieben acht neun zehn elf zwolf zwanzig dreissig vierzig funfzig sechzig hundert tausend',
  ),
])

function dated(language: string, form: Intl.DateTimeFormatOptions, at: number): string {
  const name = new Intl.DateTimeFormat(language, { ...form, timeZone: 'UTC' }).format(at)
  return foldAccents(name).replace(/\.$/, '')
}

/** @param word folded */
export const isDateWord = (word: string) => dates.has(word)
/** Numbers written out. @param word folded */
export const isNumberWord = (word: string) => numbers.has(word)
