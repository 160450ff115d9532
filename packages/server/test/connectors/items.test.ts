import { describe, expect, test } from 'vitest'
import type { connectorOf } from '../../src/connectors/index.ts'
import { accountConnectorOf } from '../../src/connectors/index.ts'
import { accountItemOf, type AccountActivity } from '../../src/connectors/shared/accountStream.ts'
import { itemOf as mapsItem } from '../../src/connectors/shared/reviewSite.ts'
import type { FeedItem } from '../../src/connectors/shared/schemaOrg.ts'
import { itemOf as pagesItem } from '../../src/connectors/pages/index.ts'
import type { Activity } from '../../src/connectors/pages/activityStreams.ts'

const profile = { id: 1, outsideId: 'skerrivane', address: 'http://127.0.0.1:1', accessToken: 'k' }
const base = 'http://127.0.0.1:1'
const at = Date.parse('2026-11-24T09:00:00Z')

describe('pages: ActivityStreams 2.0', () => {
  const note = (object: Partial<Activity['object']> = {}, type = 'Create'): Activity => ({
    type,
    published: '2026-11-24T09:00:00Z',
    object: {
      type: 'Note',
      id: `${base}/notes/n4`,
      content: 'Late again',
      attributedTo: { id: `${base}/people/perrin`, name: 'Perrin Oakes', preferredUsername: 'p.oakes' },
      published: '2026-11-24T09:00:00Z',
      to: ['https://www.w3.org/ns/activitystreams#Public'],
      ...object,
    },
  })
  const own = { id: `${base}/pages/skerrivane`, name: 'Skerrivane Ferries' }

  test.each([
    [
      'a post of ours',
      note({ attributedTo: own }),
      { threadId: 'post/n4', direction: 'out', kind: 'comment', private: false },
    ],
    [
      'a comment',
      note({ inReplyTo: `${base}/notes/n1` }),
      { threadId: 'comment/n4', parentId: 'n1', direction: 'in', kind: 'comment' },
    ],
    [
      'our answer',
      note({ inReplyTo: `${base}/notes/n3`, attributedTo: own, key: 'k1' }),
      { parentId: 'n3', direction: 'out', replyKey: 'k1' },
    ],
    [
      'a private message',
      note({ context: `${base}/conversations/c1`, to: [`${base}/pages/skerrivane`] }),
      { threadId: 'conversation/c1', kind: 'message', private: true, direction: 'in' },
    ],
    ['a comment on a paid post', note({ paid: true, views: 400 }), { paid: true, reach: 400 }],
  ])('%s', (_, activity, expected) => {
    expect(pagesItem(activity, profile)).toMatchObject({
      outsideId: 'n4',
      text: 'Late again',
      at,
      ...expected,
    })
  })
  test('an author without a name goes by the handle', () => {
    expect(
      pagesItem(note({ attributedTo: { id: `${base}/people/x`, preferredUsername: 'low.tide' } }), profile)
        ?.author,
    ).toMatchObject({ name: 'low.tide', handle: 'low.tide', outsideId: 'x' })
  })
  test.each([
    ['another activity', note({}, 'Like')],
    ['another object', note({ type: 'Image' })],
    ['no text', note({ content: undefined })],
  ])('%s is left out', (_, activity) => expect(pagesItem(activity, profile)).toBeNull())
  test.each([
    ['no date', { ...note({ published: undefined }), published: undefined }],
    ['a broken date', { ...note({ published: 'soon' }), published: 'soon' }],
  ])('with %s it is undated', (_, activity) => expect(pagesItem(activity, profile)?.at).toBeNaN())
  test('content is HTML unless it says that it is plain', () => {
    const content = '<p>Tea &amp; <b>rain</b></p><p>&lt;3</p><script>x</script>'
    expect(pagesItem(note({ content }), profile)?.text).toBe('Tea & rain\n\n<3')
    expect(pagesItem(note({ content, mediaType: 'text/plain' }), profile)?.text).toBe(content)
  })
  test('what a webhook carries is read the same way, and nonsense is nothing', () => {
    const receive = accountConnectorOf('pages')!.receive!
    expect(receive(profile, { data: note() }).items.map((i) => i.outsideId)).toEqual(['n4'])
    expect(receive(profile, {})).toEqual({ items: [], unread: [], gone: [] })
  })
})

