import { day, events, hour, instants } from './calendar.ts'
import { People, type Somebody } from './people.ts'
import { pick, seeded, weighted, type Random } from './random.ts'
import { answeredBy, answerTime } from './lanternpage.ts'
import { birds } from './sentences/englishPress.ts'
import { pagePosts } from './sentences/englishTalk.ts'
import {
  afterthoughts,
  filmTexts,
  namedThreads as namedThreadTexts,
  ownFilms as ownFilmTitles,
  ownPictures,
} from './sentences/ownPosts.ts'
import {
  captions,
  dogCaptions,
  forumAnswers,
  forumThreads,
  frenchOpen,
  openComplaints,
  openKnitting,
  openNeutral,
  openPraise,
  openSong,
  rivalTalk,
  videoComments,
  videoTitles,
} from './sentences/englishOpen.ts'
import { placeByWeight, Writer, type Subject } from './writer.ts'

/** As an open network remembers: its journal. */
export type OpenRecord =
  | OpenLine
  | { op: 'account'; id: string; name: string; handle: string }
  | { op: 'edit'; id: string; content: string; at: string }
  | { op: 'deletion'; id: string; at: string }

export interface OpenLine {
  op: 'post'
  id: string
  author: { id: string; name: string; handle: string }
  title?: string
  content: string
  published: string
  inReplyTo?: string
  views?: number
  paid?: boolean
  conversation?: { id: string; account: string }
}
type Post = Omit<OpenLine, 'op' | 'id' | 'published' | 'inReplyTo'> & { at: number; answers?: Post }

export interface OpenWorld {
  skimmer: OpenRecord[]
  framelet: OpenRecord[]
  reelbarn: OpenRecord[]
  talkstead: OpenRecord[]
}

/** The brand's account, the same on every open network. */
const own = { id: 'skerrivane', name: 'Skerrivane Ferries', handle: 'skerrivane' }

/** What people without any tie to the brand say about it, about its rivals, and about other things of its name. */
export function opennets({ seed, end, scale }: { seed: number; end: number; scale: number }): OpenWorld {
  const make = (offset: number) => new OpenNetWorld(seeded(seed + offset), end, 'abcd'[offset - 11]!)
  const [skimmer, framelet, reelbarn, talkstead] = [make(11), make(12), make(13), make(14)]
  skimmer!.shortPosts(Math.round(1150 * scale))
  skimmer!.engineFailure(Math.round(330 * scale))
  framelet!.pictures(Math.round(280 * scale))
  framelet!.dogs(Math.round(150 * scale))
  reelbarn!.videos(Math.round(60 * scale))
  talkstead!.threads(Math.round(150 * scale))
  talkstead!.frenchDogs(Math.round(40 * scale))
  skimmer!.ownPosts(Math.round(150 * scale), pagePosts, { comments: Math.round(330 * scale) })
  skimmer!.named(Math.round(260 * scale))
  skimmer!.messages(Math.round(150 * scale))
  framelet!.ownPosts(Math.round(110 * scale), ownPictures, { comments: Math.round(420 * scale) })
  framelet!.named(Math.round(90 * scale))
  framelet!.messages(Math.round(110 * scale))
  reelbarn!.ownFilms(Math.round(26 * scale), { comments: Math.round(170 * scale) })
  talkstead!.namedThreads(Math.round(70 * scale))
  return {
    skimmer: skimmer!.lines(),
    framelet: framelet!.lines(),
    reelbarn: reelbarn!.lines(),
    talkstead: talkstead!.lines(),
  }
}

class OpenNetWorld {
  private readonly all: Post[] = []
  private readonly people: People
  private readonly writer: Writer
  private readonly followers = new Map<string, number>()
  /** People who write in another language; they mend nothing in English. */
  private readonly foreign = new Set<string>()

  constructor(
    private readonly random: Random,
    private readonly end: number,
    prefix: string,
  ) {
    this.people = new People(random, prefix)
    this.writer = new Writer(random)
  }

  private subject(at: number): Subject {
    return { at, place: placeByWeight(this.random).name, language: 'en' }
  }

  /** How many a voice reaches: most a few dozen, some many thousands. */
  private reach(who: Somebody): number {
    const known = this.followers.get(who.id)
    const size = known ?? Math.round(20 * (1 - this.random()) ** -1.1)
    this.followers.set(who.id, size)
    return Math.min(80_000, Math.round(size * (0.5 + this.random())))
  }

  private post(
    at: number,
    content: string,
    {
      title,
      answers,
      again = 0.3,
      language,
    }: { title?: string; answers?: Post; again?: number; language?: 'fr' } = {},
  ): Post {
    const who = this.people.somebody({ again, language })
    const { id, name, handle } = who
    if (who.language !== 'en') this.foreign.add(id)
    const post: Post = { at, author: { id, name, handle }, title, content, views: this.reach(who), answers }
    this.all.push(post)
    return post
  }

