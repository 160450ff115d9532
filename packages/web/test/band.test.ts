import { flushPromises, mount } from '@vue/test-utils'
import type { Component } from 'vue'
import { beforeEach, describe, expect, test, vi } from 'vitest'
import { blankLens, type Lens } from '@murrabel/core/lens'
import type { BellAnswer } from '@murrabel/contract'
import BellMenu from '../src/sections/alerts/BellMenu.vue'
import LensPanel from '../src/parts/LensPanel.vue'
import TopBand from '../src/parts/TopBand.vue'
import { useBrand } from '../src/stores/brand.ts'
import { useCounts } from '../src/stores/counts.ts'
import { keep, useStage } from './stage.ts'
import { fakeServer, mounting } from './support.ts'

useStage()
beforeEach(() => (document.documentElement.lang = 'en'))

/** A menu is in the document only once it was opened. */
async function choose(
  html: { find: (selector: string) => { trigger(name: string): Promise<void> } },
  at: string,
  text: string,
) {
  await html.find(at).trigger('click')
  const item = await vi.waitFor(() => {
    const found = [...document.querySelectorAll<HTMLElement>('.el-dropdown-menu__item')].find(
      (each) => each.textContent?.trim() === text,
    )
    if (!found) throw new Error(`no "${text}" in the menu`)
    return found
  })
  item.click()
  await flushPromises()
}

describe('the band at the top', () => {
  const open = async (answers: Parameters<typeof fakeServer>[0] = {}) => {
    const server = fakeServer({ 'GET /api/bell': { events: [], unseen: 0, notSent: [] }, ...answers })
    const around = await mounting({ path: '/watch' })
    const html = keep(mount(TopBand, { global: around.global, attachTo: document.body }))
    await flushPromises()
    return { html, at: () => around.router.currentRoute.value, ...server }
  }
  test('names the brand, what it has, and who is here', async () => {
    const { html } = await open()
    expect(html.find('.brand').text().replace(/\s+/g, ' ')).toBe('Skerrivane Ferries2 places · 7 profiles')
    expect(html.find('.me').text()).toBe('TK')
  })
  test('counts what is past due beside the inbox, and says so in words', async () => {
    const { html } = await open()
    expect(html.find('sup').exists()).toBe(false)
    useCounts().pastDue = 3
    await flushPromises()
    expect(html.find('.section sup').text()).toBe('3')
    expect(html.find('.section sup').attributes('title')).toBe('3 threads of the last two weeks are past due')
  })
  test('finds words in everything, whatever its state; nothing typed finds nothing', async () => {
    const { html, at } = await open()
    await html.find('form').trigger('submit')
    expect(at().path).toBe('/watch')
    await html.find('input').setValue('  engine  ')
    await html.find('form').trigger('submit')
    await flushPromises()
    expect(at().path).toBe('/inbox')
    expect(at().query).toMatchObject({ words: 'engine', state: 'any', time: 'all' })
  })
  test('speaks French when asked, and remembers it', async () => {
    const { html } = await open()
    await choose(html, '.me', 'Français')
    // Its texts are fetched first.
    await expect.poll(() => html.find('input').attributes('placeholder')).toBe('Chercher des mots')
    expect(localStorage.getItem('murrabel.language')).toBe('fr')
    expect(document.documentElement.lang).toBe('fr')
  })
  test('signing out forgets the brand and leads to the door', async () => {
    const { html, at, calls } = await open({ 'DELETE /api/session': undefined })
    await choose(html, '.me', 'Sign out')
    expect(calls.some((c) => c.method === 'DELETE' && c.path === '/api/session')).toBe(true)
    expect(useBrand().answer).toBeNull()
    expect(at().path).toBe('/sign-in')
  })
})

