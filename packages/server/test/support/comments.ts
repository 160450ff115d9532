import type { TestWorld } from './world.ts'

const page = { id: 'skerrivane', name: 'Skerrivane Ferries', handle: 'skerrivane' }

/** A page of Lanternpage with one note of its own and comments of 50 people on it: n1, n2 and so on, a minute apart. */
export function addComments(
  { lanternpage }: TestWorld,
  notes: number,
  contentOf: (i: number) => string,
): void {
  const published = (i: number) => new Date(Date.now() - (notes - i) * 60_000).toISOString()
  lanternpage.state.add({ op: 'page', id: page.id, name: page.name })
  lanternpage.state.add({
    op: 'note',
    id: 'n1',
    page: page.id,
    author: page,
    content: 'Calm seas.',
    published: published(0),
  })
  for (let i = 2; i <= notes; i++)
    lanternpage.state.add({
      op: 'note',
      id: `n${i}`,
      page: page.id,
      author: { id: `p${i % 50}`, name: `Person ${i % 50}`, handle: `p${i % 50}` },
      content: contentOf(i),
      published: published(i),
      inReplyTo: 'n1',
    })
}
