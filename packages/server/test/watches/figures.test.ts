import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import type {
  CompareAnswer,
  CountAnswer,
  EntryPage,
  FiguresAnswer,
  PhrasesAnswer,
  Problem,
  ProfileAnswer,
  RivalsAnswer,
  SpikesAnswer,
  SummariesAnswer,
  TeachingAnswer,
  TideAnswer,
  TunerAnswer,
  VoicesAnswer,
  WatchAnswer,
  WatchesFile,
  WatchGroupAnswer,
} from '@murrabel/contract'
import type { Reader } from '../../src/access/reader.ts'
import { tideOf } from '../../src/services/entries/list.ts'
import { figures } from '../../src/services/watches/figures.ts'
import { knowTexts } from '../../src/services/watches/knowTexts.ts'
import { tuneWatch } from '../../src/services/watches/tuner.ts'
import { until } from '../support/until.ts'
import { things } from '../support/wording.ts'
import { settled, startTestWorld, type Caller, type TestWorld } from '../support/world.ts'

const hour = 3_600_000
const day = 24 * hour
const now = Date.now()
const spikeStart = Math.floor((now - 19 * day) / day) * day + 15 * hour
const story =
  'The ferry Storm Petrel of Skerrivane Ferries lost its engine off Dunmarrow and was towed in four hours late with three hundred passengers on board.'

let world: TestWorld
let call: Caller
let petrel: WatchAnswer
let skerrivane: WatchAnswer
let rivalGroup: WatchGroupAnswer

/** Seventy days of talk on Skimmer: two an hour in two moods, a bad day of the Storm Petrel, seven copies of one story, and a knitting pattern. */
function talk(): void {
  const author = (id: string) => ({ id, name: `Voice ${id}`, handle: `voice.${id}` })
  const posts: { at: number; id: string; text: string; views?: number }[] = []
  for (let h = 70 * 24; h > 0; h -= 3) {
    const n = Math.round(h)
    const good = n % 2 === 0
    posts.push({
      at: now - h * hour,
      id: `c${n % 40}`,
      text: good
        ? `Lovely crossing number ${n} with Skerrivane, kind crew`
        : `Skerrivane number ${n} was late, terrible queue`,
      views: n % 200,
    })
    if (n % 72 === 0)
      posts.push({
        at: now - h * hour + 1000,
        id: 'knit',
        text: `Knitting a Skerrivane in grey wool, row ${n}`,
      })
    if (n % 48 === 0)
      posts.push({
        at: now - h * hour + 2000,
        id: `r${n}`,
        text: `Took the Bluefathom boat ${things(n / 48)}, friendly, fast and clean`,
      })
    if (n % 96 === 0)
      posts.push({ at: now - h * hour + 3000, id: `s${n % 7}`, text: `On the Storm Petrel, day ${n}` })
  }
  for (let i = 0; i < 60; i++)
    posts.push({
      at: spikeStart + i * 25 * 60_000,
      id: `x${i}`,
      text: `The Storm Petrel is not sailing and nobody told us, awful evening ${i * 37}`,
      views: i === 7 ? 90_000 : 5,
    })
  for (let i = 0; i < 7; i++)
    posts.push({ at: spikeStart + (i + 1) * hour + 60_000, id: `n${i}`, text: story, views: 1000 })
  for (const { at, id, text, views } of posts.sort((a, b) => a.at - b.at))
    world.skimmer.publish({ author: author(id), content: text, published: new Date(at).toISOString(), views })
}

const bare = {
  allOf: [],
  noneOf: [],
  near: [],
  links: [],
  voices: { only: [], without: [] },
  channels: [],
  languages: [],
}
const watch = async (name: string, text: string, groupId?: number) =>
  (await call<WatchAnswer>('POST', '/api/watches', { name, groupId, query: { ...bare, anyOf: [{ text }] } }))
    .body
const group = async (name: string, kind: string, parentId: number | null = null) =>
  (await call<WatchGroupAnswer>('POST', '/api/groups', { name, kind, parentId })).body