describe('maps: schema.org', () => {
  const business = {
    '@type': 'LocalBusiness',
    '@id': `${base}/businesses/skerrivane`,
    name: 'Skerrivane Ferries',
  }
  const item = (more: Partial<FeedItem['item']> = {}): FeedItem => ({
    '@type': 'DataFeedItem',
    item: {
      '@type': 'Review',
      '@id': `${base}/items/w3`,
      url: `${base}/items/w3`,
      author: { '@type': 'Person', '@id': `${base}/people/a`, name: 'Iva Strand' },
      dateCreated: '2026-11-24T09:00:00Z',
      reviewBody: 'Kind crew',
      reviewRating: { ratingValue: 4, bestRating: 5, worstRating: 1 },
      upvoteCount: 7,
      ...more,
    },
  })
  test.each([
    [
      'a review',
      item(),
      { kind: 'review', rating: 4, text: 'Kind crew', threadId: 'w3', direction: 'in', reach: 7 },
    ],
    ['a rating without words', item({ reviewBody: undefined }), { text: '', rating: 4 }],
    [
      'a rating of ten',
      item({ reviewRating: { ratingValue: 10, bestRating: 10, worstRating: 1 } }),
      { rating: 5 },
    ],
    [
      'a rating of six of eleven',
      item({ reviewRating: { ratingValue: '6', bestRating: 11, worstRating: 1 } }),
      { rating: 3 },
    ],
    [
      'a rating beyond its scale',
      item({ reviewRating: { ratingValue: 9, bestRating: 5, worstRating: 1 } }),
      { rating: undefined },
    ],
    [
      'a question',
      item({ '@type': 'Question', text: 'Is there a lift?' }),
      { kind: 'question', text: 'Is there a lift?' },
    ],
    [
      'the owner’s answer',
      item({
        '@type': 'Comment',
        text: 'Thank you',
        author: business,
        parentItem: { '@id': `${base}/items/w1` },
        identifier: 'k1',
      }),
      { direction: 'out', threadId: 'w1', replyKey: 'k1' },
    ],
    [
      'somebody’s answer to a question',
      item({ '@type': 'Answer', text: 'There is', parentItem: { '@id': `${base}/items/w1` } }),
      { direction: 'in', threadId: 'w1', kind: 'comment' },
    ],
    [
      'an author without a name',
      item({ author: { '@id': `${base}/people/a` } }),
      { author: { name: 'A visitor', outsideId: 'a', url: `${base}/people/a` } },
    ],
  ])('%s', (_, given, expected) =>
    expect(mapsItem(given, profile)).toMatchObject({ outsideId: 'w3', at, ...expected }),
  )
  test.each([
    ['an answer to nothing', item({ '@type': 'Comment', parentItem: undefined })],
    ['another thing', item({ '@type': 'Event' })],
    ['no author', item({ author: undefined })],
    ['no id', item({ '@id': undefined })],
  ])('%s is left out', (_, given) => expect(mapsItem(given, profile)).toBeNull())
  test('without a date it is undated', () =>
    expect(mapsItem(item({ dateCreated: undefined }), profile)?.at).toBeNaN())
})