  shortPosts(count: number): void {
    for (const at of instants(this.random, { end: this.end, count })) {
      const bank = weighted(this.random, [
        [openPraise, 24],
        [openComplaints, 26],
        [openNeutral, 12],
        [rivalTalk, 22],
        [openKnitting, 8],
        [openSong, 6],
        [birds, 2],
      ])
      this.post(at, this.writer.plain(bank, this.subject(at)).slice(0, 300), {
        again: bank === openKnitting || bank === openSong ? 0.7 : 0.3,
      })
    }
  }

  /** The engine failure is told here first: from the first minutes on, loudest in the evening, 31 hours in all. */
  engineFailure(count: number): void {
    const start = Math.floor((this.end - events.engineFailure * day) / day) * day + 14.6 * hour
    for (let i = 0; i < count; i++) {
      const at = start + 31 * hour * this.random() ** 1.6
      if (at <= this.end)
        this.post(
          at,
          this.writer.about('engineShort', { at, place: 'Dunmarrow', language: 'en' }).slice(0, 300),
          { again: 0.15 },
        )
    }
  }

  pictures(count: number): void {
    for (const at of instants(this.random, { end: this.end, count }))
      this.post(at, this.writer.plain(captions, this.subject(at)))
  }

  /** Joy about dogs on deck, most in the first weeks after the change. */
  dogs(count: number): void {
    const start = this.end - events.dogsOnDeck * day
    for (let i = 0; i < count; i++) {
      const at = start + (this.end - start) * this.random() ** 2
      const french = this.random() < 0.2
      this.post(
        at,
        this.writer.plain(french ? frenchOpen : dogCaptions, this.subject(at)),
        french ? { language: 'fr' } : {},
      )
    }
  }

  videos(count: number): void {
    for (const at of instants(this.random, { end: this.end, count })) {
      const subject = this.subject(at)
      const title = this.writer.plain(videoTitles, subject)
      const video = this.post(
        at,
        `Filmed between ${subject.place} and the islands. ${this.writer.plain(captions, subject)}`,
        { title },
      )
      for (let i = Math.floor(this.random() * 6); i > 0; i--) this.answer(video, videoComments)
    }
  }

  threads(count: number): void {
    for (const at of instants(this.random, { end: this.end, count })) {
      const [title = '', text = ''] = this.writer.plain(forumThreads, this.subject(at)).split('|')
      const trap = this.random()
      const post =
        trap < 0.08
          ? this.post(at, this.writer.plain(trap < 0.05 ? openKnitting : openSong, this.subject(at)), {
              title: trap < 0.05 ? 'Skerrivane: yarn and needles' : 'Skerrivane: words and chords',
            })
          : this.post(at, text, { title })
      if (trap >= 0.08)
        for (let i = Math.floor(this.random() * 5); i > 0; i--) this.answer(post, forumAnswers)
    }
  }

  frenchDogs(count: number): void {
    const start = this.end - events.dogsOnDeck * day
    for (let i = 0; i < count; i++) {
      const at = start + (this.end - start) * this.random() ** 1.5
      this.post(at, this.writer.plain(frenchOpen, this.subject(at)), {
        title: pick(this.random, ['Chiens et bateaux', 'Avec le chien', 'Vos traversées']),
        language: 'fr',
      })
    }
  }

  private answer(to: Post, bank: readonly string[]): void {
    const at = to.at + hour * (0.5 + 70 * this.random() ** 3)
    if (at < this.end) this.post(at, this.writer.plain(bank, this.subject(at)), { answers: to })
  }

  private own(at: number, content: string, more: Partial<Post> = {}): Post {
    const post: Post = { at, author: own, content, ...more }
    this.all.push(post)
    return post
  }

  /** The team's answer, as often and as soon as it answers elsewhere. */
  private answered(to: Post, kind: 'good' | 'bad' | 'question', subject: Subject, often: number): void {
    if (this.random() > answeredBy(this.end, to.at, often)) return
    const at = answerTime(this.random, to.at)
    if (at > this.end) return
    const name = to.author.name.split(' ')[0]
    const { conversation } = to
    this.own(
      at,
      this.writer.answer(kind, { ...subject, at, language: 'en', name }, to.content).slice(0, 300),
      {
        ...(conversation ? { conversation } : { answers: to }),
      },
    )
  }

  /** The brand's own posts, and what people write under them. */
  ownPosts(count: number, bank: readonly string[], { comments }: { comments: number }): void {
    const posts = instants(this.random, { end: this.end - 6 * hour, count: Math.max(4, count), days: 368 })
      .sort((a, b) => a - b)
      .map((at) =>
        this.own(at, this.writer.plain(bank, this.subject(at)).slice(0, 300), {
          views: 400 + Math.floor(6000 * this.random() ** 2),
          paid: this.random() < 0.07 || undefined,
        }),
      )
    this.commentsOn(posts, comments)
  }

  ownFilms(count: number, { comments }: { comments: number }): void {
    const films = instants(this.random, { end: this.end - 6 * hour, count: Math.max(3, count), days: 368 })
      .sort((a, b) => a - b)
      .map((at) =>
        this.own(at, this.writer.plain(filmTexts, this.subject(at)), {
          title: this.writer.plain(ownFilmTitles, this.subject(at)),
          views: 900 + Math.floor(9000 * this.random() ** 2),
        }),
      )
    this.commentsOn(films, comments)
  }

