import { describe, expect, test } from 'vitest'
import { customerColumns, type CustomerMapping } from '@murrabel/contract'
import { readCards } from '../../src/files/readCards.ts'
import { previewCustomers, priceOf, readCustomers } from '../../src/files/readCustomers.ts'

const now = Date.parse('2026-11-25T12:00:00Z')
const question = (mapping: Partial<CustomerMapping>, more: { country?: string } = {}) => ({
  mapping: {
    ...(Object.fromEntries(customerColumns.map((name) => [name, null])) as CustomerMapping),
    ...mapping,
  },
  zone: 'Europe/London',
  places: ['Port Ellery', 'Dunmarrow'],
  now,
  dateOrder: null,
  country: more.country ?? null,
})

describe('a table of customers', () => {
  test('columns are guessed by their headings; a birthday is no visit, and consent no address', () => {
    expect(
      previewCustomers(
        'Customer No,First name,Surname,Email,Mobile,Date of birth,Email opt-in,SMS consent,Booking ref,Departure,Route,Vessel,From,Passengers,Total paid,Status,Language\n1,a,b,,,,,,,,,,,,,,\n',
      ).mapping,
    ).toEqual({
      reference: 'Customer No',
      givenName: 'First name',
      familyName: 'Surname',
      name: null,
      email: 'Email',
      phone: 'Mobile',
      emailConsent: 'Email opt-in',
      phoneConsent: 'SMS consent',
      visit: 'Booking ref',
      at: 'Departure',
      route: 'Route',
      ship: 'Vessel',
      place: 'From',
      party: 'Passengers',
      price: 'Total paid',
      state: 'Status',
      language: 'Language',
      tags: null,
      note: null,
    })
  })

  test('a row is a customer with a visit', () => {
    const csv =
      'No,Name,Mail,OK,When,Route,Ship,Harbour,Pax,Price,State,Tags\nC7,Perrin Oakes,Perrin@Oakes.example; mailto:p@oakes.example,yes,22.11.2026 09:30,Dunmarrow to Port Ellery,Grey Heron,dunmarrow,2,"£1,084.50",not sailed,season ticket; regular\n'
    const { items, problems } = readCustomers(
      csv,
      question({
        reference: 'No',
        name: 'Name',
        email: 'Mail',
        emailConsent: 'OK',
        at: 'When',
        route: 'Route',
        ship: 'Ship',
        place: 'Harbour',
        party: 'Pax',
        price: 'Price',
        state: 'State',
        tags: 'Tags',
      }),
    )
    expect(problems).toEqual([])
    expect(items).toEqual([
      {
        reference: 'C7',
        name: 'Perrin Oakes',
        emails: ['perrin@oakes.example', 'p@oakes.example'],
        phones: [],
        language: null,
        tags: ['season ticket', 'regular'],
        note: '',
        consents: [{ kind: 'email', given: true }],
        visit: {
          reference: null,
          at: Date.parse('2026-11-22T09:30:00Z'),
          route: 'Dunmarrow to Port Ellery',
          ship: 'Grey Heron',
          place: 'Dunmarrow',
          party: 2,
          price: 1084.5,
          currency: 'GBP',
          state: 'failed',
        },
      },
    ])
  })

  test.each<[string, string | undefined, string]>([
    ['+44 7700 900142', undefined, '+447700900142'],
    ['0049 30 901820', undefined, '+4930901820'],
    ['07700 900142', 'GB', '+447700900142'],
    ['030 901820', 'DE', '+4930901820'],
    ['06 12 34 56 78', 'FR', '+33612345678'],
    ["'+1 (201) 555-0123", undefined, '+12015550123'],
    ['tel:+61 2 7010 0123', undefined, '+61270100123'],
    ['+81 3-1234-5678', undefined, '+81312345678'],
    ['07700 900142', undefined, 'rowPhoneCountry'],
    ['4.47E+11', 'GB', 'rowPhoneShortened'],
    ['4,47701E+11', 'GB', 'rowPhoneShortened'],
    ['ask Maren', 'GB', 'rowPhone'],
    ['12', 'GB', 'rowPhone'],
  ])('the number %j in %s is %s', (phone, country, expected) => {
    const { items, problems } = readCustomers(
      `No,Phone\n1,"${phone}"\n`,
      question({ reference: 'No', phone: 'Phone' }, { country }),
    )
    expect(items[0]?.phones[0] ?? problems[0]?.reason).toBe(expected)
  })

  test('bad rows are told by line and reason, good ones are read', () => {
    const csv = [
      'No,Mail,When,Harbour,Pax,Price,State,OK,Lang',
      '1,perrin@oakes.example,,,,,,,fr-CA',
      ',,,,,,,,',
      ',,2026-01-05,,,,,,',
      '2,perrin at oakes,,,,,,,',
      '3,,1961-04-05,,,,,,',
      '4,,2061-04-05,,,,,,',
      '5,,soon,,,,,,',
      '6,,,,4,,,,',
      '7,,2026-01-05,Atlantis,,,,,',
      '8,,2026-01-05,,2.5,,,,',
      '9,,2026-01-05,,,1.2.3,,,',
      '10,,2026-01-05,,,,perhaps,,',
      '11,,,,,,,maybe,',
      '12,,,,,,,,French',
      '13,,2027-06-05,Port Ellery,,,,,',
    ].join('\n')
    const { items, problems } = readCustomers(
      csv,
      question({
        reference: 'No',
        email: 'Mail',
        at: 'When',
        place: 'Harbour',
        party: 'Pax',
        price: 'Price',
        state: 'State',
        emailConsent: 'OK',
        language: 'Lang',
      }),
    )
    expect(items.map(({ reference }) => reference)).toEqual(['1', '13'])
    expect(items[1]!.visit?.state).toBe('booked')
    expect(problems.map(({ line, reason }) => `${line} ${reason}`)).toEqual([
      '4 rowNobody',
      '5 rowEmail',
      '6 rowVisitDate',
      '7 rowVisitDate',
      '8 rowDate',
      '9 rowNoDate',
      '10 rowPlace',
      '11 rowParty',
      '12 rowPrice',
      '13 rowState',
      '14 rowConsent',
      '15 rowLanguage',
    ])
  })

  test.each<[string, number | null, string | null]>([
    ['84', 84, null],
    ['£84.50', 84.5, 'GBP'],
    ['84,50 €', 84.5, 'EUR'],
    ['1.084,50 €', 1084.5, 'EUR'],
    ['1,084', 1084, null],
    ["1'084.50", 1084.5, null],
    ['NOK 310', 310, 'NOK'],
    ['', null, null],
  ])('the price %j', (text, price, currency) => expect(priceOf(text)).toEqual({ price, currency }))

  test('without a column that tells who somebody is, nothing is read', () =>
    expect(() => readCustomers('Name,Note\na,b\n', question({ name: 'Name' }))).toThrow(
      expect.objectContaining({ more: { fields: [expect.objectContaining({ code: 'noWhoColumn' })] } }),
    ))
})

