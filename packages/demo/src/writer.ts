import { englishClosings, englishNeutral, englishOpenings, englishTopics } from './sentences/english.ts'
import {
  abuse,
  dogsOnDeck,
  engineFailure,
  marenComplaints,
  spam,
  winterTimetable,
} from './sentences/englishEvents.ts'
import { englishMessages, englishQuestions, englishReplies } from './sentences/englishTalk.ts'
import { fittingAnswers } from './sentences/fittingAnswers.ts'
import { crewNames } from './sentences/names.ts'
import { french, german, others, spanish, type LanguageBank } from './sentences/otherLanguages.ts'
import type { Language } from './people.ts'
import { places } from './places.ts'
import { Deck, pick, weighted, type Random } from './random.ts'

export type Mood = 'good' | 'bad'

/** What people write about most, by mood. */
const topicWeights: Record<Mood, [string, number][]> = {
  good: [
    ['crew', 20],
    ['views', 18],
    ['galley', 14],
    ['punctuality', 12],
    ['boarding', 8],
    ['booking', 6],
    ['price', 7],
    ['cleanliness', 6],
    ['bicycles', 4],
    ['access', 4],
    ['cancellation', 3],
    ['parking', 3],
  ],
  bad: [
    ['punctuality', 20],
    ['cancellation', 12],
    ['booking', 13],
    ['boarding', 12],
    ['price', 10],
    ['crew', 8],
    ['galley', 7],
    ['cleanliness', 8],
    ['parking', 6],
    ['access', 4],
    ['bicycles', 3],
    ['views', 2],
  ],
}

const banks: Record<'fr' | 'es' | 'de', LanguageBank> = { fr: french, es: spanish, de: german }
const ships = ['Grey Heron', 'Storm Petrel', 'Little Auk']
const times = [
  '6:40',
  '7:10',
  '8:25',
  '9:30',
  '10:15',
  '11:50',
  '13:05',
  '14:20',
  '15:40',
  '16:30',
  '17:45',
  '19:10',
  '20:30',
]
const weekdays: Record<string, string[]> = {
  en: ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'],
  fr: ['lundi', 'mardi', 'mercredi', 'jeudi', 'vendredi', 'samedi', 'dimanche'],
  es: ['lunes', 'martes', 'miércoles', 'jueves', 'viernes', 'sábado', 'domingo'],
  de: ['Montag', 'Dienstag', 'Mittwoch', 'Donnerstag', 'Freitag', 'Samstag', 'Sonntag'],
}
const months: Record<string, string[]> = {
  en: 'January February March April May June July August September October November December'.split(' '),
  fr: 'janvier février mars avril mai juin juillet août septembre octobre novembre décembre'.split(' '),
  es: 'enero febrero marzo abril mayo junio julio agosto septiembre octubre noviembre diciembre'.split(' '),
  de: 'Januar Februar März April Mai Juni Juli August September Oktober November Dezember'.split(' '),
}
const emoji: Record<Mood, string[]> = {
  good: ['😊', '👍', '❤️', '🐬', '😍', '⛴️', '☀️'],
  bad: ['😡', '🙄', '👎', '😤', '😞'],
}

export interface Subject {
  at: number
  place: string
  language: Language
  /** Who is spoken to, in answers. */
  name?: string
}

/** Writes texts from the sentence banks. Calls in the order of time keep neighbours unlike each other. */
export class Writer {
  private readonly decks = new Map<readonly string[], Deck<string>>()

  constructor(private readonly random: Random) {}

  private from(bank: readonly string[]): string {
    let deck = this.decks.get(bank)
    if (!deck) this.decks.set(bank, (deck = new Deck(this.random, bank)))
    return deck.deal()
  }

  private fill(text: string, { at, place, language, name }: Subject): string {
    const tongue = language === 'other' ? 'en' : language
    const date = new Date(at)
    const values: Record<string, () => string> = {
      ship: () => pick(this.random, ships),
      place: () => place,
      crew: () => pick(this.random, crewNames),
      time: () => pick(this.random, times),
      minutes: () => String(25 + 5 * Math.floor(this.random() * 16)),
      price: () => pick(this.random, ['£4.80', '£7.50', '£12', '£18', '£24', '£36']),
      day: () => pick(this.random, weekdays[tongue]!),
      month: () => months[tongue]![date.getUTCMonth()]!,
      n: () => String(2 + Math.floor(this.random() * 9)),
      code: () => `SK${1000 + Math.floor(this.random() * 9000)}`,
      name: () => name ?? 'Oakes',
    }
    return text.replace(/\{(\w+)\}/g, (whole, slot: string) => values[slot]?.() ?? whole)
  }

