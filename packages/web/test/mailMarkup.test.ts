// @vitest-environment jsdom
// The sanitiser needs a document that removes nodes as browsers do.
import { describe, expect, test } from 'vitest'
import { byteText } from '../src/sections/inbox/byteText.ts'
import { mailMarkup } from '../src/sections/inbox/mailMarkup.ts'

const shown = (html: string, remote: ((address: string) => string) | null = null) =>
  mailMarkup(html, { inline: (cid) => (cid === 'one' ? '/api/attachments/1/preview' : null), remote })

describe('a mail as it was laid out', () => {
  test.each([
    ['a script', '<p>Hi</p><script>alert(1)</script>', 'script'],
    ['a handler', '<p onclick="alert(1)">Hi</p>', 'onclick'],
    ['a frame', '<iframe src="https://x.example"></iframe>Hi', 'iframe'],
    ['a form', '<form action="https://x.example"><input name="p"></form>Hi', '<input'],
    ['an address that runs', '<a href="javascript:alert(1)">Hi</a>', 'javascript:'],
    ['another base', '<base href="https://x.example">Hi', '<base'],
    ['a drawing with a script', '<svg><script>alert(1)</script></svg>Hi', 'alert'],
    ['a refresh', '<meta http-equiv="refresh" content="0;url=https://x.example">Hi', 'refresh'],
    ['many pictures in one', '<img srcset="https://x.example/1.png 2x" alt="x">Hi', 'x.example'],
    ['what names our own pages', '<img src="/api/session" alt="x">Hi', '/api/session'],
    [
      'what was marked as checked',
      '<img data-source="/api/session" src="cid:two" alt="x">Hi',
      '/api/session',
    ],
  ])('%s is taken out', (_, html, gone) => {
    const { document } = shown(html)
    expect(document).toContain('Hi')
    expect(document).not.toContain(gone)
  })
  test('its own pictures stand in their places, others only when they are wanted', () => {
    const html = '<img src="cid:one" alt="a"><img src="https://x.example/p.png"><img src="data:text/html,x">'
    const without = shown(html)
    expect(without.pictures).toBe(1)
    expect(without.document).toContain('src="/api/attachments/1/preview"')
    expect(without.document).not.toContain('x.example')
    const withThem = shown(html, (address) => `/fetch?address=${encodeURIComponent(address)}`)
    expect(withThem.pictures).toBe(0)
    expect(withThem.document).toContain('/fetch?address=https%3A%2F%2Fx.example%2Fp.png')
    expect(withThem.document).not.toContain('data:text')
  })
  test('links open elsewhere and tell nothing of where they were', () => {
    expect(shown('<a href="https://x.example">Hi</a>').document).toMatch(
      /<a href="https:\/\/x\.example" target="_blank" rel="noopener noreferrer nofollow">/,
    )
  })
})

test.each([
  [0, '0 byte'],
  [999, '999 byte'],
  [2_500_000, '2.5 MB'],
  [14_000, '14 kB'],
])('%i bytes are %s', (bytes, text) => expect(byteText(bytes, 'en')).toBe(text))
