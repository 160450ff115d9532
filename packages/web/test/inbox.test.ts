import { flushPromises, mount } from '@vue/test-utils'
import { describe, expect, test } from 'vitest'
import { problemOf } from '@murrabel/contract'
import JudgeLine from '../src/sections/inbox/JudgeLine.vue'
import PersonPanel from '../src/sections/inbox/PersonPanel.vue'
import ReplyBox from '../src/sections/inbox/ReplyBox.vue'
import ThreadEntries from '../src/sections/inbox/ThreadEntries.vue'
import ThreadRow from '../src/sections/inbox/ThreadRow.vue'
import { keep, useStage } from './stage.ts'
import { entry, fakeServer, mounting, row, thread } from './support.ts'

useStage()

describe('a row of the list', () => {
  test('says when an answer is due, where, who, how it was felt', async () => {
    const html = mount(ThreadRow, { ...(await mounting()), props: { row: row(), selected: false } })
    expect(html.find('.past').text()).toMatch(/past due$/)
    expect(html.find('.where').text()).toBe('Dunmarrow · Wherabout')
    expect(html.find('[role="img"]').attributes('aria-label')).toBe('negative')
    expect(html.text()).toContain('1.0')
  })
  test('a rating without words says so', async () => {
    const html = mount(ThreadRow, {
      ...(await mounting()),
      props: { row: row({ text: '' }), selected: false },
    })
    expect(html.text()).toContain('rating only, no text')
  })
  test('a thread that is not open says its state instead of a due time', async () => {
    const html = mount(ThreadRow, {
      ...(await mounting()),
      props: { row: row({ state: 'waiting', private: true, paid: true }), selected: true },
    })
    expect(html.find('.due').text()).toBe('waiting for them')
    expect(html.find('.where').text()).toBe('Dunmarrow · Wherabout · private · on a paid post')
    expect(html.attributes('aria-current')).toBe('true')
  })
  test('is read in French, too', async () => {
    const html = mount(ThreadRow, {
      ...(await mounting({ locale: 'fr' })),
      props: { row: row({ state: 'done' }), selected: false },
    })
    expect(html.find('.due').text()).toBe('terminé')
  })
})

describe('the entries of a thread', () => {
  test('customers’ words have the words of opinion underlined, ours do not', async () => {
    const answered = thread({
      entries: [
        entry(),
        entry({
          id: 2,
          direction: 'out',
          text: 'We are sorry.',
          rating: null,
          spans: [],
          author: 'Tamsin Kerr',
        }),
      ],
    })
    const html = mount(ThreadEntries, { ...(await mounting()), props: { thread: answered, may: true } })
    expect(html.findAll('u').map((u) => u.text())).toEqual(['terrible'])
    expect(html.findAll('article')[1]!.classes()).toContain('ours')
  })
  test('the post stands above a comment on it', async () => {
    const html = mount(ThreadEntries, {
      ...(await mounting()),
      props: { thread: thread({ kind: 'comment', title: 'Calm seas' }), may: true },
    })
    expect(html.find('.post').text()).toContain('Calm seas')
  })
  test.each([
    ['waiting', true],
    ['failed', true],
    ['sending', false],
    ['sent', false],
  ] as const)('a reply that is %s can be called back: %s', async (state, possible) => {
    const reply = entry({
      direction: 'out',
      action: {
        id: 7,
        state,
        attempts: 3,
        error: state === 'failed' ? 'refused: 403 No answers here' : null,
        uncertain: false,
        deliveredAt: null,
        sendAt: null,
        written: null,
      },
    })
    const html = mount(ThreadEntries, {
      ...(await mounting()),
      props: { thread: thread({ entries: [entry(), reply] }), may: true },
    })
    const action = html.find('[data-test="action"]')
    if (state === 'failed')
      expect(action.text()).toContain(
        'not sent, tried 3 times. The network refused it: No answers here (403).',
      )
    const buttons = action.findAll('button')
    expect(buttons.length > 0).toBe(possible)
    if (!possible) return
    await buttons[0]!.trigger('click')
    await buttons[1]!.trigger('click')
    expect(html.emitted('retry')).toEqual([[7]])
    expect(html.emitted('callBack')).toEqual([[reply]])
  })
})

