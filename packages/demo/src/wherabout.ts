import { answeredBy, answerTime } from './lanternpage.ts'
import { day, daysBefore, events, hour, instants } from './calendar.ts'
import { People } from './people.ts'
import { places, type DemoPlace } from './places.ts'
import { pick, seeded, weighted, type Random } from './random.ts'
import { repeatedComplaint } from './sentences/englishEvents.ts'
import { placeByWeight, Writer, type Subject } from './writer.ts'

/** As Wherabout remembers: its journal. */
export type WheraboutLine =
  | {
      op: 'business'
      id: string
      name: string
      street: string
      town: string
      phone: string
      others?: boolean
    }
  | {
      op: 'review' | 'question'
      id: string
      business: string
      author: { id: string; name: string }
      rating?: number
      text: string
      created: string
      useful?: number
    }
  | {
      op: 'answer'
      id: string
      business: string
      parent: string
      author: { id: string; name: string }
      owner: boolean
      text: string
      created: string
    }

type Item = Exclude<WheraboutLine, { op: 'business' }> & { at: number }

export function wherabout({
  seed,
  end,
  scale,
}: {
  seed: number
  end: number
  scale: number
}): WheraboutLine[] {
  const world = new WheraboutWorld(seeded(seed + 2), end)
  world.reviews(Math.round(2150 * scale))
  world.engineFailure(Math.round(55 * scale))
  world.afterAsk(Math.round(130 * scale))
  world.questions(Math.round(230 * scale))
  return world.lines()
}

class WheraboutWorld {
  private readonly items: Item[] = []
  private readonly people: People
  private readonly writer: Writer
  private number = 0

  constructor(
    private readonly random: Random,
    private readonly end: number,
  ) {
    this.people = new People(random, 'wa')
    this.writer = new Writer(random)
  }

  private put(
    op: 'review' | 'question',
    at: number,
    place: DemoPlace,
    part: { author: { id: string; name: string }; text: string; rating?: number },
  ): Item {
    const item: Item = {
      op,
      id: `t${++this.number}`,
      business: place.id,
      at,
      created: new Date(at).toISOString(),
      useful: Math.floor(30 * this.random() ** 4),
      author: { id: part.author.id, name: part.author.name },
      text: part.text,
      rating: part.rating,
    }
    this.items.push(item)
    return item
  }

  private answer(to: Item, kind: 'good' | 'bad' | 'question', place: DemoPlace, often: number): void {
    if (to.op === 'answer' || this.random() > answeredBy(this.end, to.at, often)) return
    const at = answerTime(this.random, to.at) + (to.op === 'review' ? 3 * hour * this.random() : 0)
    if (at > this.end) return
    const text = this.writer.answer(
      kind,
      { at, place: place.name, language: 'en', name: to.author.name.split(' ')[0] },
      to.text,
    )
    this.items.push({
      op: 'answer',
      id: `t${++this.number}`,
      business: place.id,
      parent: to.id,
      author: { id: place.id, name: `Skerrivane Ferries, ${place.name}` },
      owner: true,
      text,
      created: new Date(at).toISOString(),
      at,
    })
  }

  private stars(glad: boolean): number {
    return glad
      ? weighted(this.random, [
          [5, 68],
          [4, 32],
        ])
      : weighted(this.random, [
          [1, 46],
          [2, 34],
          [3, 20],
        ])
  }

  private gladAt(place: DemoPlace, at: number): number {
    const slide =
      place.id === 'northmoor-pier'
        ? Math.max(0, events.winterTimetable - daysBefore(this.end, at)) / events.winterTimetable
        : 0
    return place.glad - 0.6 * slide
  }

