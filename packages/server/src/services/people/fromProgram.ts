import { readEmail, readPhone } from '@murrabel/core/people'
import {
  fieldProblem,
  type CustomerDraft,
  type CustomersDraft,
  type FieldProblem,
  type TakenCustomers,
} from '@murrabel/contract'
import { hiddenBy } from '../../access/hidden.ts'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import { placeNames } from '../../store/queries/brand/brand.ts'
import type { StoredVisit } from '../../store/queries/people/visits.ts'
import { record } from '../log/index.ts'
import { knownAgain, takeCustomers, type Customer } from './customers.ts'
import { askToMeet } from './meet.ts'

/** Customers as a program tells of them. All or none: a customer that cannot be read names its field, and nothing is taken. */
export function takeFromProgram(
  parts: Pick<Context, 'db' | 'due' | 'live' | 'now' | 'config'>,
  { brandId, by, source }: { brandId: number; by: Reader | null; source: 'hook' | 'call' },
  { at, customers }: CustomersDraft,
): Promise<TakenCustomers> {
  const { db, due, live, now, config } = parts
  return db.inTransaction(async (tx) => {
    const places = await placeNames(db, brandId)
    const read = readCustomers(customers, { places, source })
    // Nothing is told before it is so.
    const toldAt = new Date(Math.min(at === undefined ? now() : Date.parse(at), now()))
    const taken = await takeCustomers(
      db,
      { brandId, hidden: hiddenBy(config.sealingKey), source, toldAt },
      read,
      tx,
    )
    if (taken.added) {
      await record(
        db,
        by ?? { brandId, actor: 'network' },
        { kind: 'takeCustomers', on: ['brand', brandId], detail: { ...taken, source } },
        tx,
      )
      await askToMeet({ due }, brandId, tx)
      await live.tell(brandId, { kind: 'people' }, tx)
    }
    return taken
  })
}

function readCustomers(
  drafts: readonly CustomerDraft[],
  parts: { places: readonly { id: number; name: string }[]; source: 'hook' | 'call' },
): Customer[] {
  const fields: FieldProblem[] = []
  const customers = drafts.map((draft, i) => readCustomer(draft, { ...parts, at: `customers[${i}]`, fields }))
  if (fields.length) throw new Refusal('invalid', { fields })
  return customers
}

function readCustomer(
  { reference, name = '', email, phone, language, tags = [], note = '', consent = {}, visit }: CustomerDraft,
  {
    places,
    source,
    at,
    fields,
  }: {
    places: readonly { id: number; name: string }[]
    source: 'hook' | 'call'
    at: string
    fields: FieldProblem[]
  },
): Customer {
  const emails = email ? [readEmail(email)] : []
  const phones = phone ? [readPhone(phone)] : []
  if (emails.includes(null)) fields.push(fieldProblem(`${at}.email`, 'noEmail', { value: email }))
  if (phones.includes(null)) fields.push(fieldProblem(`${at}.phone`, 'noPhone', { value: phone }))
  const place = visit?.place
    ? places.find((each) => each.name.toLowerCase() === visit.place!.toLowerCase())
    : null
  if (place === undefined)
    fields.push(
      fieldProblem(`${at}.visit.place`, 'rowPlace', {
        values: { places: places.map((each) => each.name).join(', ') },
        value: visit?.place,
      }),
    )
  const customer: Customer = {
    reference: reference || null,
    name,
    emails: emails.filter((each) => each !== null),
    phones: phones.filter((each) => each !== null),
    language: language ?? null,
    tags,
    note,
    consents: (['email', 'phone'] as const).flatMap((kind) => {
      const said = consent[kind]
      return said
        ? [{ kind, given: said.given, at: said.at ? new Date(said.at) : null, how: said.how ?? '' }]
        : []
    }),
    visit: visit ? visitAt(visit, { placeId: place?.id ?? null, source }) : null,
  }
  if (!knownAgain(customer)) fields.push(fieldProblem(at, 'nobodyKnown'))
  return customer
}

const visitAt = (
  visit: NonNullable<CustomerDraft['visit']>,
  { placeId, source }: { placeId: number | null; source: 'hook' | 'call' },
): StoredVisit => ({
  reference: visit.reference,
  at: new Date(visit.at).toISOString(),
  route: visit.route ?? '',
  ship: visit.ship ?? '',
  placeId,
  party: visit.party ?? null,
  price: visit.price ?? null,
  currency: visit.currency ?? null,
  state: visit.state ?? 'booked',
  source,
})