const get = async <T>(path: string) => {
  const { status, body } = await call<T>('GET', path)
  expect([path, status, status === 200 ? '' : JSON.stringify(body)]).toEqual([path, 200, ''])
  return body
}
const caught = (id: number) =>
  until(async () => {
    const found = (await get<WatchAnswer[]>('/api/watches')).find((w) => w.id === id)
    return found !== undefined && found.historyDone === found.historyTotal && found.mentions > 0
  })

beforeAll(async () => {
  world = await startTestWorld()
  talk()
  call = await world.signIn('wynn')
  const own = await group('Brand', 'brand')
  rivalGroup = await group('Rivals', 'rivals')
  skerrivane = await watch('Skerrivane', 'skerrivane', own.id)
  petrel = await watch('Storm Petrel', 'storm petrel')
  await watch('Bluefathom', 'bluefathom', rivalGroup.id)
  expect((await call('POST', '/api/profiles/searches', { network: 'skimmer' })).status).toBe(200)
  await settled(world)
  await caught(petrel.id)
}, 120_000)
afterAll(() => world.stop())

test('a search collects what the watches ask for, in pages and through the limit of the network', async () => {
  const wanted = world.skimmer.state.posts.filter((p) =>
    /skerrivane|storm petrel|bluefathom/i.test(p.content),
  ).length
  const { count } = await get<CountAnswer>('/api/entries/count?unit=entries&channel=posts')
  expect(count).toBe(wanted)
  const [profile] = (await get<ProfileAnswer[]>('/api/profiles')).filter((p) => p.network === 'skimmer')
  expect(profile).toMatchObject({ status: 'connected', capabilities: { search: true, reply: false } })
})

test('a new watch is searched for outside as well', async () => {
  world.skimmer.publish({
    author: { id: 'q', name: 'Q', handle: 'q' },
    content: 'Saw an orrinfinch today',
    published: new Date().toISOString(),
  })
  const finch = await watch('Finch', 'orrinfinch')
  await caught(finch.id)
  await call('DELETE', `/api/watches/${finch.id}`)
})

