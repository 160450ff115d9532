import type { TestWorld } from './world.ts'

const ago = (days: number, hours = 0) =>
  new Date(Date.now() - days * 86_400_000 - hours * 3_600_000).toISOString()
const author = (id: string, name: string) => ({ id, name, handle: id })

/** A small history: a post with comments, a private conversation, reviews with and without an answer, questions, articles. */
export function seedStandins({
  lanternpage,
  wherabout,
  press,
}: Pick<TestWorld, 'lanternpage' | 'wherabout' | 'press'>): void {
  const page = { id: 'skerrivane', name: 'Skerrivane Ferries', handle: 'skerrivane' }
  const note = (
    id: string,
    published: string,
    who: { id: string; name: string; handle: string },
    content: string,
    more: object = {},
  ) => lanternpage.state.add({ op: 'note', id, page: 'skerrivane', author: who, content, published, ...more })
  lanternpage.state.add({ op: 'page', id: 'skerrivane', name: 'Skerrivane Ferries' })
  note('n1', ago(100), page, 'Calm seas at Port Ellery this morning.')
  note('n2', ago(99), author('odile', 'Odile Marchetaux'), 'Wonderful crossing on the Grey Heron!', {
    inReplyTo: 'n1',
  })
  note('n3', ago(98), page, 'Thank you, Odile.', { inReplyTo: 'n2' })
  note('n4', ago(2), author('perrin', 'Perrin Oakes'), 'Late again, nobody told us anything. Terrible.', {
    inReplyTo: 'n1',
    reach: 400,
  })
  note('n5', ago(1), author('odile', 'Odile Marchetaux'), 'Peut-on monter à bord avec deux chiens ?', {
    inReplyTo: 'n1',
    paid: true,
  })
  note('n6', ago(0, 5), author('bastian', 'Bastian Feld'), 'Hello, I lost a green rucksack.', {
    conversation: 'skerrivane-bastian',
  })
  note('n7', ago(0, 4), author('bastian', 'Bastian Feld'), 'It was the seat by the stairs.', {
    conversation: 'skerrivane-bastian',
  })
  const business = (id: string, name: string) =>
    wherabout.state.add({
      op: 'business',
      id,
      name: `Skerrivane Ferries, ${name}`,
      street: 'Quay 1',
      town: name,
      phone: '',
    })
  business('port-ellery', 'Port Ellery')
  business('dunmarrow', 'Dunmarrow')
  const review = (id: string, place: string, created: string, rating: number, text: string) =>
    wherabout.state.add({
      op: 'review',
      id,
      business: place,
      author: { id: `a${id}`, name: `Visitor ${id}` },
      rating,
      text,
      created,
    })
  review('w1', 'port-ellery', ago(200), 5, 'Kind crew and a lovely view.')
  wherabout.state.add({
    op: 'answer',
    id: 'w2',
    business: 'port-ellery',
    parent: 'w1',
    author: { id: 'port-ellery', name: 'Skerrivane Ferries, Port Ellery' },
    owner: true,
    text: 'Thank you.',
    created: ago(199),
  })
  review('w3', 'dunmarrow', ago(3), 1, 'Waited ninety minutes, the Storm Petrel was not sailing.')
  review('w4', 'dunmarrow', ago(0, 8), 2, '')
  wherabout.state.add({
    op: 'question',
    id: 'w5',
    business: 'port-ellery',
    author: { id: 'q1', name: 'Iva Strand' },
    text: 'Is there a lift on the Little Auk?',
    created: ago(0, 3),
  })
  press.publish({
    op: 'article',
    id: 'a1',
    feed: 'courier',
    title: 'Ferry adds a late boat',
    text: 'Skerrivane Ferries adds a boat. Visitors welcomed it.',
    author: 'Marit Quill',
    published: ago(5),
  })
  press.feeds.set('courier', { op: 'feed', id: 'courier', title: 'Sound Courier', format: 'rss' })
  press.feeds.set('gazette', { op: 'feed', id: 'gazette', title: 'Orrin Gazette', format: 'atom' })
  press.feeds.set('blog', { op: 'feed', id: 'blog', title: 'The Slow Boat', format: 'json' })
  press.publish({
    op: 'article',
    id: 'a2',
    feed: 'gazette',
    title: 'Skerrivane in D',
    text: 'The folk song Skerrivane, with two fiddles.',
    author: 'Jago Feld',
    published: ago(40),
  })
  press.publish({
    op: 'article',
    id: 'a3',
    feed: 'blog',
    title: 'A slow day',
    text: 'Tea, rain & a rainbow <3',
    author: 'Ffion Rook',
    published: ago(10),
  })
}