  reviews(count: number): void {
    for (const at of [
      ...instants(this.random, { end: this.end, count }),
      ...instants(this.random, { end: this.end - hour / 2, count: Math.round(count / 220), days: 0.8 }),
    ]) {
      const place = placeByWeight(this.random)
      const who = this.people.somebody({ again: 0.15 })
      const subject: Subject = { at, place: place.name, language: who.language }
      const glad = this.random() < this.gladAt(place, at)
      const rating = this.stars(glad)
      const review = this.put('review', at, place, {
        author: who,
        rating,
        text: this.text(glad, rating, place, at, subject),
      })
      this.answer(review, glad ? 'good' : 'bad', place, place.id === 'northmoor-pier' ? 0.55 : 0.74)
    }
    const complainer = { id: 'wa-again', name: 'Gideon Whelk' }
    for (const [i, place] of places.entries())
      this.put('review', this.end - (70 + 9 * i) * day, place, {
        author: complainer,
        rating: 1,
        text: repeatedComplaint,
      })
  }

  private text(glad: boolean, rating: number, place: DemoPlace, at: number, subject: Subject): string {
    if (this.random() < 0.14) return ''
    if (!glad && place.id === 'selwick-quay' && subject.language === 'en' && this.random() < 0.42)
      return this.writer.about('maren', subject)
    if (
      !glad &&
      place.id === 'northmoor-pier' &&
      daysBefore(this.end, at) < events.winterTimetable &&
      this.random() < 0.6
    )
      return this.writer.about('timetable', { ...subject, language: 'en' })
    if (rating === 3 && this.random() < 0.5 && subject.language === 'en') return this.writer.neutral(subject)
    return this.writer.remark(glad ? 'good' : 'bad', subject)
  }

  /** Reviews at Dunmarrow in the ten days after the engine failure. */
  engineFailure(count: number): void {
    const dunmarrow = places.find((p) => p.id === 'dunmarrow')!
    const start = this.end - events.engineFailure * day + 8 * hour
    for (let i = 0; i < count; i++) {
      const at = Math.floor(start + 10 * day * this.random() ** 2)
      const who = this.people.somebody({ again: 0.05, language: 'en' })
      const review = this.put('review', at, dunmarrow, {
        author: who,
        rating: this.random() < 0.8 ? 1 : 2,
        text: this.writer.about('engineLong', { at, place: 'Dunmarrow', language: 'en' }),
      })
      this.answer(review, 'bad', dunmarrow, 0.8)
    }
  }

  /** The after-crossing ask brings more reviews at two harbours, of much the same kind. */
  afterAsk(count: number): void {
    for (const at of instants(this.random, { end: this.end, count, days: events.ask })) {
      const place = pick(
        this.random,
        places.filter((p) => p.id === 'port-ellery' || p.id === 'inchgarth'),
      )
      const who = this.people.somebody({ again: 0.02 })
      const glad = this.random() < place.glad
      const subject: Subject = { at, place: place.name, language: who.language }
      this.answer(
        this.put('review', at, place, {
          author: who,
          rating: this.stars(glad),
          text: this.random() < 0.3 ? '' : this.writer.remark(glad ? 'good' : 'bad', subject, { most: 2 }),
        }),
        glad ? 'good' : 'bad',
        place,
        0.8,
      )
    }
  }

  questions(count: number): void {
    for (const at of instants(this.random, { end: this.end, count })) {
      const place = placeByWeight(this.random)
      const who = this.people.somebody({ again: 0.1 })
      this.answer(
        this.put('question', at, place, {
          author: who,
          text: this.writer.question({ at, place: place.name, language: who.language }),
        }),
        'question',
        place,
        0.85,
      )
    }
  }

  lines(): WheraboutLine[] {
    const sorted = this.items.filter((i) => i.at <= this.end).sort((a, b) => a.at - b.at)
    const ids = new Map(sorted.map((item, i) => [item.id, `w${i + 1}`]))
    const lines: WheraboutLine[] = places.map(({ id, name, street, phone }) => ({
      op: 'business',
      id,
      name: `Skerrivane Ferries, ${name}`,
      street,
      town: name,
      phone,
    }))
    for (const { at: _at, ...item } of sorted)
      if (item.op === 'answer') lines.push({ ...item, id: ids.get(item.id)!, parent: ids.get(item.parent)! })
      else lines.push({ ...item, id: ids.get(item.id)! })
    return lines
  }
}