describe('the bell', () => {
  const told: BellAnswer = {
    unseen: 2,
    notSent: [],
    events: [
      {
        id: 9,
        alert: 'Petrel',
        text: 'A spike: 319 entries',
        at: '2026-11-22T10:00:00Z',
        link: '/watch?watch=4',
      },
      { id: 8, alert: 'Petrel', text: 'Over', at: '2026-11-21T10:00:00Z', link: '/watch?watch=4' },
    ],
  } as unknown as BellAnswer
  const open = async (answer: BellAnswer) => {
    const server = fakeServer({
      'GET /api/bell': answer,
      'PUT /api/bell': undefined,
    })
    const around = await mounting()
    const html = keep(mount(BellMenu, { global: around.global, attachTo: document.body }))
    await flushPromises()
    return { html, at: () => around.router.currentRoute.value.fullPath, ...server }
  }
  test('says how much is new, and leads to what was told', async () => {
    const { html, at, calls } = await open(told)
    expect(html.find('.bell').attributes('aria-label')).toBe('Alerts: 2 new')
    await html.find('.bell').trigger('click')
    await flushPromises()
    // Opening it is seeing it.
    // The DOM here opens no menus by itself.
    await html.findComponent({ name: 'ElDropdown' }).vm.$emit('visible-change', true)
    await flushPromises()
    expect(calls.find((c) => c.method === 'PUT')).toMatchObject({
      path: '/api/bell/seen',
      body: { upTo: 9 },
    })
    expect(html.find('sup').exists()).toBe(false)
    await expect.poll(() => document.querySelector('.el-dropdown-menu__item')).not.toBeNull()
    const first = document.querySelector<HTMLElement>('.el-dropdown-menu__item')!
    expect(first.textContent).toContain('A spike: 319 entries')
    first.click()
    await flushPromises()
    expect(at()).toBe('/watch?watch=4')
  })
  test('with nothing to tell says so', async () => {
    const { html } = await open({ events: [], unseen: 0, notSent: [] })
    expect(html.find('sup').exists()).toBe(false)
    await html.find('.bell').trigger('click')
    await expect.poll(() => document.body.textContent).toContain('No alerts yet.')
  })
  test('a server that does not answer leaves it silent', async () => {
    const around = await mounting()
    globalThis.fetch = () => Promise.reject(new TypeError('down'))
    const html = keep(mount(BellMenu, { global: around.global }))
    await flushPromises()
    expect(html.find('.bell').attributes('aria-label')).toBe('Alerts: 0 new')
  })
})

describe('a part of the lens', () => {
  const open = async (
    field: string,
    lens: Partial<Lens>,
    options: { value: string | number; label: string }[] = [],
  ) => {
    const html = keep(
      mount(LensPanel as Component, {
        ...(await mounting()),
        props: { field, lens: { ...blankLens, ...lens }, options },
        attachTo: document.body,
      }),
    )
    const press = async (text: string) => {
      await html
        .findAll('button')
        .find((b) => b.text() === text)!
        .trigger('click')
      return html.emitted('change')?.at(-1)
    }
    return { html, press }
  }
  const watches = [
    { value: 0, label: 'anything' },
    { value: 4, label: 'Storm Petrel' },
    { value: -2, label: 'Ships' },
  ]
  test('a watch and a group take each other’s place; anything takes both away', async () => {
    const { html, press } = await open('watch', { group: 2 }, watches)
    expect(html.find('[aria-pressed="true"]').text()).toBe('Ships')
    expect(await press('Storm Petrel')).toEqual([{ watch: 4, group: null }])
    expect(await press('Ships')).toEqual([{ watch: null, group: 2 }])
    expect(await press('anything')).toEqual([{ watch: null, group: null }])
  })
  test('lists start with what is chosen, and all of them is none', async () => {
    const { html, press } = await open('channels', { channels: ['maps'] }, [
      { value: 'maps', label: 'map listings' },
      { value: 'news', label: 'news and blogs' },
    ])
    expect(html.findAll('input').map((i) => (i.element as HTMLInputElement).checked)).toEqual([true, false])
    await html.findAll('input')[1]!.setValue(true)
    await html.find('form').trigger('submit')
    expect(html.emitted('change')!.at(-1)).toEqual([{ channels: ['maps', 'news'] }])
    expect(await press('All')).toEqual([{ channels: [] }])
  })
  test('words are trimmed, and taken away', async () => {
    const { html, press } = await open('words', { words: 'engine' })
    await html.find('input').setValue('  no refund ')
    await html.find('form').trigger('submit')
    expect(html.emitted('change')!.at(-1)).toEqual([{ words: 'no refund' }])
    expect(await press('Remove')).toEqual([{ words: '' }])
  })
  test.each([
    ['voice', { voice: 31 }, null],
    ['aspect', { aspect: { id: 1, sentiment: null } }, null],
    ['weekHour', { weekHour: 38 }, null],
    ['kept', { kept: true }, false],
  ] as const)('%s can be taken away here, and is chosen elsewhere', async (field, lens, blank) => {
    const { press } = await open(field, lens)
    expect(await press('Remove')).toEqual([{ [field]: blank }])
  })
  test('a time is so many days, or all', async () => {
    const { html, press } = await open('range', { range: { last: 28 } }, [
      { value: 7, label: 'last 7 days' },
      { value: 28, label: 'last 28 days' },
    ])
    expect(html.find('.current').text()).toBe('last 28 days')
    expect(await press('last 7 days')).toEqual([{ range: { last: 7 } }])
    expect(await press('at any time')).toEqual([{ range: null }])
  })
})
