import { mount } from '@vue/test-utils'
import { expect, test } from 'vitest'
import ReplySize from '../src/sections/inbox/ReplySize.vue'
import { mounting } from './support.ts'

const shown = async (text: string, maxParts: number | null) => {
  const html = mount(ReplySize, { ...(await mounting()), props: { text, most: { maxLength: 50, maxParts } } })
  return { text: html.text(), over: (html.vm as unknown as { over: boolean }).over }
}

test.each([
  ['', 10, '1 text message, 160 characters left', false],
  ['z'.repeat(161), 10, '2 text messages, 145 characters left in the last', false],
  ['⛴', 10, '1 text message, 69 characters left; special characters halve the room', false],
  ['z'.repeat(400), 2, '3 text messages, at most 2 are taken', true],
  ['z'.repeat(51), null, '1 character too many', true],
  ['four', null, '4 of 50', false],
] as const)('%.5s: of at most %s texts', async (text, most, line, over) =>
  expect(await shown(text, most)).toEqual({ text: line, over }),
)
