import { createTransport } from 'nodemailer'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import {
  startLanternpage,
  startMailroom,
  startReviewSite,
  type Lanternpage,
  type Mailroom,
  type ReviewSite,
} from '@murrabel/standins'

let lanternpage: Lanternpage
let wherabout: ReviewSite
let mailroom: Mailroom
beforeAll(async () => {
  lanternpage = await startLanternpage()
  wherabout = await startReviewSite('wherabout')
  mailroom = await startMailroom()
  lanternpage.state.add({ op: 'page', id: 'orrin', name: 'Orrin Link', others: true })
  for (const [day, followers] of [
    ['2026-11-01', 2000],
    ['2026-11-08', 2100],
  ] as const)
    lanternpage.state.add({ op: 'audience', page: 'orrin', day, followers })
  for (let i = 0; i < 3; i++)
    lanternpage.state.add({
      op: 'note',
      id: `n${i}`,
      page: 'orrin',
      author: { id: 'orrin', name: 'Orrin Link', handle: 'orrin' },
      content: 'We sail',
      published: `2026-11-0${i + 1}T08:00:00.000Z`,
      inReplyTo: i === 2 ? 'n0' : undefined,
    })
  wherabout.state.add({
    op: 'business',
    id: 'quay',
    name: 'Orrin Link, Inchgarth',
    street: '2 Quay',
    town: 'Inchgarth',
    phone: '+44 1632 960123',
    others: true,
  })
  for (let i = 0; i < 7; i++)
    wherabout.state.add({
      op: i === 6 ? 'question' : 'review',
      id: `r${i}`,
      business: 'quay',
      author: { id: `p${i}`, name: 'Somebody' },
      rating: i === 6 ? undefined : i < 2 ? 1 : 4,
      text: i === 6 ? 'Do you take dogs?' : '',
      created: '2026-11-05T10:00:00.000Z',
    })
})
afterAll(() => Promise.all([lanternpage.close(), wherabout.close(), mailroom.close()]))

const read = async (address: string, type: string) => {
  const answer = await fetch(address, { headers: { accept: type } })
  return { type: answer.headers.get('content-type'), body: (await answer.json()) as Record<string, unknown> }
}

describe('a page that somebody else runs', () => {
  test('is a page to a browser and an actor to a program', async () => {
    const html = await fetch(`${lanternpage.address}/pages/orrin`, { headers: { accept: 'text/html' } })
    expect(await html.text()).toContain('<h1>Orrin Link</h1>')
    const { type, body } = await read(`${lanternpage.address}/pages/orrin`, 'application/activity+json')
    expect(type).toContain('application/activity+json')
    expect(body).toMatchObject({ type: 'Organization', name: 'Orrin Link' })
  })
  test('names its posts without their words, and without the answers under them', async () => {
    const { body } = await read(`${lanternpage.address}/pages/orrin/posts`, 'application/activity+json')
    expect(body.totalItems).toBe(2)
    expect(JSON.stringify(body)).not.toContain('We sail')
  })
  test('tells its audience day by day', async () => {
    const { body } = await read(`${lanternpage.address}/pages/orrin/audience`, 'application/activity+json')
    expect(body).toMatchObject({
      totalItems: 2100,
      items: [
        { day: '2026-11-01', totalItems: 2000 },
        { day: '2026-11-08', totalItems: 2100 },
      ],
    })
  })
  test('is not offered to the one who grants access to his own', async () => {
    const consent = await fetch(
      `${lanternpage.address}/oauth/authorize?${new URLSearchParams({
        response_type: 'code',
        client_id: 'murrabel',
        redirect_uri: 'http://127.0.0.1/back',
        state: 's',
        code_challenge: 'x'.repeat(43),
        code_challenge_method: 'S256',
      })}`,
    )
    expect(await consent.text()).not.toContain('Orrin Link')
  })
})

describe('a listing', () => {
  test('tells its mean rating, and every rating behind it', async () => {
    const { body } = await read(`${wherabout.address}/businesses/quay`, 'application/ld+json')
    // (1 + 1 + 4 + 4 + 4 + 4) / 6
    expect(body.aggregateRating).toMatchObject({ ratingValue: 3, ratingCount: 6 })
    const ratings = await read(`${wherabout.address}/businesses/quay/ratings`, 'application/ld+json')
    expect(ratings.body.numberOfItems).toBe(6)
    const given = (ratings.body.dataFeedElement as { item: { reviewRating: { ratingValue: number } } }[]).map(
      ({ item }) => item.reviewRating.ratingValue,
    )
    expect(given.sort()).toEqual([1, 1, 4, 4, 4, 4])
  })
  test('that is not there is not found', async () => {
    expect((await fetch(`${wherabout.address}/businesses/none`)).status).toBe(404)
  })
})

describe('the mail room', () => {
  const send = (to: string, subject = 'Told') =>
    createTransport(mailroom.smtpUrl).sendMail({
      from: 'murrabel@skerrivane.example',
      to,
      subject,
      text: '<b>',
    })
  test('takes mail by SMTP and shows it, by whom it is for', async () => {
    await send('ivo@skerrivane.example', 'A spike')
    await send('tamsin@skerrivane.example')
    const mails = (await (await fetch(`${mailroom.address}/api/mails?to=ivo@skerrivane.example`)).json()) as {
      subject: string
    }[]
    expect(mails.map(({ subject }) => subject)).toEqual(['A spike'])
    expect(await (await fetch(mailroom.address)).text()).toContain('&lt;b&gt;')
  })
  test('refuses when told to, with the code it was told', async () => {
    mailroom.refuseWith(450)
    await expect(send('ivo@skerrivane.example')).rejects.toMatchObject({ responseCode: 450 })
    mailroom.refuseWith(0)
    await expect(send('ivo@skerrivane.example')).resolves.toBeTruthy()
  })
})