describe('the judgement', () => {
  const judge = async (more: Parameters<typeof entry>[0], may = true) =>
    mount(JudgeLine, { ...(await mounting()), props: { entry: entry(more), may } })
  test.each([
    [{}, 'Read as negative by what is underlined, 80% sure. Wrong?'],
    [{ spans: [] }, 'Read as negative by its stars. Wrong?'],
    [{ spans: [{ start: 0, end: 4, contribution: 2 }] }, 'Read as negative by its stars. Wrong?'],
    [
      { spans: [], rating: null },
      'Read as negative, 80% sure: no word tells, only how it is written. Wrong?',
    ],
    [{ spans: [], rating: null, sentiment: 'neutral' as const }, 'No sentiment found. Correct it:'],
    [
      { rating: null, sentiment: 'neutral' as const },
      'Read as neutral, 80% sure, in spite of what is underlined. Wrong?',
    ],
    [{ correctedBy: 'Ivo Oduya' }, 'Ivo Oduya set this to negative.'],
  ])('%j: %s', async (more, text) =>
    expect((await judge(more)).find('[data-test="reading"]').text()).toBe(text),
  )
  test('is put right by one of three', async () => {
    const html = await judge({})
    for (const button of html.findAll('button')) await button.trigger('click')
    expect(html.emitted('judge')).toEqual([['negative'], ['neutral'], ['positive']])
  })
  test('of a few, drawn by chance, it is asked whether the reading is right', async () => {
    expect((await judge({ id: 45 })).find('[data-test="asked"]').exists()).toBe(false)
    const html = await judge({ id: 44 })
    const asked = html.find('[data-test="asked"]')
    expect(asked.text()).toContain('asked by chance')
    await asked.find('button').trigger('click')
    expect(html.emitted('judge')).toEqual([['negative']])
    for (const more of [{ correctedBy: 'Ivo Oduya' }, { sentiment: 'unread' as const }])
      expect((await judge({ id: 44, ...more })).find('[data-test="asked"]').exists()).toBe(false)
    expect((await judge({ id: 44 }, false)).find('[data-test="asked"]').exists()).toBe(false)
  })
  test('stars that tell against the words are pointed at', async () => {
    expect((await judge({ contradicts: true })).text()).toContain('Stars and words differ.')
    expect((await judge({})).text()).not.toContain('differ')
  })
  test('a reader cannot', async () => expect((await judge({}, false)).findAll('button')).toHaveLength(0))
})

test('the panel beside says why here, with parts that sum up, and what was said before', async () => {
  const { calls } = fakeServer({
    'GET /api/threads/9/follow-ups': [],
    'GET /api/threads/9/visits': { visit: null, proposals: [] },
  })
  const html = keep(mount(PersonPanel, { ...(await mounting()), props: { thread: thread() } }))
  await flushPromises()
  expect(calls.map(({ path }) => path)).toEqual(['/api/threads/9/visits', '/api/threads/9/follow-ups'])
  expect(html.findAll('dd').map((d) => Number(d.text()))).toEqual([40, 15, 25, 80])
  expect(html.text()).toContain('past due 2 h')
  expect(html.text()).toContain('Best bacon roll.')
  expect(html.text()).toContain('wrote 2 times')
})

