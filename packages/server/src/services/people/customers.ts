import { createHash } from 'node:crypto'
import { foldAccents, foldCase } from '@murrabel/core/text'
import type { TakenCustomers, VisitSource, WayKind } from '@murrabel/contract'
import type { Database, Tx } from '../../store/database.ts'
import {
  insertPeople,
  peopleByRefs,
  putPersonTags,
  putWays,
  updatePeople,
} from '../../store/queries/people/customers.ts'
import { erasedRefs } from '../../store/queries/people/erase.ts'
import { holdPeople } from '../../store/queries/people/meeting.ts'
import { nameless, putVisits, type StoredVisit } from '../../store/queries/people/visits.ts'
import { namedTags } from '../inbox/index.ts'

/** A customer as a file, a till or a booking system tells of them, read and cleaned. */
export interface Customer {
  /** How the other system calls them. */
  reference: string | null
  /** Empty: not told. */
  name: string
  emails: string[]
  /** As E.164. */
  phones: string[]
  language: string | null
  tags: string[]
  note: string
  consents: { kind: WayKind; given: boolean; at: Date | null; how: string }[]
  visit: StoredVisit | null
}

interface Telling {
  brandId: number
  /** Hides what somebody was known by, so that it can be known again. */
  hidden: (text: string) => Buffer
  source: VisitSource
  /** When it was so there. */
  toldAt: Date
}

/** By what somebody is known again: a number of theirs, else an address or phone together with their name, since families share them. */
function refOf({ reference, emails, phones, name, visit }: Customer): string {
  const called = foldAccents(foldCase(name))
  if (reference) return `number:${reference}`
  if (emails[0]) return `email:${emails[0]}|${called}`
  if (phones[0]) return `phone:${phones[0]}|${called}`
  return `visit:${visit?.reference ?? ''}`
}

/** Whether somebody can be known again when they are told of once more. */
export const knownAgain = ({ reference, emails, phones, visit }: Omit<Customer, 'name'>): boolean =>
  Boolean(reference ?? emails[0] ?? phones[0] ?? visit?.reference)

/** A visit without a reference is known again by what it is. */
const visitRef = (ref: string, { reference, at, route }: StoredVisit): string =>
  reference ??
  nameless +
    createHash('sha256')
      .update(JSON.stringify([ref, at, route]))
      .digest('hex')
      .slice(0, 32)

/**
 * Takes customers and their visits in: new ones are noted, known ones changed where something else is told. The same twice changes
 * nothing, and what is told late of a visit changes nothing either. Whoever shares an address with somebody is joined when people
 * are read (`meetPeople`).
 */
export async function takeCustomers(
  db: Database,
  { brandId, hidden, source, toldAt }: Telling,
  all: readonly Customer[],
  tx: Tx,
): Promise<TakenCustomers> {
  await holdPeople(db, brandId, tx)
  const customers = await unlessErased(db, { brandId, hidden }, all, tx)
  const told = customers.map((customer) => ({ customer, ref: refOf(customer) }))
  const known = await peopleByRefs(db, { brandId, refs: told.map(({ ref }) => ref) }, tx)
  const fresh = await noteFresh(
    db,
    brandId,
    told.filter(({ ref }) => !known.has(ref)),
    tx,
  )
  const people = new Map([...known, ...fresh])
  const each = told.map(({ customer, ref }) => ({ customer, ref, person: people.get(ref)! }))
  const changed = new Set([
    ...fresh.values(),
    ...(await updatePeople(
      db,
      lastOf(each, ({ person }) => String(person)).map(({ customer, person }) => ({
        id: person,
        ...customer,
      })),
      tx,
    )),
    ...(await putWays(db, { brandId, toldAt, ways: lastOf(waysOf(each), wayKey) }, tx)),
    ...(await tagPeople(db, brandId, each, tx)),
  ])
  const visits = each.flatMap(({ customer: { visit }, ref, person }) =>
    visit ? [{ ...visit, personId: person, reference: visitRef(ref, visit) }] : [],
  )
  const changedVisits = await putVisits(
    db,
    { brandId, toldAt, source, visits: lastOf(visits, ({ reference }) => reference) },
    tx,
  )
  const added = each.filter(
    ({ person, ref, customer: { visit } }) =>
      changed.has(person) || (visit !== null && changedVisits.has(visitRef(ref, visit))),
  ).length
  return { added, known: customers.length - added, erased: all.length - customers.length }
}