test.each([
  ['pages', ['comment', 'message'], 2000, true, true],
  ['maps', ['review', 'question'], 4000, true, true],
  ['reviews', ['review'], 2500, true, true],
  ['posts', ['comment', 'mention', 'message'], 300, true, true],
  ['photos', ['comment', 'mention', 'message'], 2200, true, true],
  ['video', ['comment', 'mention'], 5000, true, true],
  ['forum', ['comment', 'mention'], 20_000, true, true],
  ['texts', ['message'], 1530, true, true],
  ['news', [], 0, false, false],
])('%s can answer %j in %i characters', (channel, kinds, length, live, oauth) => {
  const { capabilities } = accountConnectorOf(channel)!
  expect(capabilities).toMatchObject({ repliesTo: kinds, replyLength: length, live, oauth })
  expect(accountConnectorOf('import')).toBeUndefined()
})
test('a private message is answered in private, everything else in public', () => {
  const { replyIsPublic } = accountConnectorOf('pages')!.capabilities
  expect([replyIsPublic('message'), replyIsPublic('comment')]).toEqual([false, true])
})

describe('a network that lies', () => {
  const answering = (answer: unknown) =>
    ({ json: async () => answer }) as unknown as Parameters<
      NonNullable<ReturnType<typeof connectorOf>>['collect']
    >[2]
  const tools = {
    readMail: () => Promise.reject(new Error('no mail')),
    parseFeed: () => Promise.reject(new Error('no feed here')),
  }
  const collect = (channel: string, answer: unknown) =>
    accountConnectorOf(channel)!.collect({ ...profile, terms: ['x'] }, null, answering(answer), tools)
  const good = {
    type: 'Create',
    published: '2026-11-24T09:00:00Z',
    object: {
      type: 'Note',
      id: 'n1',
      content: 'fine',
      attributedTo: { id: 'p1', name: 'Odile' },
      context: 'c1',
    },
  }
  test('in one piece of a page loses that piece, told with its reason, and no other', async () => {
    const broken = [
      { ...good, object: { ...good.object, id: 'n2', attributedTo: undefined } },
      null,
      7,
      { type: 'Create', object: { type: 'Note', id: 5, content: 'x' } },
    ]
    for (const channel of ['pages', 'posts']) {
      const page = await collect(channel, { orderedItems: [good, ...broken, good], cursor: '1' })
      expect(page.items.length, channel).toBeGreaterThanOrEqual(2)
      expect(page.items.length + page.unread.length, channel).toBeGreaterThanOrEqual(4)
      expect(page.unread.every(({ reason, outsideId }) => reason && outsideId)).toBe(true)
    }
  })
  test.each([
    ['pages', {}],
    ['pages', { orderedItems: null }],
    ['pages', { orderedItems: 'many' }],
    ['maps', { dataFeedElement: {} }],
    ['posts', { orderedItems: 4 }],
  ])('about the list itself fails as a whole: %s, %j', async (channel, answer) => {
    await expect(collect(channel, answer)).rejects.toThrow('no list of entries')
  })
})