describe('figures agree with each other', () => {
  const sum = (m: { positive: number; neutral: number; negative: number; unread: number }) =>
    m.positive + m.neutral + m.negative + m.unread
  test.each([
    'time=last-28',
    'time=last-7',
    'time=all',
    'time=last-3600',
    'time=last-28&sentiment=negative',
    'time=2031-01-01_2031-02-01',
  ])('for %s', async (time) => {
    const lens = `unit=entries&watch=${petrel.id}&${time}`
    const [figures, count, tide] = [
      await get<FiguresAnswer>(`/api/watches/figures?${lens}`),
      await get<CountAnswer>(`/api/entries/count?${lens}`),
      await get<TideAnswer>(`/api/tide?${lens}&span=range`),
    ]
    expect(figures.total).toBe(count.count)
    if (!time.includes('2031') && time !== 'time=all')
      expect(tide.buckets.reduce((n, b) => n + sum(b), 0)).toBe(count.count)
    for (const slices of [figures.channels, figures.languages, figures.places])
      expect(slices.reduce((n, s) => n + sum(s), 0)).toBe(count.count)
    expect(figures.hours.reduce((n, h) => n + h.n, 0)).toBe(count.count)
  })
  test('copies of one story and what one voice says again are no further voices', async () => {
    const lens = `unit=entries&watch=${petrel.id}&time=last-28`
    const { net, copies } = await get<FiguresAnswer>(`/api/watches/figures?${lens}`)
    expect(copies).toBeGreaterThan(5)
    expect(net!.independent!).toBeGreaterThan(1)
    expect(net!.independent!).toBeLessThan(net!.n - 5)
    // Forty voices say all of it, each in both moods.
    const all = (
      await get<FiguresAnswer>(`/api/watches/figures?unit=entries&watch=${skerrivane.id}&time=all`)
    ).net!
    expect(all.independent!).toBeGreaterThanOrEqual(1)
    expect(all.independent!).toBeLessThan(all.n)
    const { one } = await get<CompareAnswer>(
      `/api/watches/compare?${lens}&with=${encodeURIComponent('time=last-56')}`,
    )
    expect(one.net!.independent).toBeCloseTo(net!.independent!, 6)
  })
  test('of one hour, too', async () => {
    const at = new Date(spikeStart).toISOString().slice(0, 13)
    const figures = await get<FiguresAnswer>(
      `/api/watches/figures?unit=entries&watch=${petrel.id}&time=${at}_${at}`,
    )
    expect(figures.range.days).toBeCloseTo(1 / 24, 5)
    expect(figures.total).toBeLessThan(12)
  })
  test('a slice opens as many entries as it says', async () => {
    const lens = `unit=entries&watch=${skerrivane.id}&time=last-28`
    const { languages, hours } = await get<FiguresAnswer>(`/api/watches/figures?${lens}`)
    for (const slice of languages)
      expect((await get<CountAnswer>(`/api/entries/count?${lens}&language=${slice.key}`)).count).toBe(
        sum(slice),
      )
    const days = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun']
    for (const { key, n } of hours.slice(0, 5))
      expect(
        (await get<CountAnswer>(`/api/entries/count?${lens}&hour=${days[Math.floor(key / 24)]}-${key % 24}`))
          .count,
      ).toBe(n)
  })
  test('the list of watches says the same', async () => {
    const { watches } = await get<SummariesAnswer>('/api/watches/summaries?time=last-28')
    for (const summary of watches) {
      const figures = await get<FiguresAnswer>(
        `/api/watches/figures?unit=entries&watch=${summary.id}&time=last-28`,
      )
      const { net, n } = figures.net ?? {}
      expect([summary.count, summary.net ?? {}, summary.usual]).toEqual([
        figures.total,
        figures.net ? { net, n } : {},
        figures.usual,
      ])
    }
  })
  test('late in the evening, with a change of the clock behind one, everything begins on the same day', async () => {
    const late = Date.parse('2026-11-25T23:20:00Z')
    const context = { ...world.server.context, now: () => late }
    const reader: Reader = { colleagueId: 1, brandId: 1, role: 'owner', placeIds: null, profileIds: null }
    const first = '2026-08-27T23:00:00.000Z'
    const query = { unit: 'entries', time: 'last-90' }
    const tuned = await tuneWatch(context, reader, { query: { ...bare, anyOf: [{ text: 'petrel' }] } })
    expect([tuned.days, tuned.perDay[0]!.at]).toEqual([90, first])
    const tide = await tideOf(context, reader, query)
    expect([tide.buckets.length, tide.buckets[0]!.at]).toEqual([90, first])
    const shown = await figures(context, reader, query)
    expect(shown.range.from).toBe(first)
    // Weeks of whole days, today not among them; the one in which the clock went back has an hour more.
    expect(shown.direction.starts.slice(-6).map((at) => at.slice(5, 16))).toEqual([
      '10-13T23:00',
      '10-20T23:00',
      '10-28T00:00',
      '11-04T00:00',
      '11-11T00:00',
      '11-18T00:00',
    ])
  })
  test('too little history is said, not guessed', async () => {
    const { usual } = await get<FiguresAnswer>(
      `/api/watches/figures?unit=entries&watch=${petrel.id}&time=last-28`,
    )
    expect(usual.verdict).toBe('tooLittleHistory')
    const short = await get<FiguresAnswer>(
      `/api/watches/figures?unit=entries&watch=${skerrivane.id}&time=last-7`,
    )
    expect(short.usual.periods).toBe(6)
  })
  test('a group counts what two of its watches caught once', async () => {
    const lens = `unit=entries&group=${rivalGroup.id}&time=last-28`
    const twin = await watch('Bluefathom again', 'bluefathom boat', rivalGroup.id)
    await caught(twin.id)
    const { count } = await get<CountAnswer>(`/api/entries/count?${lens}`)
    expect((await get<FiguresAnswer>(`/api/watches/figures?${lens}`)).total).toBe(count)
    expect(
      (await get<CountAnswer>(`/api/entries/count?unit=entries&watch=${twin.id}&time=last-28`)).count,
    ).toBe(count)
    const page = await get<EntryPage>(`/api/entries?${lens}`)
    expect(page.rows[0]!.hits!.length).toBeGreaterThan(0)
    await call('DELETE', `/api/watches/${twin.id}`)
  })
})

