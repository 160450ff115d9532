import { familyNames, firstNames, handleWords } from './sentences/names.ts'
import { pick, type Random } from './random.ts'

export interface Somebody {
  id: string
  name: string
  handle: string
  language: Language
}

export type Language = 'en' | 'fr' | 'es' | 'de' | 'other'

const languages: [Language, number][] = [
  ['en', 66],
  ['fr', 17],
  ['es', 8],
  ['de', 7],
  ['other', 2],
]

/** People of one network. Some write often, most once or twice; a few names are the same on every network. */
export class People {
  private readonly known: Somebody[] = []
  private readonly names = new Set<string>()

  constructor(
    private readonly random: Random,
    private readonly prefix: string,
  ) {}

  /** Somebody new, or, with the chance `again`, somebody who has written before. */
  somebody({ again = 0.35, language }: { again?: number; language?: Language } = {}): Somebody {
    if (this.known.length && this.random() < again) {
      // Squared: the first to come are the regulars.
      const old = this.known[Math.floor(this.random() ** 2 * this.known.length)]!
      if (!language || old.language === language) return old
    }
    return this.add(language ?? this.anyLanguage())
  }

  private anyLanguage(): Language {
    let left = this.random() * 100
    for (const [language, share] of languages) {
      left -= share
      if (left < 0) return language
    }
    return 'en'
  }

  private add(language: Language): Somebody {
    let name: string
    do name = `${pick(this.random, firstNames)} ${pick(this.random, familyNames)}`
    while (this.names.has(name) && this.random() < 0.9)
    this.names.add(name)
    const number = this.known.length + 1
    const handle =
      this.random() < 0.5
        ? `${pick(this.random, handleWords)}.${name.split(' ')[0]!.toLowerCase()}`
        : `${name.toLowerCase().replace(/[^a-z]+/g, '')}${number % 90}`
    const somebody = { id: `${this.prefix}${number}`, name, handle, language }
    this.known.push(somebody)
    return somebody
  }
}
