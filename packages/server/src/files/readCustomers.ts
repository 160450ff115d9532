import { phoneOf, readEmail, type VisitState } from '@murrabel/core/people'
import { cleanLine, cleanText, cutText } from '@murrabel/core/text'
import type {
  CustomerColumn,
  CustomerMapping,
  DateOrder,
  FieldReason,
  ImportPreview,
  ReasonValues,
  RowProblem,
  WayKind,
} from '@murrabel/contract'
import { readAnyDate } from './readDate.ts'
import { readTable, type TableRow } from './readTable.ts'
import { columnsOf, datesOf, invalid, previewTable } from './tableColumns.ts'

/** The first that fits a heading takes it: what is more particular stands first. */
const guesses: Partial<Record<CustomerColumn, RegExp>> = {
  emailConsent: /^(?:e-?mail|mail).*(?:consent|opt|ok|allowed)|^(?:consent|opt.?in|newsletter)(?:$|.*mail)/i,
  phoneConsent:
    /^(?:phone|text|sms|mobile).*(?:consent|opt|ok|allowed)|^(?:consent|opt.?in).*(?:phone|text|sms)/i,
  email: /e-?mail|courriel|^correo/i,
  phone: /^(?:phone|tel|mobile|cell|handy|portable|móvil|numéro de tél)/i,
  reference: /^(?:customer|client|kunden?|account|member).*(?:id|no|nr|number|ref)|^id$/i,
  visit:
    /^(?:booking|ticket|order|visit|reservation|buchung|réservation).*(?:id|no|nr|number|ref|code)|^(?:booking|reference|ref|reservation)$/i,
  givenName: /^(?:first|given|fore).?name|^prénom|^vorname|^nombre$/i,
  familyName: /^(?:last|family|sur).?name|^nom de famille|^nachname|^apellidos?/i,
  name: /^(?:full.?|customer.?|passenger.?)?name$|^(?:customer|passenger|client|kunde|nom)$/i,
  at: /^(?:date|day|departure|sailing|visit(?:ed)?(?: ?(?:date|at|on))?|when|datum|fecha)(?!.*birth)/i,
  route: /^(?:route|crossing|trip|journey|product|strecke|trajet)/i,
  ship: /^(?:ship|vessel|boat|schiff|bateau|barco)/i,
  place: /^(?:place|harbour|from|location|branch|shop|store|hafen|port|lieu)/i,
  party: /^(?:party|people|persons|passengers|guests|pax|adults|personen)/i,
  price: /^(?:price|total|amount|paid|fare|preis|prix|precio)/i,
  state: /^(?:state|status|sailed|état|estado)/i,
  language: /^(?:language|lang|sprache|langue|idioma)/i,
  tags: /^(?:tags?|labels?|groups?|segments?)$/i,
  note: /^(?:notes?|remarks?|comments?|bemerkung)/i,
}

/** What a table of customers holds, before it is brought in. */
export const previewCustomers = (csv: string): ImportPreview =>
  previewTable(csv, guesses as Record<string, RegExp>)

/** A customer as a row or a card tells of them; the place still by its name. */
export interface ReadCustomer {
  reference: string | null
  name: string
  emails: string[]
  phones: string[]
  language: string | null
  tags: string[]
  note: string
  consents: { kind: WayKind; given: boolean }[]
  visit: null | {
    reference: string | null
    /** Epoch milliseconds. */
    at: number
    route: string
    ship: string
    place: string | null
    party: number | null
    price: number | null
    currency: string | null
    state: VisitState
  }
}

export interface CustomerQuestion {
  mapping: CustomerMapping
  /** Of dates without a zone. */
  zone: string
  places: readonly string[]
  /** Epoch milliseconds. */
  now: number
  dateOrder: DateOrder | null
  /** Of telephone numbers without one. */
  country: string | null
}

export interface ReadCustomers {
  items: ReadCustomer[]
  problems: RowProblem[]
}

