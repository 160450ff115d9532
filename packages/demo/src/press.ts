import { day, events, hour, instants } from './calendar.ts'
import { engineFailure } from './sentences/englishEvents.ts'
import { birds, blogPosts, folkSong, knitting, newsStories } from './sentences/englishPress.ts'
import { familyNames, firstNames } from './sentences/names.ts'
import { pick, seeded, type Random } from './random.ts'
import { placeByWeight, Writer, type Subject } from './writer.ts'

/** As the press remembers: its journal. */
export type PressLine =
  | { op: 'feed'; id: string; title: string; format: 'rss' | 'atom' | 'json' }
  | {
      op: 'article'
      id: string
      feed: string
      title: string
      text: string
      author: string
      published: string
    }

export const feeds: {
  id: string
  title: string
  format: 'rss' | 'atom' | 'json'
  about: 'news' | 'blog' | 'knitting' | 'song'
}[] = [
  { id: 'sound-courier', title: 'Sound Courier', format: 'rss', about: 'news' },
  { id: 'orrin-gazette', title: 'Orrin Gazette', format: 'atom', about: 'news' },
  { id: 'northmoor-notes', title: 'Northmoor Notes', format: 'rss', about: 'news' },
  { id: 'islands-daily', title: 'Islands Daily', format: 'atom', about: 'news' },
  { id: 'slow-boat', title: 'The Slow Boat', format: 'json', about: 'blog' },
  { id: 'five-harbours', title: 'Five Harbours, One Bicycle', format: 'json', about: 'blog' },
  { id: 'wool-and-wind', title: 'Wool and Wind', format: 'json', about: 'knitting' },
  { id: 'reel-and-air', title: 'Reel and Air', format: 'rss', about: 'song' },
]

export function press({ seed, end, scale }: { seed: number; end: number; scale: number }): PressLine[] {
  const random = seeded(seed + 3)
  const writer = new Writer(random)
  const authors = feeds.map(() => `${pick(random, firstNames)} ${pick(random, familyNames)}`)
  const articles: { at: number; feed: string; title: string; text: string; author: string }[] = []
  for (const at of instants(random, { end, count: Math.round(330 * scale) })) {
    const index = Math.floor(random() * feeds.length)
    const feed = feeds[index]!
    const subject: Subject = { at, place: placeByWeight(random).name, language: 'en' }
    articles.push({
      at,
      feed: feed.id,
      author: authors[index]!,
      ...compose(random, writer, feed.about, subject),
    })
  }
  // One story, copied in seven places within a day and a half.
  const start = end - events.engineFailure * day + 9 * hour
  for (const [i, feed] of feeds.slice(0, 7).entries())
    articles.push({
      at: start + i * 4 * hour,
      feed: feed.id,
      author: authors[i]!,
      title: i % 2 ? 'Storm Petrel towed in after engine failure' : 'Ferry loses engine off Dunmarrow',
      text: engineFailure.news,
    })
  const sorted = articles.filter((a) => a.at <= end).sort((a, b) => a.at - b.at)
  return [
    ...feeds.map(({ id, title, format }): PressLine => ({ op: 'feed', id, title, format })),
    ...sorted.map(({ at, ...article }, i): PressLine => ({
      op: 'article',
      id: `a${i + 1}`,
      ...article,
      published: new Date(at).toISOString(),
    })),
  ]
}

function compose(
  random: Random,
  writer: Writer,
  about: (typeof feeds)[number]['about'],
  subject: Subject,
): { title: string; text: string } {
  if (about === 'news' || about === 'blog') {
    if (about === 'blog' && random() < 0.12)
      return {
        title: 'On the water',
        text: `${writer.plain(birds, subject)} ${writer.plain(birds, subject)}`,
      }
    const [title = '', text = ''] = writer
      .plain(about === 'news' ? newsStories : blogPosts, subject)
      .split('|')
    return { title, text }
  }
  const bank = about === 'knitting' ? knitting : folkSong
  const title =
    about === 'knitting'
      ? pick(random, ['On the needles', 'Wool diary', 'Finished this week', 'A question of gauge'])
      : pick(random, ['From the session', 'A tune for the week', 'Notes on a song'])
  return { title, text: `${writer.plain(bank, subject)} ${writer.plain(bank, subject)}` }
}