describe('what is said', () => {
  test('a phrase opens as many entries as it says', async () => {
    const lens = `unit=entries&watch=${petrel.id}&time=last-28`
    const { phrases, background } = await get<PhrasesAnswer>(`/api/watches/phrases?${lens}`)
    expect(background).toBe('brand')
    expect(phrases.map((p) => p.phrase)).toContain('not sailing')
    for (const { phrase, count } of phrases.slice(0, 6))
      expect(
        (await get<CountAnswer>(`/api/entries/count?${lens}&phrase=${encodeURIComponent(phrase)}`)).count,
      ).toBe(count)
  })
  test('a new watch’s phrases are those of its mentions as soon as these are there', async () => {
    const { id } = await watch('Fresh phrases', 'petrel')
    const lens = `unit=entries&watch=${id}&time=last-28`
    const asked = () => get<PhrasesAnswer>(`/api/watches/phrases?${lens}`)
    await asked()
    await settled(world)
    const { count } = await get<CountAnswer>(`/api/entries/count?${lens}`)
    expect(count).toBeGreaterThan(0)
    expect((await asked()).entries).toBe(count)
    await call('DELETE', `/api/watches/${id}`)
  })
  test('texts are read ahead, all of them, without another answer for it', async () => {
    const phrases = () =>
      get<PhrasesAnswer>(`/api/watches/phrases?unit=entries&watch=${petrel.id}&time=last-28`)
    const before = await phrases()
    const context = world.server.context
    // A worker that ended, for whatever reason, is started again by the next question.
    await context.textWorker.stop()
    const { count } = await get<CountAnswer>('/api/entries/count?unit=entries&time=all')
    expect(await knowTexts(context)).toBe(count)
    expect(await phrases()).toEqual(before)
  })
  test('the most distinctive come first when asked for, and page by page all of them', async () => {
    const lens = `unit=entries&watch=${petrel.id}&time=last-28&order=distinctive`
    const first = await get<EntryPage>(`/api/entries?${lens}&limit=40`)
    expect(first.rows[0]!.text).toContain('not sailing')
    const rest = await get<EntryPage>(`/api/entries?${lens}&limit=200&after=${first.next}`)
    const { count } = await get<CountAnswer>(`/api/entries/count?${lens}`)
    expect(new Set([...first.rows, ...rest.rows].map((r) => r.id)).size).toBe(count)
  })
  test('copies of one story stand behind one row, and open as what they are', async () => {
    const lens = `unit=entries&watch=${petrel.id}&time=last-28`
    const { rows } = await get<EntryPage>(`/api/entries?${lens}&fold=1&limit=200`)
    const folded = rows.filter((r) => r.text === story)
    expect(folded.map((r) => r.copies)).toEqual([6])
    expect((await get<CountAnswer>(`/api/entries/count?${lens}&story=${folded[0]!.storyId}`)).count).toBe(7)
    const { copies, total } = await get<FiguresAnswer>(`/api/watches/figures?${lens}`)
    expect(rows.length + copies).toBe(total)
  })
  test('the order of reach is kept over pages', async () => {
    const lens = `unit=entries&watch=${petrel.id}&time=all&order=reach`
    const first = await get<EntryPage>(`/api/entries?${lens}&limit=30`)
    const second = await get<EntryPage>(`/api/entries?${lens}&limit=30&after=${first.next}`)
    const reaches = [...first.rows, ...second.rows].map((r) => r.reach)
    expect(reaches[0]).toBe(90_000)
    expect(reaches).toEqual([...reaches].sort((a, b) => b - a))
  })
})

