import fc from 'fast-check'
import { flushPromises, mount } from '@vue/test-utils'
import { describe, expect, test } from 'vitest'
import { hoursProblem } from '@murrabel/core/places'
import { defaultDuePolicy } from '@murrabel/core/inbox'
import type { PlaceSetUp } from '@murrabel/contract'
import { parseHours, printHours } from '../src/sections/places/hoursText.ts'
import { draftOf, fieldsOf, withDays } from '../src/sections/places/placeDraft.ts'
import PlacesPage from '../src/sections/places/PlacesPage.vue'
import { button, keep, useStage } from './stage.ts'
import { brandAnswer, fakeServer, mounting } from './support.ts'

useStage()

describe('hours as people write them', () => {
  test.each<[string, [number, number][] | undefined]>([
    ['', []],
    ['9-17', [[540, 1020]]],
    [
      '09:00–12:30, 14.00 – 17:00',
      [
        [540, 750],
        [840, 1020],
      ],
    ],
    ['22:00–2:00', [[1320, 1560]]],
    ['0-24', [[0, 1440]]],
    [
      '9 to 17; 18 to 19',
      [
        [540, 1020],
        [1080, 1140],
      ],
    ],
    ['from nine', undefined],
    ['9:75-10', undefined],
    ['9', undefined],
    ['25-26', undefined],
    ['24-25', undefined],
  ])('%j', (text, expected) => expect(parseHours(text)).toEqual(expected))

  test('what is printed is read as the same, for hours that can be', () =>
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 0, max: 1439 }), fc.integer({ min: 1, max: 1440 })), {
          maxLength: 3,
        }),
        (spans) => {
          const day = spans.map(([open, length]) => [open, open + length] as const)
          if (hoursProblem(day)) return
          expect(parseHours(printHours(day))).toEqual(day)
        },
      ),
    ))
})

const place = (more: Partial<PlaceSetUp> = {}): PlaceSetUp => ({
  id: 2,
  edition: 3,
  name: 'Dunmarrow',
  address: 'Harbour Road 12',
  phone: '',
  url: '',
  week: [[[540, 1020]], [[540, 1020]], [], [], [], [], [[600, 720]]],
  specialDays: [{ date: '2026-12-25', name: 'Christmas', hours: [] }],
  profiles: 1,
  ...more,
})

describe('the sheet of a place', () => {
  test('fields and draft are the same place; what cannot be read is named by its field', () => {
    const { id: _id, edition: _edition, profiles: _profiles, ...same } = place()
    expect(draftOf(fieldsOf(place()))).toEqual({ draft: same, unread: [] })
    expect(draftOf({ ...fieldsOf(place()), opens: false }).draft.week).toBeNull()
    const fields = fieldsOf(place())
    fields.week[2] = 'soon'
    fields.days[0]!.hours = 'late'
    expect(draftOf(fields).unread).toEqual(['week[2]', 'specialDays[0].hours'])
  })
  test('days of a calendar stand beside those that were written by hand', () =>
    expect(
      withDays(
        [{ date: '2026-12-25', name: 'Ours', hours: '10-12' }],
        [
          { date: '2026-12-25', name: 'Theirs' },
          { date: '2026-12-01', name: 'New' },
        ],
      ),
    ).toEqual([
      { date: '2026-12-01', name: 'New', hours: '' },
      { date: '2026-12-25', name: 'Ours', hours: '10-12' },
    ]))
})

describe('the page of places', () => {
  const open = async () => {
    const { calls } = fakeServer({
      'GET /api/set-up/places': [
        place(),
        place({ id: 4, name: 'Selwick Quay', week: null, specialDays: [] }),
      ],
      'GET /api/set-up/brand': {
        edition: 1,
        name: 'Skerrivane Ferries',
        nicknames: [],
        zone: 'Europe/London',
        languages: ['en'],
        due: { ...defaultDuePolicy },
        rules: [],
      },
      'PUT /api/set-up/brand': {
        edition: 2,
        name: 'Skerrivane Ferries',
        nicknames: [],
        zone: 'Europe/London',
        languages: ['en'],
        due: { ...defaultDuePolicy },
        rules: [],
      },
      'GET /api/brand': brandAnswer('lead'),
    })
    const { global } = await mounting({ role: 'lead' })
    const html = keep(mount(PlacesPage, { global, attachTo: document.body }))
    await flushPromises()
    return { html, calls }
  }
  test('says the hours in a line, and names the gap', async () => {
    const { html } = await open()
    expect(html.find('[data-test="gap"]').text()).toBe(
      'Selwick Quay has no opening hours, so its due times run day and night.',
    )
    expect(html.find('li').text()).toContain('Mon–Tue 09:00–17:00 · Wed–Sat closed · Sun 10:00–12:00')
  })
  test('due times are typed in hours and sent in minutes', async () => {
    const { html, calls } = await open()
    const field = html.find('[name="due.messageMinutes"] input, .minutes input')
    await field.setValue('1,5')
    await field.trigger('change')
    await button(html, 'Add an exception').trigger('click')
    await html.find('.due form').trigger('submit')
    await flushPromises()
    expect(calls.find(({ method }) => method === 'PUT')?.body).toMatchObject({
      due: { messageMinutes: 90 },
      rules: [{ kinds: [], minutes: 60 }],
      edition: 1,
    })
  })
})
