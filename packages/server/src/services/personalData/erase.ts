import type { DataRequest, DataRequestDraft } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import { hiddenBy } from '../../access/hidden.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import type { Tx } from '../../store/database.ts'
import { insertRequest } from '../../store/queries/people/dataRequests.ts'
import {
  actionsAbout,
  erasePeople,
  eraseTexts,
  eraseThreads,
  keepErasedRefs,
  profilesOfPerson,
  refsOf,
} from '../../store/queries/people/erase.ts'
import { forgetMerged } from '../../store/queries/inbox/regroup.ts'
import { forgetPrints } from '../../store/queries/inbox/spam.ts'
import { holdProfileEntries } from '../../store/queries/actions/ownEntries.ts'
import { holdPeople } from '../../store/queries/people/meeting.ts'
import { personById } from '../../store/queries/people/people.ts'
import { businessHoursOf, refreshThreads } from '../inbox/index.ts'
import { record } from '../log/index.ts'
import { allAbout } from './about.ts'

/**
 * Erases somebody: every word of theirs and of ours to them, their names, addresses and numbers, what was noted of them, the items
 * as they came, and all that repeats them. What is counted stays, as nobody's. It is not brought back: neither by a network that
 * tells it again nor by a till or a file. Answers that wait are not sent. That it was asked for, and who did it, is kept.
 *
 * @throws Refusal notFound, erasedAlready, answerUnderWay
 */
export async function erasePerson(
  context: Pick<Context, 'db' | 'due' | 'live' | 'now' | 'config'>,
  reader: Reader,
  given: number,
  { askedBy }: DataRequestDraft,
): Promise<DataRequest> {
  const { db, due, live, now, config } = context
  const { brandId, colleagueId } = reader
  const at = new Date(now())
  const { request, threads } = await db.inTransaction(async (tx) => {
    await holdPeople(db, brandId, tx)
    await holdIntake({ db }, brandId, given, tx)
    const about = await allAbout({ db }, reader, given, tx)
    if ((await personById(db, about.person, tx))?.erasedAt) throw new Refusal('erasedAlready')
    const entries = about.entries.map(({ id }) => id)
    const alone = about.threads.filter(({ shared }) => !shared).map(({ id }) => id)
    const actions = await actionsAbout(db, { threads: alone, entries }, tx)
    if (actions.some(({ state }) => state === 'sending')) throw new Refusal('answerUnderWay')
    const ids = actions.map(({ id }) => id)
    await due.drop('act', ids, tx)
    const refs = await refsOf(db, about.people, tx)
    await keepErasedRefs(db, { brandId, hashes: refs.map(hiddenBy(config.sealingKey)), at }, tx)
    await eraseTexts(db, { entries, at }, tx)
    await eraseThreads(db, { threads: about.threads, actions: ids }, tx)
    await erasePeople(db, { brandId, people: about.people, accounts: about.accounts, at }, tx)
    const touched = about.threads.map(({ id }) => id)
    await forgetPrints(db, touched, tx)
    await forgetMerged(db, touched, tx)
    await refreshThreads(db, touched, await businessHoursOf(db, brandId, tx), now(), tx)
    const made = await insertRequest(
      db,
      { brandId, kind: 'erase', personId: about.person, askedBy, colleagueId, counts: about.counts },
      tx,
    )
    await record(
      db,
      reader,
      {
        kind: 'erasePerson',
        on: ['person', about.person],
        detail: { request: made.id, counts: about.counts },
      },
      tx,
    )
    await live.tell(brandId, { kind: 'people' }, tx)
    return { request: made, threads: touched }
  })
  for (let i = 0; i < threads.length; i += 500)
    await live.tell(brandId, { kind: 'thread', threads: threads.slice(i, i + 500) })
  return request
}

/** What comes in of them meanwhile waits, so that nothing slips in between. */
async function holdIntake(
  { db }: Pick<Context, 'db'>,
  brandId: number,
  person: number,
  tx: Tx,
): Promise<void> {
  for (const profile of await profilesOfPerson(db, { brandId, person }, tx))
    await holdProfileEntries(db, profile, tx)
}
