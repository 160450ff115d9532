/** A crossing that somebody booked on the site. */
export interface Booking {
  op: 'booking'
  reference: string
  customer: {
    number: string
    name: string
    email: string
    phone: string
    language: string
    emailConsent: string
    phoneConsent: string
  }
  /** When it leaves, ISO 8601. */
  at: string
  route: string
  ship: string
  from: string
  party: number
  price: number
  state: string
}

const columns: readonly (readonly [string, (booking: Booking) => string])[] = [
  ['Customer no', ({ customer }) => customer.number],
  ['Name', ({ customer }) => customer.name],
  ['E-mail', ({ customer }) => customer.email],
  ['Phone', ({ customer }) => customer.phone],
  ['Language', ({ customer }) => customer.language],
  ['E-mail consent', ({ customer }) => customer.emailConsent],
  ['Text consent', ({ customer }) => customer.phoneConsent],
  ['Booking', ({ reference }) => reference],
  ['Departure', ({ at }) => at.slice(0, 16).replace('T', ' ') + 'Z'],
  ['Route', ({ route }) => route],
  ['Ship', ({ ship }) => ship],
  ['Harbour', ({ from }) => from],
  ['Passengers', ({ party }) => String(party)],
  ['Paid', ({ price }) => `£${price}`],
  ['Status', ({ state }) => state],
]

const cell = (text: string) => (/[",;\n]/.test(text) ? `"${text.replaceAll('"', '""')}"` : text)

/** Customers and their crossings, a crossing a row, as the booking system writes them. */
export const customersCsv = (bookings: readonly Booking[]): string =>
  [columns.map(([name]) => name), ...bookings.map((booking) => columns.map(([, of]) => of(booking)))]
    .map((row) => `${row.map(cell).join(',')}\r\n`)
    .join('')