test('the spike is found and explained: phrases, first entry, loudest voice, copied story', async () => {
  const { spikes } = await get<SpikesAnswer>(
    `/api/watches/spikes?unit=entries&watch=${petrel.id}&time=last-28`,
  )
  expect(spikes).toHaveLength(1)
  const [spike] = spikes
  expect(Math.abs(Date.parse(spike!.from) - spikeStart)).toBeLessThanOrEqual(3 * hour)
  expect(spike!.count).toBeGreaterThan(20 * spike!.expected)
  expect(spike!.phrases.map((p) => p.phrase)).toContain('not sailing')
  expect(spike!.first!.text).toContain('Storm Petrel')
  expect(spike!.voices[0]).toMatchObject({ reach: 90_000 })
  expect(spike!.stories.map((s) => s.copies)).toContain(7)
})

test('voices: who spoke, how often, and no critic of a single complaint', async () => {
  const lens = `unit=entries&watch=${skerrivane.id}&time=all`
  const { voices, total } = await get<VoicesAnswer>(`/api/voices?${lens}&by=entries`)
  expect(voices.length).toBe(Math.min(100, total))
  const regular = voices.find((v) => v.name === 'Voice c3')!
  expect(regular).toMatchObject({ habit: 'regular', leaning: 'critic' })
  expect((await get<CountAnswer>(`/api/entries/count?${lens}&voice=${regular.id}`)).count).toBe(
    regular.entries,
  )
  const sour = await get<VoicesAnswer>(`/api/voices?unit=entries&watch=${petrel.id}&time=all&by=last`)
  const oneOff = sour.voices.find((v) => v.name === 'Voice x7')!
  expect(oneOff).toMatchObject({ habit: 'oneOff', leaning: 'tooLittle' })
  const before = await call('PUT', `/api/voices/${oneOff.id}`, {
    standing: 'press',
    note: 'Writes for the Courier',
    kept: true,
  })
  expect(before.body).toMatchObject({ standing: null, note: '', kept: false })
  const kept = await get<VoicesAnswer>(`/api/voices?unit=entries&time=all&keptVoices=1`)
  expect(kept.voices.map((v) => [v.id, v.standing])).toEqual([[oneOff.id, 'press']])
  const rowan = await world.signIn('rowan')
  expect((await rowan('PUT', `/api/voices/${oneOff.id}`, { kept: false })).status).toBe(403)
})

describe('comparing', () => {
  test('two watches, and two times', async () => {
    const lens = `unit=entries&watch=${skerrivane.id}&time=last-14`
    const answer = await get<CompareAnswer>(
      `/api/watches/compare?${lens}&with=${encodeURIComponent(`watch=${petrel.id}`)}`,
    )
    expect([answer.one.name, answer.two.name]).toEqual(['Skerrivane', 'Storm Petrel'])
    expect(answer.volume).toMatchObject({ sure: true })
    const times = await get<CompareAnswer>(
      `/api/watches/compare?unit=entries&watch=${petrel.id}&time=last-14&with=${encodeURIComponent('time=last-28')}`,
    )
    expect(times.two.total).toBeGreaterThan(times.one.total + 60)
    expect(times.two.net!.net).toBeLessThan(times.one.net!.net)
  })
  test('a bad day is seen beside the quiet time before it, and says what it was about', async () => {
    const date = (days: number) => new Date(now - days * day).toISOString().slice(0, 10)
    const answer = await get<CompareAnswer>(
      `/api/watches/compare?unit=entries&watch=${petrel.id}&time=last-28&with=${encodeURIComponent(`time=${date(55)}_${date(28)}`)}`,
    )
    // All of it on one day: that says nothing of how much is said on the others.
    expect(answer.volume).toMatchObject({ enough: true, sure: false })
    expect(answer.volume.difference).toBeGreaterThan(1)
    expect(answer.volume.ratio).toBeGreaterThan(4)
    // Neither side holds enough to tell the other's phrases from.
    expect(answer.fromOther).toEqual([false, false])
    expect(answer.phrasesOne.map(({ phrase }) => phrase).join(' ')).toContain('sailing')
  })
  test('a thing with itself is refused', async () => {
    const { status, body } = await call<Problem>(
      'GET',
      `/api/watches/compare?unit=entries&watch=${petrel.id}&with=watch%3D${petrel.id}`,
    )
    expect([status, body.code]).toEqual([422, 'sameThing'])
  })
  test('rivals stand beside one’s own, shares summing to one', async () => {
    const { rows } = await get<RivalsAnswer>('/api/watches/rivals?unit=entries&time=last-28')
    expect(rows.map((r) => [r.watch.name, r.ours])).toEqual([
      ['Skerrivane', true],
      ['Bluefathom', false],
    ])
    expect(rows.reduce((n, r) => n + r.share!.share, 0)).toBeCloseTo(1, 10)
  })
})