/** Leaves out those whose data was erased, unless they have a visit that is later than that. */
async function unlessErased(
  db: Database,
  { brandId, hidden }: Pick<Telling, 'brandId' | 'hidden'>,
  customers: readonly Customer[],
  tx: Tx,
): Promise<Customer[]> {
  const knownBy = (customer: Customer) => [
    refOf(customer),
    ...customer.emails.map((email) => `email:${email}`),
    ...customer.phones.map((phone) => `phone:${phone}`),
  ]
  const visitBy = ({ visit }: Customer) => (visit?.reference ? [`visit:${visit.reference}`] : [])
  const hashes = customers.flatMap((customer) => [...knownBy(customer), ...visitBy(customer)]).map(hidden)
  const erased = await erasedRefs(db, { brandId, hashes }, tx)
  if (!erased.size) return [...customers]
  const erasedAt = (refs: readonly string[]) =>
    Math.max(...refs.map((ref) => erased.get(hidden(ref).toString('hex'))?.getTime() ?? -Infinity))
  return customers.filter((customer) => {
    const at = erasedAt(knownBy(customer))
    const isLater = customer.visit !== null && Date.parse(customer.visit.at) > at
    return erasedAt(visitBy(customer)) === -Infinity && (at === -Infinity || isLater)
  })
}

/** Of several under one key the last. */
const lastOf = <Item>(items: readonly Item[], key: (item: Item) => string): Item[] => [
  ...new Map(items.map((item) => [key(item), item])).values(),
]

async function noteFresh(
  db: Database,
  brandId: number,
  told: readonly { customer: Customer; ref: string }[],
  tx: Tx,
): Promise<Map<string, number>> {
  const people = lastOf(told, ({ ref }) => ref).map(
    ({ ref, customer: { name, emails, phones, reference } }) => ({
      ref,
      name: name || (emails[0] ?? phones[0] ?? reference ?? ref),
    }),
  )
  return people.length ? insertPeople(db, { brandId, people }, tx) : new Map<string, number>()
}

const wayKey = ({ person, kind, value }: { person: number; kind: string; value: string }) =>
  `${person} ${kind} ${value}`

const waysOf = (each: readonly { customer: Customer; person: number }[]) =>
  each.flatMap(({ customer: { emails, phones, consents }, person }) => {
    const way = (kind: WayKind) => (value: string) => {
      const said = consents.find((consent) => consent.kind === kind)
      return {
        person,
        kind,
        value,
        consent: said?.given ?? null,
        consentAt: said?.at ?? null,
        consentHow: said?.how ?? '',
      }
    }
    return [...emails.map(way('email')), ...phones.map(way('phone'))]
  })

async function tagPeople(
  db: Database,
  brandId: number,
  each: readonly { customer: Customer; person: number }[],
  tx: Tx,
): Promise<number[]> {
  const names = [...new Set(each.flatMap(({ customer }) => customer.tags))]
  if (!names.length) return []
  const { tags } = await namedTags({ db }, { brandId, names, field: 'tags' }, tx)
  const idOf = new Map(tags.map(({ id, name }) => [name.toLowerCase(), id]))
  const pairs = each.flatMap(({ customer, person }) =>
    customer.tags.map((name) => ({ person, tag: idOf.get(name.toLowerCase())! })),
  )
  return putPersonTags(
    db,
    lastOf(pairs, ({ person, tag }) => `${person} ${tag}`),
    tx,
  )
}