  private commentsOn(posts: readonly Post[], count: number): void {
    for (const at of [
      ...instants(this.random, { end: this.end, count }),
      ...instants(this.random, { end: this.end - hour / 2, count: Math.ceil(count / 120), days: 0.8 }),
    ]) {
      const before = posts.filter((post) => post.at < at)
      const post = before[before.length - 1 - Math.floor(3 * this.random() ** 2)]
      if (!post) continue
      const who = this.people.somebody()
      const subject: Subject = { at, place: placeByWeight(this.random).name, language: who.language }
      const asks = this.random() < 0.22
      const mood = this.random() < 0.66 ? 'good' : 'bad'
      const text = asks ? this.writer.question(subject) : this.writer.remark(mood, subject, { most: 1 })
      this.answered(this.by(who, at, text, { answers: post }), asks ? 'question' : mood, subject, 0.6)
    }
  }

  private by(who: Somebody, at: number, content: string, more: Partial<Post>): Post {
    const { id, name, handle, language } = who
    if (language !== 'en') this.foreign.add(id)
    const post: Post = {
      at,
      author: { id, name, handle },
      content: content.slice(0, 300),
      views: more.conversation ? undefined : this.reach(who),
      ...more,
    }
    this.all.push(post)
    return post
  }

  /** Posts in which people turn to the brand by its name on the network. */
  named(count: number): void {
    for (const at of instants(this.random, { end: this.end, count })) {
      const who = this.people.somebody({ again: 0.2 })
      const subject: Subject = { at, place: placeByWeight(this.random).name, language: who.language }
      const asks = this.random() < 0.5
      const mood = this.random() < 0.4 ? 'good' : 'bad'
      const text = asks
        ? `@skerrivane ${this.writer.question(subject)}`
        : `${this.writer.remark(mood, subject, { most: 1 }).slice(0, 280)} @skerrivane`
      this.answered(this.by(who, at, text, {}), asks ? 'question' : mood, subject, 0.7)
    }
  }

  messages(count: number): void {
    for (const at of instants(this.random, { end: this.end, count })) {
      const who = this.people.somebody({ again: 0.2 })
      const subject: Subject = {
        at,
        place: placeByWeight(this.random).name,
        language: who.language,
        name: who.name.split(' ')[1],
      }
      const conversation = { id: `${own.id}-${who.id}`, account: own.id }
      const first = this.by(who, at, this.writer.message(subject), { conversation })
      const more = at + (0.1 + 2 * this.random()) * hour
      const last =
        this.random() < 0.3 && more < this.end
          ? this.by(who, more, this.writer.message(subject, true), { conversation })
          : first
      this.answered(last, 'question', subject, 0.95)
    }
  }

  namedThreads(count: number): void {
    for (const at of instants(this.random, { end: this.end, count })) {
      const subject = this.subject(at)
      const [title = '', text = ''] = this.writer.plain(namedThreadTexts, subject).split('|')
      const who = this.people.somebody({ again: 0.1, language: 'en' })
      const head = this.by(who, at, text, { title })
      for (let i = Math.floor(this.random() * 3); i > 0; i--) this.answer(head, forumAnswers)
      this.answered(head, 'question', subject, 0.6)
    }
  }

  /** In the order of time, so that an answer follows what it answers. */
  lines(): OpenRecord[] {
    const sorted = this.all.filter(({ at }) => at <= this.end).sort((a, b) => a.at - b.at)
    const ids = new Map(sorted.map((post, i) => [post, `p${i + 1}`]))
    const posts = sorted.map((post) => ({
      op: 'post' as const,
      id: ids.get(post)!,
      author: post.author,
      title: post.title,
      content: post.content,
      published: new Date(Math.floor(post.at / 1000) * 1000).toISOString(),
      inReplyTo: post.answers ? ids.get(post.answers) : undefined,
      views: post.views,
      paid: post.paid,
      conversation: post.conversation,
    }))
    return [{ op: 'account', ...own }, ...this.withChanges(posts)]
  }

  /** Some think better of what they wrote: a word more, or nothing left; in the order of time among the rest. */
  private withChanges(posts: readonly OpenLine[]): OpenRecord[] {
    const changes = posts.flatMap((post): { at: string; record: OpenRecord }[] => {
      const roll = this.random()
      const when = Date.parse(post.published) + (0.1 + 20 * this.random() ** 2) * hour
      if (post.author.id === own.id || this.foreign.has(post.author.id) || roll > 0.03 || when > this.end)
        return []
      const at = new Date(when).toISOString()
      const record: OpenRecord =
        roll < 0.008
          ? { op: 'deletion', id: post.id, at }
          : {
              op: 'edit',
              id: post.id,
              content: `${post.content} ${this.writer.plain(afterthoughts, this.subject(when))}`.slice(
                0,
                300,
              ),
              at,
            }
      return [{ at, record }]
    })
    return [...posts.map((record) => ({ at: record.published, record: record as OpenRecord })), ...changes]
      .sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0))
      .map(({ record }) => record)
  }
}
