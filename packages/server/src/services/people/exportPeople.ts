import ICAL from 'ical.js'
import Papa from 'papaparse'
import { cleanUrl } from '@murrabel/core/text'
import { limits } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { peoplePage, type PeopleKey } from '../../store/queries/people/page.ts'
import { exportedPeople, type ExportedPerson } from '../../store/queries/people/people.ts'
import { safeCell } from '../entries/index.ts'
import { lensContext, lensOf } from '../lens/index.ts'

/** The people of a lens, page by page, up to the limit of one export. */
export async function* exportPeople(
  parts: Pick<Context, 'db' | 'now'>,
  reader: Reader,
  query: Record<string, unknown>,
): AsyncGenerator<ExportedPerson[]> {
  const lens = lensOf(query, 'people')
  const context = await lensContext(parts, reader)
  const limit = 1000
  let after: PeopleKey | null = null
  for (let count = 0; count < limits.exportRows;) {
    const rows = await peoplePage(parts.db, { lens, context, reader }, { limit, after })
    const known = await exportedPeople(
      parts.db,
      rows.map(({ id }) => id),
    )
    const counts = new Map(rows.map((row) => [row.id, row]))
    count += rows.length
    yield known.map((person) => {
      const { said, last } = counts.get(person.id)!
      return { ...person, said, last }
    })
    if (rows.length < limit) return
    after = rows.at(-1)!.key
  }
}

const columns = [
  'id',
  'name',
  'emails',
  'phones',
  'accounts',
  'language',
  'standing',
  'said',
  'latest',
  'note',
] as const

/** Several addresses or accounts stand in one cell, divided by semicolons. */
export function peopleCsv(people: readonly ExportedPerson[], { header }: { header: boolean }): string {
  const data = people.map((person) => {
    const { id, name, language, standing, said, note } = person
    const accounts = person.accounts.map(({ network, handle }) =>
      handle ? `${network}: ${handle}` : network,
    )
    return [
      id,
      name,
      person.emails.join('; '),
      person.phones.join('; '),
      accounts.join('; '),
      language ?? '',
      standing ?? '',
      said,
      person.last?.toISOString() ?? '',
      note,
    ].map(safeCell)
  })
  const lines = header ? [[...columns], ...data] : data
  return lines.length ? `${Papa.unparse(lines, { newline: '\r\n' })}\r\n` : ''
}

/** People as vCards 4.0 (RFC 6350). */
export const vcardsOf = (people: readonly ExportedPerson[]): string =>
  people.map((person) => `${vcardOf(person).toString()}\r\n`).join('')

function vcardOf(person: ExportedPerson): ICAL.Component {
  const card = new ICAL.Component(['vcard', [], []])
  const add = (name: string, value: string, type?: string) => {
    const property = new ICAL.Property(name, card)
    if (type) property.resetType(type)
    property.setValue(value)
    card.addProperty(property)
  }
  add('version', '4.0')
  add('uid', `urn:murrabel:person:${person.id}`)
  add('fn', person.name)
  for (const email of person.emails) add('email', email)
  for (const phone of person.phones) add('tel', `tel:${phone}`, 'uri')
  if (person.language) add('lang', person.language)
  for (const { url } of person.accounts) {
    const address = cleanUrl(url)
    if (address) add('url', address)
  }
  if (person.note) add('note', person.note)
  return card
}