/**
 * Rows as customers, each with one visit at most; the bad ones by line with the reason.
 *
 * @throws Refusal invalid when the columns do not fit, or the dates can be read in two ways and nobody has said which
 */
export function readCustomers(csv: string, question: CustomerQuestion): ReadCustomers {
  const table = readTable(csv)
  const columns = columnsOf(table.header, question.mapping, 'customers')
  if (columns.reference < 0 && columns.email < 0 && columns.phone < 0 && columns.visit < 0)
    throw invalid('customers.email', 'noWhoColumn')
  const dates = datesOf(table, question.mapping.at ?? null)
  const order = question.dateOrder ?? dates.order
  if (dates.ambiguous && !order) throw invalid('dateOrder', 'dateOrder', { date: dates.sample[0] ?? '' })
  const result: ReadCustomers = { items: [], problems: [] }
  for (const row of table.rows) {
    const cell = (field: CustomerColumn) =>
      columns[field] < 0 ? '' : cleanLine(row.cells[columns[field]] ?? '', 2000).trim()
    try {
      result.items.push(readRow(row, table.header.length, cell, { ...question, order: order ?? 'dayFirst' }))
    } catch (error) {
      if (!(error instanceof BadCell)) throw error
      const { field, reason, values } = error
      const value = field ? cutText(cell(field), 80) : ''
      result.problems.push({ line: row.line, field, reason, values, value })
    }
  }
  return result
}

/** A cell that cannot be taken; the row is told with it. */
class BadCell extends Error {
  readonly field: CustomerColumn | ''
  readonly reason: FieldReason
  readonly values: ReasonValues | undefined
  constructor(field: CustomerColumn | '', reason: FieldReason, values?: ReasonValues) {
    super(reason)
    this.field = field
    this.reason = reason
    this.values = values
  }
}

type Cell = (field: CustomerColumn) => string
type Asked = CustomerQuestion & { order: DateOrder }

