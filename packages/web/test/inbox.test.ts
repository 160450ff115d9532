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
    [{}, 'Read as negative on 1 word, 80% sure. Wrong?'],
    [{ spans: [] }, 'Read as negative by its stars. Wrong?'],
    [{ spans: [], rating: null, sentiment: 'neutral' as const }, 'No sentiment found. Correct it:'],
    [{ correctedBy: 'Ivo Oduya' }, 'Ivo Oduya set this to negative.'],
  ])('%j: %s', async (more, text) =>
    expect((await judge(more)).find('[data-test="reading"]').text()).toBe(text),
  )
  test('is put right by one of three', async () => {
    const html = await judge({})
    for (const button of html.findAll('button')) await button.trigger('click')
    expect(html.emitted('judge')).toEqual([['negative'], ['neutral'], ['positive']])
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
    thread: { id: 9, state: 'done', edition: 4, setAsideUntil: null, givenTo: null },
    eventId: 5,
  }

  test('sends the text, the edition that was seen, and a key', async () => {
    const { calls } = fakeServer({ 'POST /api/threads/9/replies': sent })
    const html = await box()
    await html.find('textarea').setValue('We are sorry.')
    await html.find('form').trigger('submit')
    await flushPromises()
    expect(calls[0]!.body).toMatchObject({ text: 'We are sorry.', edition: 3, finish: true, anyway: false })
    expect((calls[0]!.body as { key: string }).key).toMatch(/^[0-9a-f-]{36}$/)
    expect(html.emitted('sent')).toEqual([[sent, true]])
    expect(html.find('textarea').element.value).toBe('')
  })
  test('goes to the author alone when that is wanted, and says so before', async () => {
    const { calls } = fakeServer({ 'POST /api/threads/9/replies': sent })
    const html = await box({ reply: { ...thread().reply, privately: true } })
    expect(html.text()).toContain('Public answer')
    await html.find('[data-test=in-private]').trigger('click')
    expect(html.text()).toContain('Private answer')
    await html.find('textarea').setValue('Only you.')
    await html.find('form').trigger('submit')
    await flushPromises()
    expect(calls[0]!.body).toMatchObject({ text: 'Only you.', private: true })
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
    expect(calls.at(-1)!.body).toMatchObject({ text: 'See these.', attachments: [4] })
  })
  test('with nothing, or with too much, cannot be sent and says by how much', async () => {
    const { calls } = fakeServer({})
    const html = await box()
    expect(html.find('button[type="submit"]').attributes('disabled')).toBeDefined()
    await html.find('textarea').setValue('x'.repeat(53))
    expect(html.text()).toContain('3 characters too many')
    await html.find('form').trigger('submit')
    expect(calls).toHaveLength(0)
  })
  test('what is typed is there again', async () => {
    const html = await box()
    await html.find('textarea').setValue('half a senten')
    html.unmount()
    expect((await box()).find('textarea').element.value).toBe('half a senten')
  })
  test('a refusal keeps the text and the key, so that sending again sends once', async () => {
    const answers = [{ status: 409, body: problemOf('threadChanged') }, { body: sent }]
    const { calls } = fakeServer({ 'POST /api/threads/9/replies': () => answers.shift()! })
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
    const [first, second] = calls.map((c) => c.body as { key: string; edition: number; anyway: boolean })
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