describe('groups', () => {
  test('cannot lie inside themselves, bear one name twice, or keep what lay in them from moving up', async () => {
    const trade = await group('Trade', 'trade')
    const inner = await group('Board', 'trade', trade.id)
    const own = await watch('Kept', 'porpoise', inner.id)
    const loop = await call<Problem>('PUT', `/api/groups/${trade.id}`, {
      name: 'Trade',
      kind: 'trade',
      parentId: inner.id,
    })
    expect(loop.body.fields?.[0]).toMatchObject({ field: 'parentId', code: 'insideItself' })
    expect(
      (await call<Problem>('POST', '/api/groups', { name: 'trade', kind: 'other' })).body.fields?.[0]?.code,
    ).toBe('taken')
    await call('DELETE', `/api/groups/${inner.id}`)
    expect((await get<WatchAnswer[]>('/api/watches')).find((w) => w.id === own.id)!.groupId).toBe(trade.id)
    await call('DELETE', `/api/groups/${trade.id}`)
    await call('DELETE', `/api/watches/${own.id}`)
  })
  test('two moves at once never close a ring', async () => {
    const [a, b] = [await group('A', 'other'), await group('B', 'other')]
    const answers = await Promise.all([
      call('PUT', `/api/groups/${a.id}`, { name: 'A', kind: 'other', parentId: b.id }),
      call('PUT', `/api/groups/${b.id}`, { name: 'B', kind: 'other', parentId: a.id }),
    ])
    expect(answers.map((r) => r.status).sort()).toEqual([200, 422])
  })
})

describe('watches as a file', () => {
  test('what is exported is taken in elsewhere, and twice adds nothing', async () => {
    const file = await get<WatchesFile>('/api/watches/export.json')
    expect(file.watches.find((w) => w.name === 'Skerrivane')).toMatchObject({
      group: [{ name: 'Brand', kind: 'brand' }],
    })
    const again = await call('POST', '/api/watches/import', { file: JSON.stringify(file) })
    expect(again.body).toEqual({ added: 0, known: file.watches.length })
    const fresh = {
      ...file,
      watches: [
        { name: 'Fresh', query: { anyOf: [{ text: 'gannet' }] }, group: [{ name: 'Birds', kind: 'other' }] },
      ],
    }
    expect((await call('POST', '/api/watches/import', { file: JSON.stringify(fresh) })).body).toEqual({
      added: 1,
      known: 0,
    })
  })
  test.each([
    ['{', 'watchesUnreadable'],
    ['{"format":"other"}', 'watchesUnreadable'],
    [
      JSON.stringify({
        format: 'murrabel-watches',
        version: 1,
        watches: [
          { name: 'x', query: { near: [{ first: { text: 'a1' }, second: { text: 'A1' }, within: 3 }] } },
        ],
      }),
      'invalid',
    ],
  ])('%s is refused', async (file, code) => {
    const { status, body } = await call<Problem>('POST', '/api/watches/import', { file })
    expect([status, body.code]).toEqual([422, code])
  })
})

