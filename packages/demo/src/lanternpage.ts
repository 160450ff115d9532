import { daysBefore, events, day, hour, instants } from './calendar.ts'
import { People } from './people.ts'
import { repeatedComplaint } from './sentences/englishEvents.ts'
import { pagePosts, paidPosts } from './sentences/englishTalk.ts'
import { pick, seeded, type Random } from './random.ts'
import { placeByWeight, Writer, type Mood, type Subject } from './writer.ts'

/** As Lanternpage remembers: its journal. */
export type LanternpageLine =
  | { op: 'page'; id: string; name: string; others?: boolean }
  | { op: 'audience'; page: string; day: string; followers: number }
  | {
      op: 'note'
      id: string
      page: string
      author: { id: string; name: string; handle: string }
      content: string
      published: string
      inReplyTo?: string
      conversation?: string
      paid?: boolean
      reach?: number
    }

type Note = Extract<LanternpageLine, { op: 'note' }> & { at: number }

const pages = [
  { id: 'skerrivane', name: 'Skerrivane Ferries' },
  { id: 'skerrivane-dunmarrow', name: 'Skerrivane, Dunmarrow harbour' },
]
const team = { skerrivane: pages[0]!, 'skerrivane-dunmarrow': pages[1]! }

/** Chance that the team has answered by the end: nearly always what is older, seldom what came today. */
export const answeredBy = (end: number, at: number, often: number) => {
  const hours = (end - at) / hour
  if (hours < 2) return 0
  if (hours < 26) return often * 0.25
  return hours < 16 * 24 ? 0.996 : often
}

/** Replies are slower at night. */
export function answerTime(random: Random, at: number): number {
  const delay = (0.3 + 5 * random() ** 2) * hour
  const answered = at + delay
  const clock = new Date(answered).getUTCHours()
  return clock >= 21 || clock < 6 ? answered + (clock >= 21 ? 33 - clock : 9 - clock) * hour : answered
}

export function lanternpage({
  seed,
  end,
  scale,
}: {
  seed: number
  end: number
  scale: number
}): LanternpageLine[] {
  const random = seeded(seed + 1)
  const world = new LanternpageWorld(random, end)
  world.posts(Math.max(6, Math.round(240 * scale)))
  world.comments(Math.round(3650 * scale))
  world.engineFailure(Math.round(290 * scale))
  world.conversations(Math.round(470 * scale))
  return world.lines()
}

class LanternpageWorld {
  private readonly notes: Note[] = []
  private readonly people: People
  private readonly writer: Writer
  private postList: Note[] = []
  private number = 0

  constructor(
    private readonly random: Random,
    private readonly end: number,
  ) {
    this.people = new People(random, 'lp')
    this.writer = new Writer(random)
  }

  private note(part: Omit<Note, 'op' | 'id' | 'published'>): Note {
    const note: Note = {
      op: 'note',
      id: `t${++this.number}`,
      published: new Date(part.at).toISOString(),
      ...part,
    }
    this.notes.push(note)
    return note
  }

  private byTeam(page: string) {
    const { id, name } = team[page as keyof typeof team]
    return { id, name, handle: id }
  }

  posts(count: number): void {
    for (const at of instants(this.random, { end: this.end - 6 * hour, count, days: 368 })) {
      const paid = this.random() < 0.08
      const page = this.random() < 0.85 ? pages[0]!.id : pages[1]!.id
      const subject: Subject = { at, place: placeByWeight(this.random).name, language: 'en' }
      this.postList.push(
        this.note({
          at,
          page,
          author: this.byTeam(page),
          content: this.writer.plain(paid ? paidPosts : pagePosts, subject),
          paid,
          reach: 800 + Math.floor(4000 * this.random() ** 2),
        }),
      )
    }
    this.postList.sort((a, b) => a.at - b.at)
  }

  /** The last post before an instant, or one of the three before it. */
  private postBefore(at: number): Note {
    let last = 0
    while (last + 1 < this.postList.length && this.postList[last + 1]!.at < at) last++
    return this.postList[Math.max(0, last - Math.floor(3 * this.random() ** 2))]!
  }

  comments(count: number): void {
    const complainer = { id: 'lp-again', name: 'Gideon Whelk', handle: 'gideon.whelk' }
    // The last day is a busy one, so that there is something to do.
    for (const at of [
      ...instants(this.random, { end: this.end, count }),
      ...instants(this.random, { end: this.end - hour / 2, count: Math.round(count / 150), days: 0.8 }),
    ]) {
      const post = this.postBefore(at)
      const place = placeByWeight(this.random)
      const who = this.people.somebody()
      const subject: Subject = { at, place: place.name, language: who.language }
      const roll = this.random()
      // Nobody answers these; so that they do not lie open for days, the last fortnight has none but today's.
      const quiet = this.end - at < 16 * day && this.end - at > day
      if (roll < 0.018 && quiet) continue
      if (roll < 0.004) this.comment(at, post, complainer, repeatedComplaint)
      else if (roll < 0.012) this.comment(at, post, who, this.writer.about('spam', subject))
      else if (roll < 0.018) this.comment(at, post, who, this.writer.about('abuse', subject))
      else if (roll < 0.2)
        this.answered(
          this.comment(at, post, who, this.writer.question(subject)),
          'question',
          who.name,
          place.name,
          0.8,
        )
      else this.opinion(at, post, who, subject, place.name)
    }
  }

