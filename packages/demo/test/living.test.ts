import { describe, expect, test } from 'vitest'
import { Living, livingNetworks, type Line, type Network } from '../src/living.ts'
import { seeded } from '../src/random.ts'

const now = Date.UTC(2026, 10, 26)

test('people write on every network, whole sentences, with what its form asks for', () => {
  const living = new Living(seeded(3))
  const deeds = Array.from({ length: 600 }, () => living.say(now))
  expect(new Set(deeds.map(({ network }) => network))).toEqual(new Set(livingNetworks))
  for (const { form, network } of deeds) {
    for (const value of Object.values(form)) expect(value).not.toMatch(/[{}|]|undefined/)
    if (network === 'wherabout' || network === 'fivefold') expect(Number(form.rating)).toBeGreaterThan(0)
    if (network === 'skimmer') expect(form.content).toContain('@skerrivane')
    if (network === 'textmast') expect(form.from).toMatch(/^\+447700900\d{3}$/)
  }
})

describe('people who were answered', () => {
  const ours = { id: 'skerrivane', name: 'Skerrivane Ferries' }
  const theirs = { id: 'lp1', name: 'Wilf Pascoe' }
  const reactions = (network: Network, line: Line, before?: Line) => {
    const living = new Living(seeded(5))
    return Array.from({ length: 50 }, () => living.react(network, line, () => before)).filter(
      (deed) => deed !== null,
    )
  }
  test.each<[Network, Line, Line | undefined, string]>([
    [
      'textmast',
      { op: 'text', id: 'x', from: '+441632960100', to: '+447700900123' },
      undefined,
      '/numbers/%2B441632960100',
    ],
    [
      'mailroom',
      {
        op: 'mail',
        from: 'Skerrivane <hello@skerrivane.example>',
        to: ['a@post.example'],
        subject: 'Re: x',
        messageId: '<1>',
      },
      undefined,
      '/write',
    ],
    [
      'fivefold',
      { op: 'answer', id: 'f2', parent: 'f1' },
      { op: 'review', id: 'f1', rating: 1, text: 'Late.' },
      '/items/f1/edit',
    ],
    [
      'lanternpage',
      { op: 'note', id: 'n2', author: ours, inReplyTo: 'n1' },
      { op: 'note', id: 'n1', page: 'skerrivane', author: theirs, conversation: 'c' },
      '/pages/skerrivane/messages',
    ],
    [
      'lanternpage',
      { op: 'note', id: 'n2', author: ours, inReplyTo: 'n1' },
      { op: 'note', id: 'n1', page: 'skerrivane', author: theirs },
      '/notes/n2/comments',
    ],
    [
      'skimmer',
      { op: 'post', id: 'p2', author: ours, inReplyTo: 'p1' },
      { op: 'post', id: 'p1', author: theirs },
      '/posts/p2/answers',
    ],
  ])('on %s often react, in the same place', (network, line, before, path) => {
    const deeds = reactions(network, line, before)
    expect(deeds.length).toBeGreaterThan(15)
    expect(deeds.length).toBeLessThan(50)
    expect(new Set(deeds.map((deed) => deed.path))).toEqual(new Set([path]))
    expect(deeds.every((deed) => deed.network === network)).toBe(true)
  })
  test.each<[Network, Line, Line | undefined]>([
    ['textmast', { op: 'text', id: 'x', from: '+447700900123', to: '+441632960100' }, undefined],
    ['mailroom', { op: 'mail', from: 'a@post.example', to: ['hello@skerrivane.example'] }, undefined],
    [
      'fivefold',
      { op: 'answer', id: 'f2', parent: 'f1' },
      { op: 'review', id: 'f1', rating: 5, text: 'Good.' },
    ],
    [
      'lanternpage',
      { op: 'note', id: 'n1', author: theirs, inReplyTo: 'n0' },
      { op: 'note', id: 'n0', author: ours },
    ],
    ['skimmer', { op: 'post', id: 'p1', author: ours }, undefined],
  ])('do nothing on %s where nobody answered them', (network, line, before) =>
    expect(reactions(network, line, before)).toEqual([]),
  )
})
