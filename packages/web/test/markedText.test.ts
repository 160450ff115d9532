import fc from 'fast-check'
import { mount } from '@vue/test-utils'
import { describe, expect, test } from 'vitest'
import { escapeMarkup, plainOf } from '@murrabel/core/markup'
import MarkedText from '../src/sections/inbox/editor/MarkedText.vue'
import { documentOf, markupOf } from '../src/sections/inbox/editor/markedText.ts'

describe('the document of an answer by mail', () => {
  test.each([
    'Dear **Ida**,\n\nit is *so*.',
    'One\ntwo\n\nthree',
    '- a\n- b\n  - c\n  - d\n- e',
    '3. c\n4. d',
    '9. i\n10. j',
    '> so\n> it was\n\nEnd',
    'See [the **page**](<https://isles.example/a?b=(c)>) now',
    '**So**\\_\\*',
  ])('is the same markup again: %j', (markup) => {
    const again = markupOf(documentOf(markup))
    expect(plainOf(again)).toBe(plainOf(markup))
    expect(documentOf(again).toJSON()).toEqual(documentOf(markup).toJSON())
  })
  test('says of every plain text the same words', () => {
    const sign = fc.constantFrom(...'*_[]()>#+-.!~`\\<& a1x)\n'.split(''))
    const part = fc.oneof(sign, fc.string({ unit: 'grapheme', maxLength: 3 }))
    fc.assert(
      fc.property(fc.array(part, { maxLength: 30 }), (parts) => {
        const plain = plainOf(escapeMarkup(parts.join('').replace(/[^\S\n]+/g, ' ')))
        const document = documentOf(escapeMarkup(plain))
        expect(plainOf(markupOf(document))).toBe(plain)
        expect(documentOf(markupOf(document)).toJSON()).toEqual(document.toJSON())
      }),
      { numRuns: 300 },
    )
  })
  test('is shown laid out, with links that lead nowhere astray', () => {
    const html = mount(MarkedText, {
      props: { markup: '**So**, <i>no</i>\n\n- a [b](https://isles.example)\n- [c](javascript:x)' },
    })
    expect(html.find('.marked').element.innerHTML).toBe(
      '<p><strong>So</strong>, &lt;i&gt;no&lt;/i&gt;</p><ul><li>a <a href="https://isles.example" target="_blank" rel="noopener noreferrer">b</a></li><li>[c](javascript:x)</li></ul>',
    )
  })
})