describe('the stream of an account', () => {
  const us = { ...profile, outsideId: 'skerrivane' }
  const everyone = 'https://www.w3.org/ns/activitystreams#Public'
  const thea = { id: `${base}/people/thea`, name: 'Thea Quist', preferredUsername: 'thea' }
  const ours = { id: `${base}/accounts/skerrivane`, name: 'Skerrivane Ferries' }
  const head = (author: { id: string }, id = 'p1') => ({ id: `${base}/posts/${id}`, attributedTo: author.id })
  const said = (object: Record<string, unknown> = {}, type = 'Create') =>
    ({
      type,
      published: '2026-11-24T09:00:00Z',
      object: {
        type: 'Note',
        id: `${base}/posts/p4`,
        content: 'Late again',
        mediaType: 'text/plain',
        attributedTo: thea,
        published: '2026-11-24T09:00:00Z',
        to: [everyone],
        context: head(thea, 'p4'),
        ...object,
      },
    }) as unknown as AccountActivity
  const mention = { type: 'Mention', href: `${base}/accounts/skerrivane` }

  test.each<[string, AccountActivity, object]>([
    [
      'a post of ours',
      said({ attributedTo: ours, context: head(ours, 'p4') }),
      { threadId: 'post/p4', direction: 'out' },
    ],
    [
      'a comment under it',
      said({ inReplyTo: `${base}/posts/p1`, context: head(ours) }),
      { threadId: 'comment/p4', parentId: 'p1', kind: 'comment', direction: 'in' },
    ],
    [
      'a post that names us',
      said({ tag: [mention] }),
      { threadId: 'thread/p4', kind: 'mention', origin: 'sent' },
    ],
    ['one tag alone', said({ tag: mention }), { origin: 'sent' }],
    [
      'an answer to ours elsewhere',
      said({ cc: [ours.id], context: head(thea) }),
      { threadId: 'thread/p1', origin: 'sent' },
    ],
    ['whom it answers as an object', said({ cc: { id: ours.id } }), { origin: 'sent' }],
    [
      'others in a thread we are in',
      said({ context: head(thea) }),
      { threadId: 'thread/p1', origin: 'heard' },
    ],
    [
      'a private message',
      said({ to: [`${base}/accounts/skerrivane`], context: { id: `${base}/conversations/c9` } }),
      { threadId: 'conversation/c9', kind: 'message', private: true },
    ],
    ['one that is for all, said shortly', said({ to: 'as:Public' }), { private: false }],
    ['to nobody', said({ to: null }), { private: true, kind: 'message' }],
    [
      'a change',
      said({ updated: '2026-11-24T10:00:00Z' }, 'Update'),
      { changedAt: Date.parse('2026-11-24T10:00:00Z') },
    ],
  ])('%s', (_, activity, expected) => expect(accountItemOf(activity, us)).toMatchObject(expected))

  test('what is deleted is no item, and says what it was', () => {
    const tombstone = { type: 'Tombstone', id: `${base}/posts/p4`, deleted: '2026-11-25T00:00:00Z' }
    for (const object of [tombstone, `${base}/posts/p4`]) {
      const { items, gone } = accountConnectorOf('posts')!.receive!(us, {
        data: { type: 'Delete', published: '2026-11-25T00:00:00Z', object },
      })
      expect([items, gone]).toEqual([[], [{ outsideId: 'p4', at: Date.parse('2026-11-25T00:00:00Z') }]])
    }
  })
  test('a part of any shape is an item, set apart, or nothing; never a failure of all', () => {
    const odd = [null, 7, '', [], {}, { id: 5 }, [null], 'https://x', { type: 'Mention' }, [[]]]
    for (const field of [
      'to',
      'cc',
      'tag',
      'context',
      'inReplyTo',
      'attributedTo',
      'published',
      'updated',
      'name',
      'id',
    ])
      for (const value of odd) {
        const { items, unread } = accountConnectorOf('posts')!.receive!(us, {
          data: said({ [field]: value }),
        })
        expect(items.length + unread.length, `${field} ${JSON.stringify(value)}`).toBeLessThanOrEqual(1)
      }
    for (const object of odd)
      expect(() =>
        accountConnectorOf('posts')!.receive!(us, { data: { type: 'Delete', object } }),
      ).not.toThrow()
  })
})

test('what a review site changes and takes away', () => {
  const { receive } = accountConnectorOf('reviews')!
  const review = (more: object) => ({
    data: {
      dateCreated: '2026-11-20T00:00:00Z',
      item: {
        '@type': 'Review',
        '@id': 'x/items/r1',
        name: 'Lovely',
        reviewBody: 'So good',
        author: { name: 'Ada', '@id': 'p/1' },
        reviewRating: { ratingValue: 4 },
      },
      ...more,
    },
  })
  expect(receive!(profile, review({})).items).toMatchObject([
    { title: 'Lovely', rating: 4, changedAt: Date.parse('2026-11-20T00:00:00Z') },
  ])
  expect(receive!(profile, review({ dateModified: '2026-11-21T00:00:00Z' })).items).toMatchObject([
    { changedAt: Date.parse('2026-11-21T00:00:00Z') },
  ])
  expect(receive!(profile, review({ dateDeleted: '2026-11-22T00:00:00Z' }))).toMatchObject({
    items: [],
    gone: [{ outsideId: 'r1', at: Date.parse('2026-11-22T00:00:00Z') }],
  })
})
