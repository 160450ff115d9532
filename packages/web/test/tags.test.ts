import { flushPromises, mount } from '@vue/test-utils'
import fc from 'fast-check'
import { defineComponent, h } from 'vue'
import { describe, expect, test } from 'vitest'
import { problemOf } from '@murrabel/contract'
import { tagsAfter, useTags } from '../src/composables/useTags.ts'
import TagSheet from '../src/parts/TagSheet.vue'
import { useBrand } from '../src/stores/brand.ts'
import { useUndo } from '../src/stores/undo.ts'
import { keep, press, useStage } from './stage.ts'
import { fakeServer, mounting } from './support.ts'

useStage()

const ids = fc.uniqueArray(fc.integer({ min: 1, max: 9 }))
test('a change of tags and its reverse end where they began', () =>
  fc.assert(
    fc.property(ids, ids, ids, (tags, add, remove) => {
      // What the server says was done: only what was not there, and only what was.
      const removed = remove.filter((id) => tags.includes(id))
      const added = add.filter((id) => !tags.includes(id))
      const after = tagsAfter(tags, { added, removed })
      expect(tagsAfter(after, { added: removed, removed: added })).toEqual([...tags].sort((a, b) => a - b))
      expect(new Set(after).size).toBe(after.length)
    }),
  ))

describe('the sheet', () => {
  const open = async (tags: number[], count = 1) => {
    const around = await mounting()
    useBrand().answer!.tags = [
      { id: 5, name: 'galley' },
      { id: 6, name: 'ramp' },
    ]
    const html = keep(
      mount(TagSheet, { ...around, props: { modelValue: false, tags, count }, attachTo: document.body }),
    )
    await html.setProps({ modelValue: true })
    await flushPromises()
    const field = () => document.querySelector<HTMLInputElement>('.el-dialog input')!
    const type = async (text: string) => {
      field().value = text
      field().dispatchEvent(new Event('input'))
      field().dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter' }))
      await flushPromises()
    }
    return { html, type }
  }
  test('has the tags there are, offers the others, and says only what changes', async () => {
    const { html, type } = await open([5])
    await press('ramp')
    await type('Lost luggage')
    await press('Remove galley')
    await press('Save tags')
    expect(html.emitted('save')).toEqual([[{ add: ['ramp', 'Lost luggage'], remove: [5] }]])
    expect(html.emitted('update:modelValue')!.at(-1)).toEqual([false])
  })
  test('a tag written again in other capitals is the same tag', async () => {
    const { html, type } = await open([5])
    await type('GALLEY')
    await press('Save tags')
    expect(html.emitted('save')).toEqual([[{ add: [], remove: [] }]])
  })
  test('of many threads says of how many', async () => {
    await open([], 12)
    expect(document.body.textContent).toContain('Tags of 12 threads')
  })
})

describe('changing tags', () => {
  const use = async (answers: Parameters<typeof fakeServer>[0]) => {
    const server = fakeServer(answers)
    const heard: unknown[] = []
    let change!: ReturnType<typeof useTags>
    const Inside = defineComponent(() => {
      change = useTags((changes) => heard.push(changes))
      return () => h('i')
    })
    keep(mount(Inside, await mounting()))
    return { change, heard, ...server }
  }
  const answer = (thread: number, added: number[], removed: number[]) => ({
    changed: [{ thread, added, removed }],
    tags: [{ id: 6, name: 'ramp' }],
  })
  test('tells what changed, and gives each thread back what it had, by the name of a tag that went', async () => {
    let n = 0
    const { change, heard, calls } = await use({
      'PUT /api/threads/tags': () => ({ body: n++ ? answer(9, [5], [6]) : answer(9, [6], [5]) }),
      'POST /api/threads/tags': () => ({ body: n++ ? answer(9, [5], [6]) : answer(9, [6], [5]) }),
    })
    await change([9], { add: ['ramp'], remove: [5] })
    expect(heard).toEqual([[{ thread: 9, added: [6], removed: [5] }]])
    expect(useBrand().tags).toEqual([{ id: 6, name: 'ramp' }])
    await useUndo().undo()
    expect(calls.at(-1)!.body).toEqual({ threads: [9], add: ['galley'], remove: [6] })
    expect(heard).toHaveLength(2)
  })
  test('of nothing, or of no thread, asks nobody', async () => {
    const { change, calls } = await use({})
    await change([], { add: ['ramp'], remove: [] })
    await change([9], { add: [], remove: [] })
    expect(calls).toHaveLength(0)
  })
  test('a refusal is told, and nothing is said to have changed', async () => {
    const refusal = () => ({
      status: 422,
      body: problemOf('invalid', {
        fields: [{ field: 'add', code: 'tooLong', message: 'a tag has at most 40 letters' }],
      }),
    })
    const { change, heard } = await use({
      'PUT /api/threads/tags': refusal,
      'POST /api/threads/tags': refusal,
    })
    await change([9], { add: ['x'.repeat(99)], remove: [] })
    expect(heard).toHaveLength(0)
    expect(useUndo().notice).toMatchObject({ text: 'a tag has at most 40 letters', problem: true })
  })
})