  /** Small slips and moods of typing. */
  private rough(text: string, mood: Mood | null): string {
    let out = text
    const chance = this.random()
    if (chance < 0.04) out = this.typo(out)
    else if (chance < 0.09) out = out.toLowerCase()
    else if (chance < 0.12 && mood) out = out.replace(/\.$/, mood === 'good' ? '!!' : '!!!')
    if (mood && this.random() < 0.1) out += ` ${pick(this.random, emoji[mood])}`
    return out
  }

  private typo(text: string): string {
    const at = 3 + Math.floor(this.random() * Math.max(1, text.length - 6))
    return /\p{L}\p{L}/u.test(text.slice(at, at + 2))
      ? text.slice(0, at) + text[at + 1]! + text[at]! + text.slice(at + 2)
      : text
  }

  /** A remark of one to `most` sentences. */
  remark(mood: Mood, subject: Subject, { most = 3 }: { most?: number } = {}): string {
    if (subject.language !== 'en')
      return this.rough(this.fill(this.foreign(mood, subject.language, most), subject), mood)
    const sentences: string[] = []
    if (most > 1 && this.random() < 0.3) sentences.push(this.from(englishOpenings[mood]))
    // One text is about one thing, and of one mind about it.
    const bank = englishTopics[weighted(this.random, topicWeights[mood])]![mood]
    sentences.push(this.from(bank))
    if (most > 1 && this.random() < 0.45) sentences.push(this.from(bank))
    if (most > 1 && this.random() < 0.25) sentences.push(this.from(englishClosings[mood]))
    return this.rough(this.fill(sentences.join(' '), subject), mood)
  }

  private foreign(mood: Mood, language: Exclude<Language, 'en'>, most: number): string {
    if (language === 'other') return this.from(pick(this.random, Object.values(others))[mood])
    const bank = banks[language][mood]
    return this.random() < 0.4 && most > 1 ? `${this.from(bank)} ${this.from(bank)}` : this.from(bank)
  }

  neutral(subject: Subject): string {
    return this.fill(this.from(englishNeutral), subject)
  }

  question(subject: Subject): string {
    const bank =
      subject.language === 'en' || subject.language === 'other'
        ? englishQuestions
        : banks[subject.language].questions
    return this.rough(this.fill(this.from(bank), subject), null)
  }

  message(subject: Subject, follow = false): string {
    if (subject.language !== 'en') return this.question(subject)
    return this.fill(this.from(follow ? englishMessages.followUp : englishMessages.request), subject)
  }

  /** @param to what was asked: where an answer fits it, that is given */
  answer(kind: 'good' | 'bad' | 'question', subject: Subject, to = ''): string {
    // Drawn in any case, so that whatever is said afterwards stays the same.
    const drawn = this.from(englishReplies[kind])
    const fitting = kind === 'question' ? fittingAnswers.find(([asked]) => asked.test(to))?.[1] : undefined
    return this.fill(fitting ?? drawn, subject)
  }

  about(
    what: 'engineShort' | 'engineLong' | 'timetable' | 'dogs' | 'maren' | 'spam' | 'abuse',
    subject: Subject,
  ): string {
    if (what === 'engineShort' && this.random() < 0.8)
      return this.rough(
        this.fill(`${this.from(engineFailure.facts)} ${this.from(engineFailure.complaints)}`, subject),
        'bad',
      )
    const bank = {
      engineShort: engineFailure.short,
      engineLong: engineFailure.long,
      timetable: winterTimetable,
      dogs: this.dogs(subject.language),
      maren: marenComplaints,
      spam,
      abuse,
    }[what]
    return this.rough(
      this.fill(this.from(bank), subject),
      what === 'dogs' ? 'good' : what === 'spam' ? null : 'bad',
    )
  }

  private dogs(language: Language): readonly string[] {
    return language === 'en' || language === 'other' ? dogsOnDeck : banks[language].dogs
  }

  plain(bank: readonly string[], subject: Subject): string {
    return this.fill(this.from(bank), subject)
  }
}

export const placeByWeight = (random: Random) =>
  weighted(
    random,
    places.map((p) => [p, p.weight] as const),
  )
