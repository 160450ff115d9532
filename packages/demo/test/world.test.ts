import { beforeAll, describe, expect, test } from 'vitest'
import { generateWorld, type World } from '@murrabel/demo'
import { events } from '../src/calendar.ts'
import { demoRivals } from '../src/rivals.ts'

const end = Date.parse('2026-11-25T12:00:00Z')
const day = 86_400_000
let world: World
beforeAll(() => {
  world = generateWorld({ end })
})

type OpenPost = Extract<World['framelet'][number], { op: 'post' }>
const postsOf = (list: World['framelet']) => list.filter((line): line is OpenPost => line.op === 'post')
type Note = Extract<World['lanternpage'][number], { op: 'note' }>
type Item = Exclude<World['wherabout'][number], { op: 'business' }>
const rivalIds = new Set(demoRivals.map(({ id }) => id))
const notesOf = (w: World) => w.lanternpage.filter((l): l is Note => l.op === 'note' && !rivalIds.has(l.page))
const itemsOf = (w: World) =>
  w.wherabout.filter((l): l is Item => l.op !== 'business' && !rivalIds.has(l.business))
const notes = () => notesOf(world)
const items = () => itemsOf(world)
const reviews = () => items().flatMap((i) => (i.op === 'review' ? [i] : []))
const ago = (iso: string) => (end - Date.parse(iso)) / day
const mean = (list: readonly { rating?: number }[]) =>
  list.reduce((sum, r) => sum + r.rating!, 0) / list.length

test('the same seed and end give the same world, another seed another', () => {
  expect(generateWorld({ end })).toEqual(world)
  expect(generateWorld({ end, seed: 8 }).lanternpage[20]).not.toEqual(world.lanternpage[20])
})

test('has about as many entries as asked for, at any size', () => {
  const size = (w: World) =>
    notesOf(w).length +
    itemsOf(w).length +
    w.press.length +
    w.fivefold.length +
    w.textmast.filter(({ op }) => op === 'text').length +
    w.mailroom.length +
    postsOf([...w.skimmer, ...w.framelet, ...w.reelbarn, ...w.talkstead]).length
  expect(Math.abs(size(world) / 14_000 - 1)).toBeLessThan(0.05)
  expect(Math.abs(size(generateWorld({ end, entries: 1000 })) - 1000)).toBeLessThan(250)
})

test('is in the order of time, ends at the end, and answers only what is there', () => {
  const times = notes().map((n) => Date.parse(n.published))
  expect(times).toEqual([...times].sort((a, b) => a - b))
  expect(Math.max(...times)).toBeLessThanOrEqual(end)
  const seen = new Set<string>()
  for (const note of notes()) {
    if (note.inReplyTo) expect(seen.has(note.inReplyTo)).toBe(true)
    expect(seen.has(note.id)).toBe(false)
    seen.add(note.id)
  }
})

test('rivals have pages and listings that others run, and audiences that are told week by week', () => {
  for (const { id, followers } of demoRivals) {
    expect(world.lanternpage.find((l) => l.op === 'page' && l.id === id)).toMatchObject({ others: true })
    expect(world.wherabout.find((l) => l.op === 'business' && l.id === id)).toMatchObject({ others: true })
    const audience = world.lanternpage.flatMap((l) => (l.op === 'audience' && l.page === id ? [l] : []))
    expect(audience).toHaveLength(54)
    expect(audience[0]!.followers).toBe(followers)
    expect(audience.at(-1)).toMatchObject({ day: new Date(end).toISOString().slice(0, 10) })
    expect(audience.at(-1)!.followers).toBeGreaterThan(followers)
    expect(audience.map(({ day: each }) => each)).toEqual(audience.map(({ day: each }) => each).sort())
  }
})

