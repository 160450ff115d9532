import { flushPromises, mount } from '@vue/test-utils'
import { describe, expect, test } from 'vitest'
import KeyHint from '../src/parts/KeyHint.vue'
import ShortcutList from '../src/parts/ShortcutList.vue'
import { changeKey, readKeys, shortcutOf, usualKeys } from '../src/shortcuts.ts'
import { useShortcutKeys } from '../src/stores/shortcuts.ts'
import { keep, press, settled, useStage } from './stage.ts'
import { mounting } from './support.ts'

useStage()

describe('the keys', () => {
  test.each([
    [null, usualKeys],
    ['nonsense', usualKeys],
    [
      { finish: 'd', other: 'q', tag: 'Enter', keep: ' ', give: '' },
      { ...usualKeys, finish: 'd', give: '' },
    ],
  ])('what a browser has kept is made whole: %j', (kept, keys) => expect(readKeys(kept)).toEqual(keys))
  test.each([
    ['finish', 'd', { keys: { ...usualKeys, finish: 'd' } }],
    ['finish', 'f', { keys: usualKeys }],
    ['finish', 'j', { refused: 'taken', by: 'next' }],
    ['finish', 'F5', { refused: 'noSign' }],
    ['finish', ' ', { refused: 'noSign' }],
    ['finish', '', { keys: { ...usualKeys, finish: '' } }],
    ['list', 'é', { keys: { ...usualKeys, list: 'é' } }],
  ] as const)('%s by %j', (name, key, expected) =>
    expect(changeKey(readKeys(null), name, key)).toEqual(expected),
  )
  test('several may have no key, and no key is nobody’s', () => {
    const none = readKeys({ finish: '', tag: '' })
    expect(changeKey(none, 'keep', '')).toEqual({ keys: { ...none, keep: '' } })
    expect(shortcutOf(none, '')).toBeUndefined()
  })
})

describe('the list of shortcuts', () => {
  const open = async () => {
    const around = await mounting()
    const hint = keep(mount(KeyHint, { ...around, props: { shortcut: 'finish' } }))
    keep(mount(ShortcutList, { ...around, props: { modelValue: true }, attachTo: document.body }))
    await flushPromises()
    return { hint, text: () => document.body.textContent ?? '' }
  }
  const key = async (name: string) => {
    document
      .querySelector('.own.waiting')!
      .dispatchEvent(new KeyboardEvent('keydown', { key: name, bubbles: true, cancelable: true }))
    await settled()
  }
  test('gives a shortcut another key, which stands on the buttons too', async () => {
    const { hint, text } = await open()
    expect(hint.text()).toBe('f')
    await press('finish: f. Change the key')
    expect(text()).toContain('press a key')
    await key('j')
    expect(text()).toContain('“j” is already used: next thread.')
    await key('d')
    expect(hint.text()).toBe('d')
    await press('Usual keys')
    expect(hint.text()).toBe('f')
  })
  test('names each of them once', async () => {
    await open()
    const own = [...document.querySelectorAll('.own')].map((each) => each.textContent?.trim())
    expect(own).toHaveLength(19)
    expect(new Set(own).size).toBe(19)
    const names = [...document.querySelectorAll('li span')].map((each) => each.textContent ?? '')
    expect(names.filter((name) => !name || name.includes('keys.'))).toEqual([])
  })
  test('all can be switched off: nothing is done by one key, and none is shown', async () => {
    const { hint } = await open()
    useShortcutKeys().on = false
    await settled()
    expect(hint.text()).toBe('')
    expect(useShortcutKeys().pressed('f')).toBeUndefined()
  })
})