test('a paused watch catches nothing, keeps what it has, and reads what it missed when it goes on', async () => {
  const before = (await get<WatchAnswer[]>('/api/watches')).find((w) => w.id === petrel.id)!.mentions
  await call('PUT', `/api/watches/${petrel.id}/paused`, { paused: true })
  const search = (await get<ProfileAnswer[]>('/api/profiles')).find((p) => p.network === 'skimmer')!
  world.skimmer.publish({
    author: { id: 'late', name: 'Late', handle: 'late' },
    content: 'Skerrivane: the Storm Petrel sails again',
    published: new Date().toISOString(),
  })
  await call('POST', `/api/profiles/${search.id}/collect`)
  await until(async () => (await get<CountAnswer>('/api/entries/count?unit=entries&words=sails')).count === 1)
  await settled(world)
  const mentions = async () =>
    (await get<WatchAnswer[]>('/api/watches')).find((w) => w.id === petrel.id)!.mentions
  expect(await mentions()).toBe(before)
  await call('PUT', `/api/watches/${petrel.id}/paused`, { paused: false })
  await until(async () => (await mentions()) === before + 1)
})

describe('the tuner', () => {
  test('finds the trap from a few marks, and promises what it does', async () => {
    const query = { ...bare, anyOf: [{ text: 'skerrivane' }] }
    const first = (await call<TunerAnswer>('POST', '/api/watches/tuner', { query })).body
    expect(first.verdict).toBe('tooLittleMarked')
    const knit = (await get<EntryPage>('/api/entries?unit=entries&words=knitting&limit=20')).rows
    const knits = (await get<CountAnswer>('/api/entries/count?unit=entries&words=knitting')).count
    const marks = [
      ...first.sample
        .filter((r) => !/knit/i.test(r.text))
        .slice(0, 20)
        .map((r) => ({ entryId: r.id, onTopic: true })),
      ...knit.slice(0, 6).map((r) => ({ entryId: r.id, onTopic: false })),
    ]
    const tuned = (await call<TunerAnswer>('POST', '/api/watches/tuner', { query, marks })).body
    expect(tuned.precision).toMatchObject({ marked: marks.length, tooFew: false })
    const [best] = tuned.exclusions
    expect(best).toMatchObject({ offTopicRemoved: 6, onTopicLost: 0, removed: knits })
    const cut = (
      await call<TunerAnswer>('POST', '/api/watches/tuner', {
        query: { ...query, noneOf: [{ text: best!.term }] },
        marks,
      })
    ).body
    expect(cut.hits).toBe(tuned.hits - best!.removed)
    expect(cut.verdict).toBe('wellCut')
  })
})