test('texts are on numbers kept for stories, long ones in parts, each of ours with what became of it', () => {
  const lines = world.textmast
  const texts = lines.flatMap((line) => (line.op === 'text' ? [line] : []))
  const own = '+441632960100'
  for (const { from, to } of texts)
    expect(from === own ? to : from).toMatch(/^\+(?:447700900\d{3}|3363998\d{4}|49171392\d{4})$/)
  expect(texts.filter(({ text }) => /\{\w+\}/.test(text))).toEqual([])
  expect(texts.some(({ part }) => part)).toBe(true)
  const told = new Set(lines.flatMap((line) => (line.op === 'delivery' ? [line.id] : [])))
  const ours = texts.filter(({ from }) => from === own)
  expect(ours.length).toBeGreaterThan(300)
  expect(ours.filter(({ id, sent }) => !told.has(id) && Date.parse(sent) < end - 60_000)).toEqual([])
})

test('mails are whole mails: an answer names what it answers, and quotes it', () => {
  const sources = world.mailroom.map(({ source }) => Buffer.from(source, 'base64').toString())
  const idOf = (text: string, name: string) => new RegExp(`^${name}: (<[^>]+>)`, 'm').exec(text)?.[1]
  const known = new Set<string>()
  for (const source of sources) {
    const answered = idOf(source, 'In-Reply-To')
    if (answered) expect(known.has(answered)).toBe(true)
    const id = idOf(source, 'Message-ID')!
    expect(known.has(id)).toBe(false)
    known.add(id)
    expect(source).not.toMatch(/\{\w+\}/)
  }
  expect(sources.length).toBeGreaterThan(500)
  expect(world.mailroom.filter(({ folder }) => folder === 'sent').length).toBeGreaterThan(100)
})

test('no slot is left unfilled', () => {
  const texts = [...notes().map((n) => n.content), ...items().map((i) => i.text)]
  expect(texts.filter((t) => /\{\w+\}/.test(t))).toEqual([])
})

test('a screen of twelve neighbours hardly ever shows two alike', () => {
  const texts = notes()
    .filter((n) => !n.author.id.startsWith('skerrivane'))
    .map((n) => n.content)
  let alike = 0
  for (let i = 0; i + 12 <= texts.length; i += 12) if (new Set(texts.slice(i, i + 12)).size < 12) alike++
  expect(alike / (texts.length / 12)).toBeLessThan(0.08)
})

