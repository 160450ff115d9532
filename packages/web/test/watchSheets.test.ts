import { flushPromises, mount } from '@vue/test-utils'
import { describe, expect, test } from 'vitest'
import { problemOf } from '@murrabel/contract'
import FeedSheet from '../src/sections/alerts/FeedSheet.vue'
import GroupSheet from '../src/sections/watches/GroupSheet.vue'
import MarkButtons from '../src/sections/watches/MarkButtons.vue'
import StartSheet from '../src/sections/watches/StartSheet.vue'
import { useBrand } from '../src/stores/brand.ts'
import { press, useStage } from './stage.ts'
import { mounting } from './support.ts'
import { groupOf, open, watchOf } from './watchSupport.ts'

useStage({ sizes: true })

describe('two marks beside a hit', () => {
  test('say what they stand at, and pressed again are taken back', async () => {
    const html = mount(MarkButtons, { ...(await mounting()), props: { marked: true } })
    const [onTopic, off] = html.findAll('button')
    expect([onTopic!.attributes('aria-pressed'), off!.attributes('aria-pressed')]).toEqual(['true', 'false'])
    await onTopic!.trigger('click')
    await off!.trigger('click')
    expect(html.emitted('mark')).toEqual([[null], [false]])
  })
})

describe('groups', () => {
  test('a group is made inside another, never in itself', async () => {
    const { html, sent } = await open(
      GroupSheet,
      { 'PUT /api/groups/1': groupOf(1), 'GET /api/watches': [], 'GET /api/groups': [] },
      { props: { modelValue: false, editing: groupOf(1, { name: 'Rivals', kind: 'rivals' }) } },
    )
    useBrand().answer!.groups = [groupOf(1), groupOf(2)]
    await html.setProps({ modelValue: true })
    await flushPromises()
    const selects = html.findAllComponents({ name: 'ElSelect' })
    const offered = selects
      .at(-1)!
      .findAllComponents({ name: 'ElOption' })
      .map((o) => o.props('value'))
    expect(offered).toContain(2)
    expect(offered).not.toContain(1)
    await selects.at(-1)!.vm.$emit('update:modelValue', 2)
    document.querySelector('form')!.dispatchEvent(new Event('submit', { cancelable: true }))
    await flushPromises()
    expect(sent('PUT')[0]!.body).toEqual({ name: 'Rivals', kind: 'rivals', parentId: 2, edition: 1 })
    expect(html.emitted('changed')).toHaveLength(1)
  })
})

describe('the feeds of a watch', () => {
  test('are shown as they are, renewed and switched off; a failure can be tried again', async () => {
    let first = true
    const on = { atom: 'http://127.0.0.1/feeds/a.atom', json: 'http://127.0.0.1/feeds/a.json' }
    const { html, body, sent } = await open(
      FeedSheet,
      {
        'GET /api/watches/4/feed': () => {
          if (!first) return { body: { atom: null, json: null } }
          first = false
          return { status: 500, body: problemOf('broken') }
        },
        'POST /api/watches/4/feed': on,
        'DELETE /api/watches/4/feed': { atom: null, json: null },
      },
      { props: { modelValue: false, item: watchOf() } },
    )
    await html.setProps({ modelValue: true })
    await flushPromises()
    expect(body()).toContain('The server met a fault')
    await press('Try again')
    await flushPromises()
    expect(body()).toContain('Switched off')
    // Nothing is made by looking.
    expect(sent('POST')).toHaveLength(0)
    await press('Switch on')
    await flushPromises()
    const links = () =>
      [...document.querySelectorAll('[data-test="feeds"] a')].map((a) => a.getAttribute('href'))
    expect(links()).toEqual([on.atom, on.json])
    await press('Switch off')
    await flushPromises()
    expect(links()).toEqual([])
  })
})

describe('help to begin', () => {
  test('proposes watches, leaves out those there are, and makes the chosen ones', async () => {
    const query = { ...watchOf().query, anyOf: [{ text: 'skerrivane', slack: true }] }
    const { sent } = await open(
      StartSheet,
      {
        'POST /api/watches/proposals': [
          { name: 'Skerrivane', group: 'brand', query },
          { name: 'storm petrel', group: 'products', query },
        ],
        'POST /api/watches/import': { added: 1, known: 0 },
        'GET /api/watches': [],
        'GET /api/groups': [],
      },
      { props: { modelValue: true } },
    )
    await press('Suggest')
    await flushPromises()
    expect(document.body.textContent).toContain('skerrivane ±1')
    await press('Save 1 watch')
    await flushPromises()
    const { file } = sent('POST', '/api/watches/import')[0]!.body as { file: string }
    const { watches } = JSON.parse(file) as { watches: { name: string; group: { kind: string }[] }[] }
    expect(watches.map(({ name, group }) => [name, group[0]!.kind])).toEqual([['Skerrivane', 'brand']])
  })
})
