import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, test } from 'vitest'
import type { ThreadEntry } from '@murrabel/contract'
import EntryEdits from '../src/sections/inbox/EntryEdits.vue'
import OwnEntryChange from '../src/sections/inbox/OwnEntryChange.vue'
import ReportEntry from '../src/sections/inbox/ReportEntry.vue'
import ThreadRow from '../src/sections/inbox/ThreadRow.vue'
import { entry, fakeServer, mounting, row } from './support.ts'

beforeEach(() => {
  localStorage.clear()
  document.body.innerHTML = ''
})

describe('what its author changed or took away', () => {
  const shown = async (more: Partial<ThreadEntry>) =>
    mount(EntryEdits, { ...(await mounting()), props: { entry: entry(more) } })
  test('nothing is said of what stands as it was written', async () =>
    expect((await shown({})).text()).toBe(''))
  test('what stood before is shown when it is asked for, with its stars', async () => {
    const html = await shown({
      edits: [{ title: null, text: 'Lovely crossing', rating: 5, until: '2026-11-23T10:00:00Z' }],
    })
    expect(html.find('[data-test=before]').exists()).toBe(false)
    await html.find('[data-test=edited]').trigger('click')
    expect(html.find('[data-test=before]').text()).toContain('Lovely crossing')
    expect(html.find('[data-test=before]').text()).toContain('5.0')
    expect(html.find('[data-test=edited]').attributes('aria-expanded')).toBe('true')
  })
  test('what was deleted says so, in the thread and in the list', async () => {
    const html = await shown({ deletedAt: '2026-11-23T10:00:00Z', text: '' })
    expect(html.text()).toContain('Deleted there')
    const list = mount(ThreadRow, {
      ...(await mounting()),
      props: { row: row({ text: '', deleted: true }), selected: false },
    })
    expect(list.text()).toContain('deleted there')
  })
})

describe('an answer of ours that has gone out', () => {
  const own = (more: Partial<ThreadEntry> = {}) =>
    entry({ id: 7, direction: 'out', text: 'At sevn.', rating: null, spans: [], changeable: true, ...more })
  const mounted = async (given: ThreadEntry) => {
    const server = fakeServer({
      'PUT /api/entries/7/text': undefined,
      'POST /api/entries/7/take-back': undefined,
    })
    const html = mount(OwnEntryChange, {
      ...(await mounting()),
      props: { entry: given, most: 20 },
      attachTo: document.body,
    })
    return { html, ...server }
  }
  test('is edited where it stands; too many characters are said and not sent', async () => {
    const { html, calls } = await mounted(own())
    await html.findAll('button')[0]!.trigger('click')
    const area = html.find('textarea')
    expect((area.element as HTMLTextAreaElement).value).toBe('At sevn.')
    await area.setValue('x'.repeat(21))
    expect(html.find('.past').exists()).toBe(true)
    expect(html.find('button[type=submit]').attributes('disabled')).toBeDefined()
    await area.setValue('At seven.')
    await html.find('form').trigger('submit')
    await flushPromises()
    expect(calls).toHaveLength(1)
    expect(calls[0]!.body).toMatchObject({ text: 'At seven.', key: expect.any(String) as string })
    expect(html.find('textarea').exists()).toBe(false)
  })
  test('is taken back only after a question', async () => {
    const { html, calls } = await mounted(own())
    const take = html.findAll('button')[1]!
    await take.trigger('click')
    await flushPromises()
    expect(calls).toHaveLength(0)
    document.querySelector<HTMLElement>('.el-message-box__btns .el-button--primary')!.click()
    await flushPromises()
    expect(calls.map((each) => each.path)).toEqual(['/api/entries/7/take-back'])
  })
  test('a change that did not get through says why, and is tried again or given up', async () => {
    const change = {
      id: 31,
      kind: 'edit' as const,
      state: 'failed' as const,
      error: 'refused: 403',
      text: 'At seven.',
    }
    const { html } = await mounted(own({ change }))
    expect(html.find('[data-test=change]').text()).toContain('The new words did not get through')
    for (const button of html.findAll('button')) await button.trigger('click')
    expect([html.emitted('retry'), html.emitted('drop')]).toEqual([[[31]], [[31]]])
  })
})

describe('a review that should not stand there', () => {
  const mounted = async (more: Partial<ThreadEntry>) => {
    const server = fakeServer({ 'POST /api/entries/1/report': undefined })
    const html = mount(ReportEntry, {
      ...(await mounting()),
      props: { entry: entry({ reportable: true, ...more }) },
    })
    return { html, ...server }
  }
  test('is reported with a reason', async () => {
    const { html, calls } = await mounted({})
    await html.find('button').trigger('click')
    await html.find('textarea').setValue('No such crossing on that day')
    await html.find('form').trigger('submit')
    await flushPromises()
    expect(calls[0]!.body).toMatchObject({ reason: 'fake', text: 'No such crossing on that day' })
    expect(html.find('form').exists()).toBe(false)
  })
  test.each([
    ['waiting', 'Being reported: insulting or threatening'],
    ['sent', 'The network decides.'],
    ['failed', 'It could not be reported'],
  ] as const)('says that it is %s', async (state, words) => {
    const report = { id: 4, state, error: null, reason: 'insult', at: '2026-11-23T10:00:00Z' }
    const { html } = await mounted({ report })
    expect(html.find('[data-test=report]').text()).toContain(words)
  })
})