describe('what happens in the year', () => {
  test('the engine failure is loud for 31 hours, 19 days before the end', () => {
    const loud = notes().filter(
      (n) => /storm petrel|engine|nobody told/i.test(n.content) && Math.abs(ago(n.published) - 18.5) < 2,
    )
    const hours = loud.map((n) => Date.parse(n.published))
    expect(loud.length).toBeGreaterThan(100)
    expect((Math.max(...hours) - Math.min(...hours)) / 3_600_000).toBeLessThan(60)
    const copies = world.press.filter(
      (l) => l.op === 'article' && l.text.startsWith('The ferry Storm Petrel'),
    )
    expect(new Set(copies.map((c) => (c.op === 'article' ? c.feed : ''))).size).toBe(7)
  })
  test('Northmoor slides after the winter timetable, Port Ellery does not', () => {
    const at = (place: string, from: number, to: number) =>
      reviews().filter((r) => r.business === place && ago(r.created) < from && ago(r.created) >= to)
    expect(mean(at('northmoor-pier', 360, 70)) - mean(at('northmoor-pier', 30, 0))).toBeGreaterThan(0.8)
    expect(Math.abs(mean(at('port-ellery', 360, 70)) - mean(at('port-ellery', 30, 0)))).toBeLessThan(0.5)
  })
  test('dogs on deck make people glad, most of all in pictures and in French', () => {
    const since = (list: readonly { content: string; published: string }[], word: RegExp) =>
      list.filter((p) => word.test(p.content) && ago(p.published) < events.dogsOnDeck).length
    const before = postsOf(world.framelet).filter(
      (p) => /dogs on deck/i.test(p.content) && ago(p.published) > events.dogsOnDeck,
    )
    expect(before).toEqual([])
    expect(since(postsOf(world.framelet), /dog|terrier|deck/i)).toBeGreaterThan(40)
    expect(since(postsOf(world.talkstead), /chien/i)).toBeGreaterThan(10)
  })
  test('the traps stand where anybody writes', () => {
    const said = postsOf([...world.skimmer, ...world.talkstead]).map((p) => p.content)
    expect(
      said.filter((t) => /skerrivane/i.test(t) && /knit|wool|yarn|gauge|sleeve/i.test(t)).length,
    ).toBeGreaterThan(20)
    expect(
      said.filter((t) => /skerrivane/i.test(t) && /verse|choir|fiddle|tune|sung|song/i.test(t)).length,
    ).toBeGreaterThan(15)
  })
  test('Maren is named at Selwick Quay and nowhere else', () => {
    const named = reviews().filter((r) => r.text.includes('Maren'))
    expect(named.length).toBeGreaterThan(10)
    expect(new Set(named.map((r) => r.business))).toEqual(new Set(['selwick-quay']))
  })
  test('the ask brings more reviews at two harbours', () => {
    const perDay = (place: string, from: number, to: number) =>
      reviews().filter((r) => r.business === place && ago(r.created) < from && ago(r.created) >= to).length /
      (from - to)
    expect(perDay('inchgarth', 33, 1) / perDay('inchgarth', 66, 33)).toBeGreaterThan(1.6)
  })
  test('one account posts the same complaint on both networks', () => {
    const again = [...notes().map((n) => n.content), ...reviews().map((r) => r.text)].filter((t) =>
      t.startsWith('I was promised a full refund'),
    )
    expect(again.length).toBeGreaterThan(6)
  })
})

describe('accounts of our own', () => {
  const open = ['skimmer', 'framelet', 'reelbarn', 'talkstead'] as const
  test('stand on every open network, with what people write under and to them', () => {
    for (const network of open) {
      expect(world[network][0]).toMatchObject({ op: 'account', handle: 'skerrivane' })
      const posts = postsOf(world[network])
      const own = new Set(posts.filter((p) => p.author.id === 'skerrivane' && !p.inReplyTo).map((p) => p.id))
      const under = posts.filter((p) => p.inReplyTo && own.has(p.inReplyTo))
      const named = posts.filter((p) => /@skerrivane/.test(`${p.title} ${p.content}`))
      expect(network === 'talkstead' ? named.length : under.length, network).toBeGreaterThan(30)
    }
    for (const network of ['skimmer', 'framelet'] as const) {
      const talks = postsOf(world[network]).filter((p) => p.conversation)
      expect(talks.length, network).toBeGreaterThan(80)
      expect(talks.some((p) => p.author.id === 'skerrivane')).toBe(true)
    }
  })
  test('the review site has titled reviews whose stars fit, most of them answered', () => {
    const given = world.fivefold.flatMap((line) => (line.op === 'review' ? [line] : []))
    const answered = new Set(world.fivefold.flatMap((line) => (line.op === 'answer' ? [line.parent] : [])))
    expect(given.length).toBeGreaterThan(300)
    expect(given.filter((r) => r.title).length / given.length).toBeGreaterThan(0.9)
    expect(given.filter((r) => answered.has(r.id)).length / given.length).toBeGreaterThan(0.6)
  })
  test('no slot is left unfilled, and nobody answers what is not there', () => {
    for (const network of open) {
      const posts = postsOf(world[network])
      expect(posts.filter((p) => /\{\w+\}/.test(`${p.title} ${p.content}`))).toEqual([])
      const seen = new Set<string>()
      for (const post of posts) {
        if (post.inReplyTo) expect(seen.has(post.inReplyTo)).toBe(true)
        seen.add(post.id)
      }
    }
  })
})