  private opinion(
    at: number,
    post: Note,
    who: ReturnType<People['somebody']>,
    subject: Subject,
    place: string,
  ): void {
    const dogs =
      daysBefore(this.end, at) < events.dogsOnDeck &&
      this.random() < (daysBefore(this.end, at) > events.dogsOnDeck - 10 ? 0.28 : 0.06)
    if (dogs) {
      const fan = this.random() < 0.55 ? this.people.somebody({ language: 'fr' }) : who
      this.answered(
        this.comment(at, post, fan, this.writer.about('dogs', { ...subject, language: fan.language })),
        'good',
        fan.name,
        place,
        0.5,
      )
      return
    }
    const mood: Mood = this.random() < 0.6 ? 'good' : 'bad'
    const text =
      this.random() < 0.05 ? this.writer.neutral(subject) : this.writer.remark(mood, subject, { most: 2 })
    this.answered(this.comment(at, post, who, text), mood, who.name, place, mood === 'bad' ? 0.62 : 0.4)
  }

  private comment(
    at: number,
    post: Note,
    who: { id: string; name: string; handle: string },
    content: string,
  ): Note {
    const author = { id: who.id, name: who.name, handle: who.handle }
    return this.note({
      at,
      page: post.page,
      author,
      content,
      inReplyTo: post.id,
      paid: post.paid,
      reach: Math.floor(60 * this.random() ** 3),
    })
  }

  private answered(
    to: Note,
    kind: 'good' | 'bad' | 'question',
    name: string,
    place: string,
    often: number,
  ): void {
    if (this.random() > answeredBy(this.end, to.at, often)) return
    const at = answerTime(this.random, to.at)
    if (at > this.end) return
    const content = this.writer.answer(
      kind,
      { at, place, language: 'en', name: name.split(' ')[0] },
      to.content,
    )
    this.note({ at, page: to.page, author: this.byTeam(to.page), content, inReplyTo: to.id })
    const back = at + 2 * hour * this.random()
    if (this.random() < 0.04 && back < this.end - day) {
      const thanks = this.note({
        at: back,
        page: to.page,
        author: to.author,
        content: pick(this.random, [
          'Thank you!',
          'Thanks, that helps.',
          'Still not good enough.',
          'Cheers.',
        ]),
        inReplyTo: to.id,
      })
      this.note({
        at: Math.min(this.end - hour, back + hour),
        page: to.page,
        author: this.byTeam(to.page),
        content: 'Thank you for coming back to us.',
        inReplyTo: thanks.id,
      })
    }
  }

  /** 31 hours from the afternoon of that day, loudest at the beginning. */
  engineFailure(count: number): void {
    const start = Math.floor((this.end - events.engineFailure * day) / day) * day + 15 * hour
    const post = this.postBefore(start)
    for (let i = 0; i < count; i++) {
      const at = Math.floor(start + 31 * hour * this.random() ** 1.6)
      if (at > this.end) continue
      const who = this.people.somebody({ again: 0.2, language: this.random() < 0.8 ? 'en' : undefined })
      const subject: Subject = { at, place: 'Dunmarrow', language: who.language }
      const text =
        who.language === 'en'
          ? this.writer.about(this.random() < 0.7 ? 'engineShort' : 'engineLong', subject)
          : this.writer.remark('bad', subject, { most: 2 })
      this.answered(
        this.comment(at, { ...post, page: pages[this.random() < 0.6 ? 1 : 0]!.id }, who, text),
        'bad',
        who.name,
        'Dunmarrow',
        0.7,
      )
    }
  }

  conversations(count: number): void {
    for (const at of instants(this.random, { end: this.end, count })) {
      const who = this.people.somebody({ again: 0.25 })
      const place = placeByWeight(this.random).name
      const page = pages[this.random() < 0.8 ? 0 : 1]!.id
      const conversation = `${page}-${who.id}`
      const author = { id: who.id, name: who.name, handle: who.handle }
      const subject: Subject = { at, place, language: who.language, name: who.name.split(' ')[1] }
      const asked = this.writer.message(subject)
      this.note({ at, page, author, content: asked, conversation })
      let last = at
      if (this.random() < 0.3) {
        last = at + (0.1 + 2 * this.random()) * hour
        if (last < this.end)
          this.note({ at: last, page, author, content: this.writer.message(subject, true), conversation })
      }
      const reply = answerTime(this.random, last)
      if (this.random() < answeredBy(this.end, at, 0.97) && reply < this.end)
        this.note({
          at: reply,
          page,
          author: this.byTeam(page),
          content: this.writer.answer(
            'question',
            { ...subject, language: 'en', name: who.name.split(' ')[0] },
            asked,
          ),
          conversation,
        })
    }
  }

  /** In the order of time, under ids in that order: as if everything had been written there. */
  lines(): LanternpageLine[] {
    const sorted = this.notes.filter((n) => n.at <= this.end).sort((a, b) => a.at - b.at)
    const ids = new Map(sorted.map((note, i) => [note.id, `n${i + 1}`]))
    const lines: LanternpageLine[] = pages.map((p) => ({ op: 'page', ...p }))
    for (const { at: _at, ...note } of sorted) {
      // What answered something that was cut off at the end goes with it.
      if (note.inReplyTo && !ids.has(note.inReplyTo)) continue
      lines.push({
        ...note,
        id: ids.get(note.id)!,
        inReplyTo: note.inReplyTo && ids.get(note.inReplyTo),
        published: note.published,
      })
    }
    return lines
  }
}