const card = (lines: string[]) => ['BEGIN:VCARD', ...lines, 'END:VCARD', ''].join('\r\n')

describe('cards of people', () => {
  test.each<[string, string[], object]>([
    [
      '4.0',
      [
        'VERSION:4.0',
        'UID:urn:uuid:7',
        'FN:Odile Marchetaux',
        'EMAIL:odile@m.example',
        'TEL;VALUE=uri:tel:+33-6-12-34-56-78',
        'LANG:fr-FR',
        'CATEGORIES:regular,season',
        'NOTE:Comes\\, with two\\ndogs',
      ],
      {
        name: 'Odile Marchetaux',
        reference: 'card:urn:uuid:7',
        emails: ['odile@m.example'],
        phones: ['+33612345678'],
        language: 'fr',
        tags: ['regular', 'season'],
        note: 'Comes, with two dogs',
      },
    ],
    [
      '3.0 with folds',
      [
        'VERSION:3.0',
        'N:Quill;Hester;;;',
        'FN:Hester',
        '  Quill',
        'EMAIL;TYPE=INTERNET,HOME:hester@qu',
        ' ill.example',
        'TEL;TYPE=CELL:+44 7700 900142',
      ],
      { name: 'Hester Quill', emails: ['hester@quill.example'], phones: ['+447700900142'] },
    ],
    [
      'quoted-printable',
      [
        'VERSION:2.1',
        'N;CHARSET=UTF-8;ENCODING=QUOTED-PRINTABLE:M=C3=BCller;J=C3=',
        '=B6rg;;;',
        'FN;CHARSET=UTF-8;ENCODING=QUOTED-PRINTABLE:J=C3=B6rg M=C3=BCller',
        'EMAIL;INTERNET:joerg@mueller.example',
      ],
      { name: 'Jörg Müller', emails: ['joerg@mueller.example'] },
    ],
    [
      'grouped lines and no full name',
      ['VERSION:3.0', 'N:Feld;Bastian;;;', 'item1.EMAIL:bastian@feld.example', 'item1.X-ABLabel:post'],
      { name: 'Bastian Feld', emails: ['bastian@feld.example'] },
    ],
  ])('%s', (_, lines, expected) => {
    const { items, problems } = readCards(card(lines), null)
    expect(problems).toEqual([])
    expect(items).toMatchObject([expected])
  })

  test('a picture of 5 MB is left out, and a card that cannot be read does not take the others with it', () => {
    const photo = [
      'PHOTO;ENCODING=b;TYPE=JPEG:',
      ...Array.from({ length: 66_000 }, () => ` ${'A'.repeat(75)}`),
    ]
    const file =
      card(['VERSION:3.0', 'FN:One', 'EMAIL:one@orrin.example', ...photo]) +
      card(['VERSION:4.0', 'this is no line', 'FN:Two']) +
      card(['VERSION:4.0', 'FN:Nobody']) +
      'BEGIN:VCARD\r\nVERSION:4.0\r\nFN:Three\r\n' +
      card(['VERSION:4.0', 'FN:Four', 'EMAIL:four@orrin.example'])
    const { items, problems } = readCards(file, null)
    expect(items.map(({ name }) => name)).toEqual(['One', 'Four'])
    expect(problems.map(({ line, reason }) => `${line} ${reason}`)).toEqual([
      '66007 cardUnreadable',
      '66012 rowNobody',
      '66016 cardUnreadable',
    ])
  })

  test('a file without cards is refused', () =>
    expect(() => readCards('Name,Mail\na,b', null)).toThrow(
      expect.objectContaining({ code: 'cardsUnreadable' }),
    ))
})
