import { DateTime } from 'luxon'
import type { Visit, VisitDraft } from '@murrabel/contract'

/** What is typed into the sheet: the time as it stands on the clock of the brand. */
export interface VisitFields {
  /** Without a zone, such as 2026-11-27T09:00. */
  at: string
  route: string
  ship: string
  /** 0: none. */
  placeId: number
  /** As they were typed; empty: nothing is said. */
  party: string
  price: string
  currency: string
  state: NonNullable<VisitDraft['state']>
  reference: string
}

const local = "yyyy-MM-dd'T'HH:mm"

export const fieldsOf = (visit: Visit | null, { now, zone }: { now: number; zone: string }): VisitFields => ({
  at: (visit ? DateTime.fromISO(visit.at, { zone }) : DateTime.fromMillis(now, { zone })).toFormat(local),
  route: visit?.route ?? '',
  ship: visit?.ship ?? '',
  placeId: visit?.placeId ?? 0,
  party: visit?.party == null ? '' : String(visit.party),
  price: visit?.price == null ? '' : String(visit.price),
  currency: visit?.currency ?? 'EUR',
  state: visit?.state ?? 'done',
  reference: visit?.reference ?? '',
})

/** What is sent; a time or figure that cannot be read is refused by its field. */
export function draftOf(
  { at, placeId, party, price, currency, reference, ...fields }: VisitFields,
  zone: string,
): VisitDraft {
  const time = DateTime.fromISO(at, { zone })
  const figure = price.trim().replace(',', '.')
  return {
    ...fields,
    at: time.isValid ? time.toUTC().toISO() : at,
    placeId: placeId || null,
    party: party.trim() === '' ? null : Number(party),
    price: figure === '' ? null : Number(figure),
    currency: figure === '' ? null : currency.trim().toUpperCase() || null,
    reference: reference.trim() || null,
  }
}