describe('teaching', () => {
  const teaching = () => get<TeachingAnswer>('/api/teaching')
  const reread = () =>
    until(async () => {
      const { history } = await teaching()
      return history.done === history.total
    })
  test('aspects are read in the whole history', async () => {
    const saved = await call<TeachingAnswer>('PUT', '/api/teaching/aspects', {
      aspects: [
        { name: 'Crew', terms: [{ text: 'crew' }] },
        { name: 'Queue', terms: [{ text: 'queue' }] },
      ],
    })
    expect(saved.status).toBe(200)
    await reread()
    const lens = `unit=entries&watch=${skerrivane.id}&time=last-28`
    const { aspects } = await get<FiguresAnswer>(`/api/watches/figures?${lens}`)
    const crew = aspects.find((a) => a.name === 'Crew')!
    expect(crew.positive).toBeGreaterThan(50)
    expect(crew.negative).toBe(0)
    expect((await get<CountAnswer>(`/api/entries/count?${lens}&aspect=${crew.id}-positive`)).count).toBe(
      crew.positive,
    )
  })
  test('a word of the brand’s own turns what holds it, and back', async () => {
    const lens = `unit=entries&watch=${petrel.id}&time=all&phrase=on+the+storm&sentiment=negative`
    const count = async () => (await get<CountAnswer>(`/api/entries/count?${lens}`)).count
    expect(await count()).toBe(0)
    await call('PUT', '/api/teaching/words', { words: [{ term: 'storm petrel', valence: -3 }] })
    await reread()
    expect(await count()).toBeGreaterThan(10)
    await call('PUT', '/api/teaching/words', { words: [] })
    await reread()
    expect(await count()).toBe(0)
  })
  test('a word that stands twice is refused', async () => {
    const { body } = await call<Problem>('PUT', '/api/teaching/words', {
      words: [
        { term: 'cork', valence: 1 },
        { term: 'Cork', valence: -1 },
      ],
    })
    expect(body.fields?.[0]?.message).toContain('twice')
  })
  test('many people may judge one entry at once: one judgement stands, all are remembered', async () => {
    const [entry] = (await get<EntryPage>(`/api/entries?unit=entries&watch=${petrel.id}&limit=1`)).rows
    const callers = await Promise.all(
      (['wynn', 'tamsin', 'wynn', 'tamsin', 'wynn', 'tamsin'] as const).map((who) => world.signIn(who)),
    )
    const labels = ['positive', 'negative', 'neutral', 'positive', 'negative', 'neutral']
    const answers = await Promise.all(
      callers.map((each, i) => each('PUT', `/api/entries/${entry!.id}/sentiment`, { sentiment: labels[i] })),
    )
    expect(answers.map((a) => a.status)).toEqual(answers.map(() => 200))
    const { db } = world.server.context
    const kept = await db.rows<{ n: number }>('SELECT count(*) AS n FROM corrections WHERE entry_id = $1', [
      entry!.id,
    ])
    expect(kept).toEqual([{ n: 2 }])
    const rolled = await db.one<{ same: boolean }>(
      `SELECT (SELECT coalesce(sum(n), 0) FROM mention_rollups WHERE watch_id = $1) = (SELECT count(*) FROM mentions WHERE watch_id = $1) AS same`,
      [petrel.id],
    )
    expect(rolled!.same).toBe(true)
  })
  test('ten corrections teach what the word lists do not know', async () => {
    // "friendly, fast and clean" is praise to the lists; here the team reads every word about the rival as of no mood.
    const rows = (await get<EntryPage>(`/api/entries?unit=entries&group=${rivalGroup.id}&limit=40&time=all`))
      .rows
    const ids = rows.slice(0, 22).map((r) => r.id)
    expect(rows[0]!.sentiment).toBe('positive')
    // Corrections alone are no sample of anything: what is right is confirmed, too.
    const lovely = (
      await get<EntryPage>(
        `/api/entries?unit=entries&watch=${skerrivane.id}&sentiment=positive&limit=60&time=all`,
      )
    ).rows
    await call('PUT', '/api/entries/sentiment', { ids, sentiment: 'neutral' })
    await until(async () => (await teaching()).learning.n >= 22)
    expect((await teaching()).learning).toMatchObject({ used: false, tested: 0 })
    await call('PUT', '/api/entries/sentiment', { ids: lovely.map(({ id }) => id), sentiment: 'positive' })
    await until(async () => (await teaching()).learning.confirmed >= 20)
    const { learning } = await teaching()
    expect(learning).toMatchObject({ better: true, used: true })
    expect(learning.learnt).toBeGreaterThan(learning.base)
    await reread()
    const untouched = rows.filter((r) => !ids.includes(r.id)).map((r) => r.id)
    const after = (await get<EntryPage>(`/api/entries?unit=entries&group=${rivalGroup.id}&limit=40&time=all`))
      .rows
    expect(after.filter((r) => untouched.includes(r.id)).map((r) => r.sentiment)).toEqual(
      untouched.map(() => 'neutral'),
    )
    await call('PUT', '/api/teaching/learning', { wanted: false })
    await reread()
    const off = (await get<EntryPage>(`/api/entries?unit=entries&group=${rivalGroup.id}&limit=40&time=all`))
      .rows
    expect(off.filter((r) => untouched.includes(r.id)).every((r) => r.sentiment === 'positive')).toBe(true)
  })
})
