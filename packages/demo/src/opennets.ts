import { day, events, hour, instants } from './calendar.ts'
import { People, type Somebody } from './people.ts'
import { pick, seeded, weighted, type Random } from './random.ts'
import { birds } from './sentences/englishPress.ts'
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
export interface OpenLine {
  op: 'post'
  id: string
  author: { id: string; name: string; handle: string }
  title?: string
  content: string
  published: string
  inReplyTo?: string
  views?: number
}
type Post = Omit<OpenLine, 'op' | 'id' | 'published' | 'inReplyTo'> & { at: number; answers?: Post }

export interface OpenWorld {
  skimmer: OpenLine[]
  framelet: OpenLine[]
  reelbarn: OpenLine[]
  talkstead: OpenLine[]
}

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

  /** In the order of time, so that an answer follows what it answers. */
  lines(): OpenLine[] {
    const sorted = [...this.all].sort((a, b) => a.at - b.at)
    const ids = new Map(sorted.map((post, i) => [post, `p${i + 1}`]))
    return sorted.map((post) => ({
      op: 'post',
      id: ids.get(post)!,
      author: post.author,
      title: post.title,
      content: post.content,
      published: new Date(Math.floor(post.at / 1000) * 1000).toISOString(),
      inReplyTo: post.answers ? ids.get(post.answers) : undefined,
      views: post.views,
    }))
  }
}
