import { expect, test, vi } from 'vitest'
import { carriedOver } from '../src/firstScreen/carryOver.ts'
import { knownOfPage } from '../src/firstScreen/knownOfPage.ts'

const screen = (rows: readonly string[]) =>
  `<form><input type="search" value=""></form><div class="box">${rows
    .map((row) => `<button>${row}</button>`)
    .join('')}</div>`

/** The screen that the server drew, with what somebody does on it, and the one that is put in its place. */
function over(act: (root: HTMLElement) => void, rows: readonly string[], next = rows) {
  document.body.innerHTML = `<div id="app">${screen(rows)}</div>`
  const root = document.getElementById('app')!
  window.early = { acted: null, keys: [] }
  act(root)
  const goOn = carriedOver(root)
  root.innerHTML = screen(next)
  const clicked: string[] = []
  const sent = vi.fn((event: Event) => event.preventDefault())
  root.addEventListener('click', ({ target }) => clicked.push((target as HTMLElement).textContent ?? ''))
  root.addEventListener('submit', sent)
  goOn()
  return { root, clicked, sent }
}
const button = (root: HTMLElement, at: number) => root.querySelectorAll('button')[at]!

test('what was clicked before the application was there is clicked then, once', () => {
  const { clicked } = over((root) => (window.early = { acted: button(root, 1), keys: [] }), ['one', 'two'])
  expect(clicked).toEqual(['two'])
  expect(window.early).toBeNull()
})

test('where something else stands by then, nothing is clicked', () => {
  const { clicked } = over(
    (root) => (window.early = { acted: button(root, 1), keys: [] }),
    ['one', 'two'],
    ['new', 'one'],
  )
  expect(clicked).toEqual([])
  const gone = over((root) => (window.early = { acted: button(root, 1), keys: [] }), ['one', 'two'], [])
  expect(gone.clicked).toEqual([])
})

test('what was typed stays, with the place of the caret’s field, and what was sent is sent', () => {
  const heard = vi.fn()
  const { root, sent } = over(
    (root) => {
      const field = root.querySelector('input')!
      field.value = 'galley'
      field.focus()
      window.early = { acted: root.querySelector('form'), keys: [] }
      root.addEventListener('input', heard)
    },
    ['one'],
  )
  const field = root.querySelector('input')!
  expect([field.value, document.activeElement === field]).toEqual(['galley', true])
  expect(heard).toHaveBeenCalledOnce()
  expect(sent).toHaveBeenCalledOnce()
})

test('a page that came empty has nothing to carry over', () => {
  document.body.innerHTML = '<div id="app"></div>'
  window.early = undefined
  carriedOver(document.getElementById('app')!)()
  expect(window.early).toBeNull()
})

test('keys that were pressed are pressed then, in their order', () => {
  const heard: string[] = []
  const listen = ({ key }: KeyboardEvent) => heard.push(key)
  addEventListener('keydown', listen)
  over(() => (window.early = { acted: null, keys: ['j', 'j', 'f'] }), ['one'])
  removeEventListener('keydown', listen)
  expect(heard).toEqual(['j', 'j', 'f'])
})

test('what a page came with is taken out of it', () => {
  document.body.innerHTML = '<script id="known" type="application/json">{"/api/brand":{"id":1}}</script>'
  expect(knownOfPage()).toEqual({ '/api/brand': { id: 1 } })
  expect(document.body.innerHTML).toBe('')
  expect(knownOfPage()).toBeNull()
})