function readRow(row: TableRow, width: number, cell: Cell, question: Asked): ReadCustomer {
  if (row.swallowed) throw new BadCell('', 'rowSwallowed', { to: row.to })
  if (row.cells.length !== width) throw new BadCell('', 'rowWidth')
  const emails = listOf(cell('email')).map((text) => {
    const email = readEmail(text.replace(/^mailto:/i, ''))
    if (email === null) throw new BadCell('email', 'rowEmail')
    return email
  })
  const phones = listOf(cell('phone')).map((text) => {
    const read = phoneOf(text.replace(/^'|^tel:/i, ''), question.country ?? undefined)
    if ('number' in read) return read.number
    const reasons = { shortened: 'rowPhoneShortened', country: 'rowPhoneCountry', none: 'rowPhone' } as const
    throw new BadCell('phone', reasons[read.wrong])
  })
  const language = cell('language').toLowerCase().split(/[-_]/)[0] ?? ''
  if (language && !/^[a-z]{2,3}$/.test(language)) throw new BadCell('language', 'rowLanguage')
  const visit = visitOf(cell, question)
  const reference = cutText(cell('reference'), 80) || null
  if (!reference && !emails[0] && !phones[0] && !visit?.reference) throw new BadCell('', 'rowNobody')
  const name = cell('name') || [cell('givenName'), cell('familyName')].filter(Boolean).join(' ')
  return {
    reference,
    name: cutText(name, 80),
    emails,
    phones,
    language: language || null,
    tags: listOf(cell('tags')).map((tag) => cutText(tag, 40)),
    note: cleanText(cell('note'), 2000),
    consents: [...consentOf('email', 'emailConsent', cell), ...consentOf('phone', 'phoneConsent', cell)],
    visit,
  }
}

const listOf = (text: string): string[] => [
  ...new Set(
    text
      .split(/[;|]|, /)
      .map((each) => each.trim())
      .filter(Boolean),
  ),
]

const yes = /^(?:y|yes|true|1|x|on|given|granted|oui|ja|sí|si)$/i
const no = /^(?:n|no|false|0|off|none|withdrawn|refused|non|nein)$/i

function consentOf(kind: WayKind, field: CustomerColumn, cell: Cell): ReadCustomer['consents'] {
  const text = cell(field)
  if (!text) return []
  if (!yes.test(text) && !no.test(text)) throw new BadCell(field, 'rowConsent')
  return [{ kind, given: yes.test(text) }]
}

const year = 365.25 * 86_400_000

function visitOf(cell: Cell, { zone, order, now, places }: Asked): ReadCustomer['visit'] {
  const fields = ['visit', 'route', 'ship', 'party', 'price', 'state'] as const
  if (!cell('at')) {
    // A place alone is where the customer is at home.
    if (fields.some((field) => cell(field))) throw new BadCell('at', 'rowNoDate')
    return null
  }
  const at = readAnyDate(cell('at'), zone, order)
  if (at === null) throw new BadCell('at', 'rowDate')
  // A birthday is no visit.
  if (at < now - 30 * year || at > now + 3 * year) throw new BadCell('at', 'rowVisitDate')
  const place = cell('place')
  const known = places.find((each) => each.toLowerCase() === place.toLowerCase())
  if (place && !known) throw new BadCell('place', 'rowPlace', { places: places.join(', ') })
  return {
    reference: cutText(cell('visit').replace(/^~+/, ''), 80) || null,
    at,
    route: cutText(cell('route'), 160),
    ship: cutText(cell('ship'), 80),
    place: known ?? null,
    party: partyOf(cell('party')),
    ...priceOf(cell('price')),
    state: stateOf(cell('state')) ?? (at <= now ? 'done' : 'booked'),
  }
}

function partyOf(text: string): number | null {
  if (!text) return null
  const party = /^\d{1,5}$/.test(text) ? Number(text) : 0
  if (party < 1 || party > 10_000) throw new BadCell('party', 'rowParty')
  return party
}

const signs: Readonly<Record<string, string>> = { '£': 'GBP', '€': 'EUR', $: 'USD' }

/** @example priceOf('£1,084.50') // { price: 1084.5, currency: 'GBP' } */
export function priceOf(text: string): { price: number | null; currency: string | null } {
  if (!text) return { price: null, currency: null }
  const found = /^([£€$]|[A-Z]{3})?\s*(\d[\d.,'\s]*)\s*([£€$]|[A-Z]{3})?$/u.exec(text)
  const digits = found?.[2]!.trim().replace(/['\s]/gu, '') ?? ''
  // The last sign with one or two digits after it divides; all others group.
  const [, whole = digits, part = ''] = /^(.*)[.,](\d{1,2})$/.exec(digits) ?? []
  const grouped = /^\d+$/.test(whole) || /^\d{1,3}(?:[.,]\d{3})+$/.test(whole)
  const price = Number(`${whole.replace(/[.,]/g, '')}.${part || '0'}`)
  if (!found || !grouped || !(price < 1e9)) throw new BadCell('price', 'rowPrice')
  const sign = found[1] ?? found[3]
  return { price, currency: sign ? (signs[sign] ?? sign) : null }
}

const states: readonly (readonly [RegExp, VisitState])[] = [
  [/^(?:booked|confirmed|open|reserved|gebucht|réservée?|reservad[oa])$/i, 'booked'],
  [
    /^(?:done|sailed|completed?|yes|travelled|checked in|took place|paid|gefahren|effectuée?|hech[oa])$/i,
    'done',
  ],
  [/^(?:failed|not sailed|no|missed|did not (?:sail|take place)|ausgefallen|annulée? par nous)$/i, 'failed'],
  [/^(?:cancell?ed|called off|refunded|storniert|annulée?|cancelad[oa])$/i, 'cancelled'],
]

function stateOf(text: string): VisitState | null {
  if (!text) return null
  const found = states.find(([pattern]) => pattern.test(text))
  if (!found) throw new BadCell('state', 'rowState')
  return found[1]
}
