import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { escapeMarkup, htmlOf, plainOf } from '@murrabel/core/markup'

describe('markup of an answer by mail', () => {
  test.each([
    ['**Sorry**, *truly*.', 'Sorry, truly.', '<p><strong>Sorry</strong>, <em>truly</em>.</p>'],
    ['One\ntwo', 'One\ntwo', '<p>One<br>\ntwo</p>'],
    [
      'Take\n\n- a coat\n- boots\n  and socks\n\nBye',
      'Take\n\n- a coat\n- boots\n  and socks\n\nBye',
      '<p>Take</p>\n<ul>\n<li>a coat</li>\n<li>boots<br>\nand socks</li>\n</ul>\n<p>Bye</p>',
    ],
    ['3. c\n4. d', '3. c\n4. d', '<ol start="3">\n<li>c</li>\n<li>d</li>\n</ol>'],
    [
      'So:\n\n> it was\n> late',
      'So:\n\n> it was\n> late',
      '<p>So:</p>\n<blockquote>\n<p>it was<br>\nlate</p>\n</blockquote>',
    ],
    [
      'See [the page](<https://isles.example/a b>) or [ring](tel:+441632960001)',
      'See the page (https://isles.example/a%20b) or ring (tel:+441632960001)',
      '<p>See <a href="https://isles.example/a%20b">the page</a> or <a href="tel:+441632960001">ring</a></p>',
    ],
    [
      '[https://isles.example](https://isles.example)',
      'https://isles.example',
      '<p><a href="https://isles.example">https://isles.example</a></p>',
    ],
    [
      'https://isles.example/a_b_c and booking.office',
      'https://isles.example/a_b_c and booking.office',
      '<p><a href="https://isles.example/a_b_c">https://isles.example/a_b_c</a> and booking.office</p>',
    ],
    ['# No heading', '# No heading', '<p># No heading</p>'],
  ])('%j', (markup, plain, html) => {
    expect(plainOf(markup)).toBe(plain)
    expect(htmlOf(markup)).toBe(html)
  })
  test('runs nothing and shows nothing that is not words', () => {
    expect(htmlOf('<script>alert(1)</script><img src=x onerror=alert(1)>')).toBe(
      '<p>&lt;script&gt;alert(1)&lt;/script&gt;&lt;img src=x onerror=alert(1)&gt;</p>',
    )
    for (const address of [
      'javascript:alert(1)',
      'data:text/html,x',
      'vbscript:x',
      ' javascript:x',
      '//x.example',
    ])
      expect(htmlOf(`[here](<${address}>)`)).not.toContain('<a')
    expect(htmlOf('![x](https://isles.example/seen.gif)')).not.toContain('<img')
  })
  test('is nothing but its elements', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', maxLength: 60 }), (markup) => {
        const tags = [...htmlOf(markup).matchAll(/<\/?([a-z]+)/g)].map(([, tag]) => tag!)
        expect(tags.filter((tag) => !/^(?:p|br|strong|em|ul|ol|li|blockquote|a)$/.test(tag))).toEqual([])
      }),
    )
  })
  const sign = fc.constantFrom(...'*_[]()>#+-.!~`\\<& a11x).  \n\n'.split(''))
  test('a plain text that is escaped says the same', () => {
    const part = fc.oneof({ weight: 4, arbitrary: sign }, fc.string({ unit: 'grapheme', maxLength: 3 }))
    fc.assert(
      fc.property(fc.array(part, { maxLength: 30 }), (parts) => {
        const lines = parts
          .join('')
          .replace(/[^\S\n]+/g, ' ')
          .split('\n')
        const plain = lines
          .map((line) => line.trim())
          .join('\n')
          .replace(/\n{2,}/g, '\n\n')
          .trim()
        expect(plainOf(escapeMarkup(plain))).toBe(plain)
        expect(htmlOf(escapeMarkup(plain))).not.toMatch(/<(?!\/?p>|br>|\/?a\b)/)
      }),
      { numRuns: 2000 },
    )
  })
})
