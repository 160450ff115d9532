import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, describe, expect, test } from 'vitest'
import { startTextmast, type Textmast } from '@murrabel/standins'

const own = '+441632960100'
const phone = '+447700900001'
const journalFile = join(mkdtempSync(join(tmpdir(), 'textmast-')), 'textmast.jsonl')
let gateway: Textmast
afterEach(() => gateway.close())

async function started(options: { journalFile?: string; deliveryMs?: number } = {}) {
  gateway = await startTextmast({ deliveryMs: 5, ...options })
  if (!gateway.state.numbers.size) gateway.state.add({ op: 'number', id: own, name: 'Sound of Orrin line' })
  gateway.allow({ access: 't', refresh: 'r', expires: Date.now() + 3_600_000, resources: [own] })
  const call = async (method: string, path: string, body?: object, key?: string) => {
    const answer = await fetch(`${gateway.address}/api/numbers/${encodeURIComponent(own)}${path}`, {
      method,
      headers: {
        authorization: 'Bearer t',
        'content-type': 'application/json',
        ...(key ? { 'idempotency-key': key } : {}),
      },
      body: body && JSON.stringify(body),
    })
    return { status: answer.status, body: (await answer.json()) as Record<string, unknown> }
  }
  return { call, events: async () => (await call('GET', '/events')).body.events as Record<string, unknown>[] }
}

describe('the gateway for texts', () => {
  test('sends once for each key, counts parts, and tells when a text arrived, also after it was started again', async () => {
    const { call } = await started({ journalFile, deliveryMs: 60_000 })
    const sent = await call('POST', '/texts', { to: phone, text: 'z'.repeat(161) }, 'k')
    expect([sent.status, sent.body.parts, sent.body.encoding]).toEqual([201, 2, 'GSM-7'])
    const again = await call('POST', '/texts', { to: phone, text: 'z'.repeat(161) }, 'k')
    expect([again.status, again.body.id]).toEqual([200, sent.body.id])
    await gateway.close()
    const { events } = await started({ journalFile })
    await expect.poll(async () => (await events()).map(({ type }) => type)).toEqual(['text', 'delivery'])
    expect((await events())[1]).toMatchObject({ id: sent.body.id, state: 'delivered' })
  })
  test('a phone goes on numbering its long texts after the gateway was away', async () => {
    const file = join(mkdtempSync(join(tmpdir(), 'textmast-')), 'textmast.jsonl')
    const long = async () => {
      gateway.text({ number: own, from: phone, text: 'z'.repeat(200) })
      const [last] = [...gateway.state.texts.values()].slice(-1)
      return last!.part!.reference
    }
    await started({ journalFile: file })
    expect([await long(), await long()]).toEqual([1, 2])
    await gateway.close()
    await started({ journalFile: file })
    expect(await long()).toBe(3)
  })
  test.each([
    ['a number that is none', { to: '0770 900001', text: 'x' }, 422],
    ['no words', { to: phone, text: '' }, 422],
    ['eleven parts', { to: phone, text: 'z'.repeat(1531) }, 422],
  ])('refuses %s', async (_, body, status) => {
    const { call } = await started()
    expect((await call('POST', '/texts', body)).status).toBe(status)
  })
  test('takes ten texts a second', async () => {
    const { call } = await started()
    const answers = await Promise.all(
      Array.from({ length: 12 }, () => call('POST', '/texts', { to: phone, text: 'x' })),
    )
    expect(answers.filter(({ status }) => status === 429)).toHaveLength(2)
  })
  test('gives no number that the key does not cover', async () => {
    await started()
    const answer = await fetch(
      `${gateway.address}/api/numbers/${encodeURIComponent('+441632960999')}/events`,
      {
        headers: { authorization: 'Bearer t' },
      },
    )
    expect(answer.status).toBe(403)
  })
  test('a phone that cannot be reached is told; what phones send long comes in parts', async () => {
    const { call, events } = await started()
    gateway.state.add({ op: 'unreachable', number: phone, reason: 'The phone is switched off' })
    await call('POST', '/texts', { to: phone, text: 'x' })
    await expect
      .poll(async () => (await events()).at(-1))
      .toMatchObject({ state: 'failed', reason: 'The phone is switched off' })
    const page = await fetch(`${gateway.address}/numbers/${encodeURIComponent(own)}`, {
      method: 'POST',
      body: new URLSearchParams({ from: '+44 7700 900002', text: `${'a'.repeat(153)}b` + 'c'.repeat(20) }),
      redirect: 'manual',
    })
    expect(page.status).toBe(303)
    const parts = (await events()).filter(({ from }) => from === '+447700900002')
    expect(parts.map(({ part, text }) => [part, String(text)[0]])).toEqual([
      [{ reference: 1, number: 1, of: 2 }, 'a'],
      [{ reference: 1, number: 2, of: 2 }, 'b'],
    ])
  })
})
