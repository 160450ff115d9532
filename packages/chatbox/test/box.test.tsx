import { render } from 'preact'
import { act } from 'preact/test-utils'
import { afterEach, describe, expect, test } from 'vitest'
import { Box, whenOpen } from '../src/Box.tsx'
import { blankView, type Conversation, type View } from '../src/conversation.ts'
import { withLinks } from '../src/Lines.tsx'
import { languageOf, languages, localeOf } from '../src/texts.ts'

const root = document.createElement('div')
document.body.append(root)
afterEach(() => render(null, root))

const blank: View = {
  ...blankView,
  site: {
    brand: 'Skerrivane',
    greeting: '',
    open: true,
    opensAt: null,
    answerWithin: 5,
    colour: null,
    logo: null,
    byMail: true,
  },
}
function open(view: Partial<View> = {}) {
  const said: string[] = []
  const left: string[] = []
  const conversation = {
    view: { ...blank, ...view },
    onChange: () => () => {},
    show: () => {},
    tick: () => {},
    typing: () => {},
    say: (text: string) => said.push(text),
    leaveMail: (email: string) => Promise.resolve(left.push(email) && null),
  } as unknown as Conversation
  void act(() => render(<Box conversation={conversation} texts={languages.en} locale="en-GB" />, root))
  return { said, left }
}
/** What a browser does, and everything that follows from it. */
const happens = (event: Event, on: Element): void => void act(() => void on.dispatchEvent(event))
const submit = (form: Element) =>
  act(async () => void form.dispatchEvent(new Event('submit', { bubbles: true, cancelable: true })))
const click = (element: Element | null): void => void act(() => (element as HTMLElement).click())
const fill = (element: HTMLInputElement | HTMLTextAreaElement, value: string) =>
  void act(() => {
    element.value = value
    element.dispatchEvent(new Event('input', { bubbles: true }))
  })

describe('the box', () => {
  test('is shut, opens with the field ready, and Escape shuts it with the focus on its button', () => {
    open({ unread: 2 })
    expect(root.querySelector('.box')).toBe(null)
    expect(root.querySelector('.opener')!.textContent).toContain('2 new answers')
    click(root.querySelector('.opener'))
    expect(root.querySelector('.opener')!.getAttribute('aria-expanded')).toBe('true')
    expect(document.activeElement).toBe(root.querySelector('textarea'))
    happens(new KeyboardEvent('keydown', { key: 'Escape', bubbles: true }), root.querySelector('textarea')!)
    expect(root.querySelector('.box')).toBe(null)
    expect(document.activeElement).toBe(root.querySelector('.opener'))
  })

  test('Enter sends, Shift and Enter does not; what is too long says so and stays', () => {
    const { said } = open()
    click(root.querySelector('.opener'))
    const field = root.querySelector('textarea')!
    fill(field, 'Hello')
    const press = (more: object) =>
      happens(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true, cancelable: true, ...more }), field)
    press({ shiftKey: true })
    expect(said).toEqual([])
    press({})
    expect(said).toEqual(['Hello'])
    expect(field.value).toBe('')
    fill(field, 'x'.repeat(2003))
    press({})
    expect(said.length).toBe(1)
    expect(root.querySelector('#over')!.textContent).toBe('3 characters too long')
  })

  test('what is typed is text, whatever it looks like; web addresses can be followed', () => {
    const text = '<img src=x onerror=alert(1)> https://ferry.example/fares. javascript:alert(1)'
    open({
      lines: [
        { id: '1', from: 'team', name: 'Ivo', text, at: '2026-11-26T12:00:00Z', byMail: true, state: 'sent' },
      ],
    })
    click(root.querySelector('.opener'))
    const shown = root.querySelector('.line p')!
    expect(shown.textContent).toBe(text)
    expect(shown.querySelector('img')).toBe(null)
    expect([...shown.querySelectorAll('a')].map((a) => a.getAttribute('href'))).toEqual([
      'https://ferry.example/fares',
    ])
    expect(withLinks('none')).toEqual(['none'])
  })

  test('asks for an address where it must, and says what is wrong with one', async () => {
    const { left } = open({ ask: 'closed' })
    click(root.querySelector('.opener'))
    const form = root.querySelector('form.mail')!
    expect(form.textContent).toContain('Nobody is here right now.')
    fill(form.querySelector('input[type=email]')!, 'nonsense')
    await submit(form)
    expect(form.querySelector('[role=alert]')!.textContent).toBe('This is not an e-mail address.')
    expect(left).toEqual([])
    fill(form.querySelector('input[type=email]')!, 'a@b.example')
    await submit(form)
    expect(left).toEqual(['a@b.example'])
  })
})

describe('languages', () => {
  test.each([
    [['fr-CA', 'en'], 'en', 'fr', 'fr-CA'],
    [['ja', 'de-AT'], 'en', 'de', 'de-AT'],
    [['ja'], 'es', 'es', 'es'],
    [['ja'], 'ja', 'en', 'en'],
    [['constructor'], '', 'en', 'en'],
  ])('%j on a page in %s: %s', (wanted, page, language, locale) => {
    expect(languageOf(wanted, page)).toBe(language)
    expect(localeOf(languageOf(wanted, page), wanted)).toBe(locale)
  })
  test('each says all there is to say', () => {
    const names = Object.keys(languages.en).sort()
    for (const texts of Object.values(languages)) expect(Object.keys(texts).sort()).toEqual(names)
  })
  test.each([
    ['2026-11-26T18:00:00', '18:00'],
    ['2026-11-27T08:00:00', 'tomorrow, 08:00'],
    ['2026-11-30T08:00:00', 'Monday, 08:00'],
  ])('somebody is there again at %s: %s', (at, said) =>
    expect(whenOpen(at, 'en-GB', new Date('2026-11-26T12:00:00').getTime())).toBe(said),
  )
})

test('the box wears the colour and the logo of the brand', () => {
  open({
    site: { ...blank.site!, colour: '#aa3311', logo: 'https://desk.example/logos/x' },
  })
  click(root.querySelector('.opener'))
  expect(root.querySelector<HTMLElement>('.opener')!.style.getPropertyValue('--fill')).toBe('#aa3311')
  expect(root.querySelector<HTMLElement>('.box')!.style.getPropertyValue('--on-fill')).toBe('#ffffff')
  expect(root.querySelector<HTMLImageElement>('.logo')!.src).toBe('https://desk.example/logos/x')
})
