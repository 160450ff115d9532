/* eslint-disable vue/one-component-per-file -- small ones, made for a test */
import { flushPromises, mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { createApp, defineComponent, h, ref } from 'vue'
import { describe, expect, test, vi } from 'vitest'
import { versionHeader, routes } from '@murrabel/contract'
import { call } from '../src/api/call.ts'
import FaultNote from '../src/parts/FaultNote.vue'
import NewVersion from '../src/parts/NewVersion.vue'
import PageGuard from '../src/parts/PageGuard.vue'
import { useFaults } from '../src/stores/faults.ts'
import { watchFaults } from '../src/watchFaults.ts'
import { button, keep, useStage } from './stage.ts'
import { fakeServer, mounting } from './support.ts'

useStage()

const quiet = <T>(act: () => T): T => {
  const spy = vi.spyOn(console, 'error').mockImplementation(() => {})
  try {
    return act()
  } finally {
    spy.mockRestore()
  }
}

describe('a fault', () => {
  test('is a sentence with the number under which the server keeps it', async () => {
    const around = await mounting()
    const { calls } = fakeServer({ 'POST /api/faults': undefined })
    const html = keep(mount(FaultNote, around))
    expect(html.find('[role="alert"]').exists()).toBe(false)
    const { number } = quiet(() => useFaults().tell(new Error('no such thing')))
    await flushPromises()
    expect(number).toMatch(/^[2-9A-Z]{4}-[2-9A-Z]{4}$/)
    expect(html.text()).toContain(`noted as ${number}`)
    expect(calls[0]).toMatchObject({ path: '/api/faults', body: { number, path: '/' } })
    expect((calls[0]!.body as { text: string }).text).toContain('no such thing')
    await button(html, 'Close').trigger('click')
    expect(html.find('[role="alert"]').exists()).toBe(false)
  })
  test('whatever nobody caught is told; what the browser reports by itself is not', async () => {
    setActivePinia(createPinia())
    fakeServer({ 'POST /api/faults': undefined })
    const { router } = await mounting()
    const faults = useFaults()
    quiet(() => watchFaults(createApp({ render: () => h('div') }), router))
    quiet(() => window.dispatchEvent(new ErrorEvent('error', { message: 'ResizeObserver loop completed' })))
    expect(faults.last).toBeNull()
    quiet(() => window.dispatchEvent(new ErrorEvent('error', { error: new Error('x'), message: 'x' })))
    expect(faults.last).not.toBeNull()
  })
  test('a page that cannot be drawn leaves a way on', async () => {
    const fails = ref(true)
    const Page = defineComponent({
      setup: () => () => {
        if (fails.value) throw new Error('cannot be drawn')
        return h('p', 'the page')
      },
    })
    const around = await mounting()
    const app = createApp({ render: () => h(PageGuard, () => h(Page)) })
    const told: unknown[] = []
    app.config.errorHandler = (error) => told.push(error)
    for (const plugin of around.global.plugins) app.use(plugin)
    const box = document.createElement('div')
    app.mount(box)
    await flushPromises()
    expect(told).toHaveLength(1)
    expect(box.textContent).toContain('This page could not be shown')
    fails.value = false
    box.querySelector('button')!.click()
    await flushPromises()
    expect(box.textContent).toBe('the page')
    app.unmount()
  })
})

describe('a newer version', () => {
  test('is offered when an answer belongs to it', async () => {
    const around = await mounting()
    const html = keep(mount(NewVersion, around))
    const faults = useFaults()
    watchFaults(createApp({ render: () => h('div') }), around.router)
    const answering = (version: string) =>
      (globalThis.fetch = async () =>
        new Response('{}', { headers: { [versionHeader]: version, 'content-type': 'application/json' } }))
    answering(__VERSION__)
    await call(routes.brand)
    expect(html.text()).toBe('')
    answering('another')
    await call(routes.brand)
    await flushPromises()
    expect(faults.outdated).toBe(true)
    expect(html.text()).toContain('A new version of Murrabel is installed')
  })
})
