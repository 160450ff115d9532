import { answeredBy, answerTime } from './lanternpage.ts'
import { events, day, hour, instants } from './calendar.ts'
import { People, type Language } from './people.ts'
import { places } from './places.ts'
import { seeded, weighted, type Random } from './random.ts'
import { foreignTitles, reviewTitles } from './sentences/englishTitles.ts'
import { placeByWeight, Writer, type Mood, type Subject } from './writer.ts'
import type { WheraboutLine } from './wherabout.ts'

/** As Fivefold remembers: businesses, reviews with a title, owners' answers. */
export type FivefoldLine =
  | Extract<WheraboutLine, { op: 'business' | 'answer' }>
  | (Extract<WheraboutLine, { op: 'review' | 'question' }> & { title?: string })
  | { op: 'edit'; id: string; text?: string; rating?: number; at: string }

/** The company as a whole is one business there. */
const business = { id: 'skerrivane-ferries', name: 'Skerrivane Ferries' }

type Item = Exclude<FivefoldLine, { op: 'business' | 'edit' }> & { at: number }

export function fivefold({ seed, end, scale }: { seed: number; end: number; scale: number }): FivefoldLine[] {
  const world = new FivefoldWorld(seeded(seed + 21), end)
  world.reviews(Math.round(760 * scale))
  world.engineFailure(Math.round(45 * scale))
  return world.lines()
}

class FivefoldWorld {
  private readonly items: Item[] = []
  private readonly people: People
  private readonly writer: Writer

  constructor(
    private readonly random: Random,
    private readonly end: number,
  ) {
    this.people = new People(random, 'ff')
    this.writer = new Writer(random)
  }

  private title(mood: Mood, language: Language, subject: Subject): string | undefined {
    if (language === 'other') return undefined
    return this.writer.plain(language === 'en' ? reviewTitles[mood] : foreignTitles[language][mood], subject)
  }

  private review(at: number, mood: Mood, subject: Subject, text: string): void {
    const who = this.people.somebody({ again: 0.03, language: subject.language })
    const rating =
      mood === 'good'
        ? weighted(this.random, [
            [5, 74],
            [4, 26],
          ])
        : weighted(this.random, [
            [1, 52],
            [2, 32],
            [3, 16],
          ])
    const review: Item = {
      op: 'review',
      id: `t${this.items.length + 1}`,
      business: business.id,
      at,
      created: new Date(at).toISOString(),
      useful: Math.floor(40 * this.random() ** 5),
      author: { id: who.id, name: who.name },
      title: this.title(mood, subject.language, subject),
      text,
      rating,
    }
    this.items.push(review)
    this.answer(review, mood, subject)
  }

  private answer(to: Item, mood: Mood, subject: Subject): void {
    if (this.random() > answeredBy(this.end, to.at, 0.7)) return
    const at = answerTime(this.random, to.at) + 5 * hour * this.random()
    if (at > this.end) return
    const name = to.author.name.split(' ')[0]
    this.items.push({
      op: 'answer',
      id: `t${this.items.length + 1}`,
      business: business.id,
      parent: to.id,
      author: business,
      owner: true,
      text: this.writer.answer(mood, { ...subject, at, language: 'en', name }),
      created: new Date(at).toISOString(),
      at,
    })
  }

  reviews(count: number): void {
    for (const at of instants(this.random, { end: this.end, count })) {
      const language = this.people.somebody({ again: 0 }).language
      const subject: Subject = { at, place: placeByWeight(this.random).name, language }
      const mood: Mood = this.random() < 0.66 ? 'good' : 'bad'
      this.review(at, mood, subject, this.writer.remark(mood, subject))
    }
  }

  /** Those who were on board write here, too, in the days after. */
  engineFailure(count: number): void {
    const start = this.end - events.engineFailure * day + 10 * hour
    for (let i = 0; i < count; i++) {
      const at = Math.floor(start + 9 * day * this.random() ** 2)
      const subject: Subject = { at, place: 'Dunmarrow', language: 'en' }
      if (at < this.end) this.review(at, 'bad', subject, this.writer.about('engineLong', subject))
    }
  }

  lines(): FivefoldLine[] {
    const sorted = this.items.filter((item) => item.at <= this.end).sort((a, b) => a.at - b.at)
    const ids = new Map(sorted.map((item, i) => [item.id, `f${i + 1}`]))
    const harbour = places[0]!
    const lines: FivefoldLine[] = [
      { op: 'business', ...business, street: harbour.street, town: harbour.name, phone: harbour.phone },
    ]
    const dated = sorted.flatMap(({ at, ...item }): { at: number; line: FivefoldLine }[] => {
      const id = ids.get(item.id)!
      if (item.op === 'answer') return [{ at, line: { ...item, id, parent: ids.get(item.parent)! } }]
      const change = this.changeOf(item, at)
      return [
        { at, line: { ...item, id } },
        ...(change ? [{ at: change.at, line: { ...change.line, id } }] : []),
      ]
    })
    return [...lines, ...dated.sort((a, b) => a.at - b.at).map(({ line }) => line)]
  }

  /** After an answer that helped, some give a star or two more; a few think worse of it. */
  private changeOf(
    { rating = 3, text }: { rating?: number; text: string },
    reviewed: number,
  ): { at: number; line: Extract<FivefoldLine, { op: 'edit' }> } | null {
    const at = Math.floor(reviewed + (1 + 12 * this.random()) * day)
    if (this.random() > 0.04 || at > this.end) return null
    const better = rating <= 3
    const words = better
      ? 'Update: they wrote to me and put it right.'
      : 'Update: the second time was nothing like the first.'
    return {
      at,
      line: {
        op: 'edit',
        id: '',
        text: `${text} ${words}`,
        rating: better ? rating + 2 : 2,
        at: new Date(at).toISOString(),
      },
    }
  }
}
