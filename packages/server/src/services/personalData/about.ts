import type { DataCounts } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import type { Tx } from '../../store/database.ts'
import { countsBeside } from '../../store/queries/people/dataRequests.ts'
import { accountsOf, entriesAbout, threadsOf, type TheirThread } from '../../store/queries/people/erase.ts'
import { membersOf } from '../../store/queries/people/joins.ts'
import { visiblePeople } from '../../store/queries/people/people.ts'

/** All that there is about somebody: as whom they are shown, those who were joined, and what was said by and to them. */
export interface About {
  person: number
  people: number[]
  accounts: number[]
  threads: TheirThread[]
  entries: { id: number; own: boolean }[]
  counts: DataCounts
}

/** @throws Refusal notFound */
export async function allAbout(
  { db }: Pick<Context, 'db'>,
  reader: Reader,
  given: number,
  tx?: Tx,
): Promise<About> {
  const person = (await visiblePeople(db, reader, [given], tx)).get(given)
  if (person === undefined) throw new Refusal('notFound')
  const people = await membersOf(db, [person], tx)
  const accounts = await accountsOf(db, people, tx)
  const threads = await threadsOf(db, accounts, tx)
  const entries = await entriesAbout(db, { accounts, threads }, tx)
  const beside = await countsBeside(db, { people, entries: entries.map(({ id }) => id) }, tx)
  const own = entries.filter((entry) => entry.own).length
  return {
    person,
    people,
    accounts,
    threads,
    entries,
    counts: { entries: own, answers: entries.length - own, ...beside },
  }
}