describe('writing an answer', () => {
  const box = async (more: Parameters<typeof thread>[0] = {}) =>
    mount(ReplyBox, { ...(await mounting()), props: { thread: thread(more) }, attachTo: document.body })
  const sent = {
    thread: {
      id: 9,
      state: 'done',
      edition: 4,
      setAsideUntil: null,
      givenTo: null,
      teamId: null,
      priority: 0,
      spam: false,
    },
    eventId: 5,
  }

  const repliesOf = (calls: ReturnType<typeof fakeServer>['calls']) =>
    calls
      .filter(({ path }) => path.endsWith('/replies'))
      .map(({ body }) => body as { text: string; key: string; edition: number; private: boolean })

  test('what was found in an answer is told first; sent once more as it is, it goes; changed, it is looked at anew', async () => {
    const { calls } = fakeServer({
      'POST /api/threads/9/replies/check': (body: unknown) => ({
        body: (body as { text: string }).text.includes('Hester')
          ? [
              { kind: 'name', words: 'Hester', start: 5, end: 11 },
              { kind: 'question', words: 'Is it late?' },
            ]
          : [],
      }),
      'POST /api/threads/9/replies': sent,
    })
    const html = await box()
    const submit = async () => {
      await html.find('form').trigger('submit')
      await flushPromises()
    }
    await html.find('textarea').setValue('Dear Hester, sorry.')
    await submit()
    expect(html.find('[data-test=doubts]').text()).toContain('It greets “Hester”, who is not this customer.')
    expect(html.find('[data-test=doubts]').text()).toContain('“Is it late?”')
    expect(repliesOf(calls)).toHaveLength(0)
    await html.find('[data-test=doubts] button').trigger('click')
    const area = html.find('textarea').element
    expect(area.value.slice(area.selectionStart, area.selectionEnd)).toBe('Hester')
    await html.find('textarea').setValue('Dear Hester, sorry!')
    expect(html.find('[data-test=doubts]').exists()).toBe(false)
    await submit()
    expect(repliesOf(calls)).toHaveLength(0)
    await submit()
    expect(repliesOf(calls)).toMatchObject([{ text: 'Dear Hester, sorry!' }])
    await html.find('textarea').setValue('Dear Perrin, sorry.')
    await submit()
    expect(repliesOf(calls)).toHaveLength(2)
  })
  test('a draft from another machine is there with what came since; what was typed here later wins', async () => {
    fakeServer({ 'PUT /api/threads/9/draft': undefined })
    const draft = { text: 'From the desk', private: false, edition: 2, at: '2026-11-22T19:00:00Z' }
    const later = entry({
      id: 2,
      author: 'Ivo Oduya',
      direction: 'out',
      text: 'Answered.',
      at: '2026-11-22T20:00:00Z',
    })
    const html = await box({ draft, entries: [entry(), later] })
    expect(html.find('textarea').element.value).toBe('From the desk')
    expect(html.find('[data-test=while-writing]').text()).toContain('Ivo Oduya')
    expect(html.find('[data-test=while-writing]').text()).toContain('Your draft of')
    await html.find('textarea').setValue('From here')
    html.unmount()
    expect((await box({ draft })).find('textarea').element.value).toBe('From here')
  })
  test('what comes while one writes, and who was given the thread, stands above the answer', async () => {
    fakeServer({ 'PUT /api/threads/9/draft': undefined })
    const html = await box()
    const more = { entries: [entry(), entry({ id: 2, text: 'Are you there?' })], edition: 4, givenTo: 3 }
    await html.setProps({ thread: thread(more) })
    expect(html.find('[data-test=while-writing]').exists()).toBe(false)
    await html.setProps({ thread: thread() })
    await html.find('textarea').setValue('We are')
    await html.setProps({ thread: thread(more) })
    expect(html.find('[data-test=while-writing]').text()).toContain('Are you there?')
    expect(html.find('[data-test=while-writing]').text()).toContain('Ivo Oduya was assigned this thread')
  })
  test('sends the text, the edition that was seen, and a key', async () => {
    const { calls } = fakeServer({
      'POST /api/threads/9/replies/check': [],
      'POST /api/threads/9/replies': sent,
    })
    const html = await box()
    await html.find('textarea').setValue('We are sorry.')
    await html.find('form').trigger('submit')
    await flushPromises()
    const [reply] = repliesOf(calls)
    expect(reply).toMatchObject({ text: 'We are sorry.', edition: 3, finish: true, anyway: false })
    expect(reply!.key).toMatch(/^[0-9a-f-]{36}$/)
    expect(html.emitted('sent')).toEqual([[sent, true]])
    expect(html.find('textarea').element.value).toBe('')
  })
  test('goes to the author alone when that is wanted, and says so before', async () => {
    const { calls } = fakeServer({
      'POST /api/threads/9/replies/check': [],
      'POST /api/threads/9/replies': sent,
    })
    const html = await box({ reply: { ...thread().reply, privately: true } })
    expect(html.text()).toContain('Public answer')
    await html.find('[data-test=in-private]').trigger('click')
    expect(html.text()).toContain('Private answer')
    await html.find('textarea').setValue('Only you.')
    await html.find('form').trigger('submit')
    await flushPromises()
    expect(repliesOf(calls)[0]).toMatchObject({ text: 'Only you.', private: true })
    // The next one is public again.
    expect(html.text()).toContain('Public answer')
  })
  test('takes files where the channel does, and sends nothing while they are too much', async () => {
    const { calls } = fakeServer({
      'POST /api/attachments': {
        id: 4,
        name: 'a.txt',
        type: 'text/plain',
        bytes: 60,
        width: null,
        height: null,
        inline: false,
      },
      'POST /api/threads/9/replies/check': [],
      'POST /api/threads/9/replies': sent,
      'DELETE /api/attachments/4': null,
    })
    expect((await box()).find('[data-test=add-files]').exists()).toBe(false)
    const html = await box({ reply: { ...thread().reply, files: { most: 2, bytes: 100 } } })
    await html.find('textarea').setValue('See these.')
    const input = html.find('[data-test=add-files]')
    const choose = async () => {
      Object.defineProperty(input.element, 'files', { value: [new File(['x'], 'a.txt')], configurable: true })
      await input.trigger('change')
      await flushPromises()
    }
    await choose()
    expect(html.find('[data-test=files]').text()).toContain('a.txt')
    await choose()
    expect(html.text()).toContain('too many or too large')
    expect(html.find('button[type=submit]').attributes('disabled')).toBeDefined()
    await html.find('[data-test=files] button').trigger('click')
    await flushPromises()
    expect(html.find('[data-test=files]').exists()).toBe(false)
    await choose()
    await html.find('form').trigger('submit')
    await flushPromises()
    expect(calls.findLast(({ path }) => path.endsWith('/replies'))!.body).toMatchObject({
      text: 'See these.',
      attachments: [4],
    })
  })
  test('files that were put beside the draft are there, what is put there elsewhere comes, what was dropped stays away', async () => {
    fakeServer({ 'DELETE /api/attachments/4': null })
    const file = (id: number) => ({
      id,
      name: `${id}.txt`,
      type: 'text/plain',
      bytes: 9,
      width: null,
      height: null,
      inline: false,
    })
    const reply = { ...thread().reply, files: { most: 5, bytes: 100 } }
    const html = await box({ reply, draftFiles: [file(4), file(5)] })
    const names = () => html.findAll('[data-test=files] li a').map((each) => each.text())
    expect(names()).toEqual(['4.txt', '5.txt'])
    await html.find('[data-test=files] button').trigger('click')
    await html.setProps({ thread: thread({ reply, draftFiles: [file(4), file(5), file(6)] }) })
    expect(names()).toEqual(['5.txt', '6.txt'])
    // One that went to a lead, and is returned.
    await html.setProps({ thread: thread({ reply, draftFiles: [file(5), file(6)] }) })
    await html.setProps({ thread: thread({ reply, draftFiles: [file(4), file(5), file(6)] }) })
    expect(names()).toEqual(['5.txt', '6.txt', '4.txt'])
  })
  test('with nothing, or with too much, cannot be sent and says by how much', async () => {
    const { calls } = fakeServer({})
    const html = await box()
    expect(html.find('button[type="submit"]').attributes('disabled')).toBeDefined()
    await html.find('textarea').setValue('x'.repeat(53))
    expect(html.text()).toContain('3 characters too many')
    await html.find('form').trigger('submit')
    expect(calls.filter(({ method }) => method !== 'GET')).toHaveLength(0)
  })
  test('what is typed is there again', async () => {
    const html = await box()
    await html.find('textarea').setValue('half a senten')
    html.unmount()
    expect((await box()).find('textarea').element.value).toBe('half a senten')
  })
  test('a refusal keeps the text and the key, so that sending again sends once', async () => {
    const answers = [{ status: 409, body: problemOf('threadChanged') }, { body: sent }]
    const { calls } = fakeServer({
      'POST /api/threads/9/replies/check': [],
      'POST /api/threads/9/replies': () => answers.shift()!,
    })
    const html = await box()
    await html.find('textarea').setValue('We are sorry.')
    await html.find('form').trigger('submit')
    await flushPromises()
    expect(html.find('[role="alert"]').text()).toContain('A colleague acted on this thread')
    expect(html.emitted('changed')).toHaveLength(1)
    await html.setProps({ thread: thread({ edition: 8 }) })
    await html
      .findAll('button')
      .find((b) => b.text() === 'Send anyway')!
      .trigger('click')
    await flushPromises()
    const [first, second] = repliesOf(calls)
    expect(second).toMatchObject({ key: first!.key, edition: 8, anyway: true })
  })
  test('a server that is away is told, and nothing is lost', async () => {
    globalThis.fetch = () => Promise.reject(new TypeError('no network'))
    const html = await box()
    await html.find('textarea').setValue('We are sorry.')
    await html.find('form').trigger('submit')
    await flushPromises()
    expect(html.find('[role="alert"]').text()).toContain('The server cannot be reached')
    expect(html.find('textarea').element.value).toBe('We are sorry.')
  })
})
