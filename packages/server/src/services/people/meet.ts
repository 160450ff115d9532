import {
  closestNames,
  findingWords,
  likeNames,
  likenessOf,
  meetingKeys,
  readEmail,
  readPhone,
  type Likeness,
} from '@murrabel/core/people'
import { accountConnectorOf } from '../../connectors/index.ts'
import type { Context } from '../../context.ts'
import { brandOwner } from '../../jobs/due/dueWork.ts'
import type { WorkOutcome } from '../../jobs/due/next.ts'
import type { Piece } from '../../jobs/due/piece.ts'
import type { Tx } from '../../store/database.ts'
import {
  brandsWithUnmet,
  commonWords,
  holdPeople,
  meetings,
  namesOf,
  replaceProposals,
  sharedWays,
  speakers,
  storeMet,
  unmetPeople,
  type Meeting,
  type Met,
  type UnmetPerson,
} from '../../store/queries/people/meeting.ts'
import { join } from './joins.ts'

const peopleAtOnce = 500
/** A key that more people share tells nobody from anybody. */
const mostUnderKey = 20
/** Of what somebody said, so many of the latest entries are compared. */
const entriesCompared = 12
/** Shorter words tell no occasion. */
const lettersOfTopic = 5
/** Words that more than this share of what is said holds tell no occasion. */
const common = { entries: 2000, share: 0.01 }

type Parts = Pick<Context, 'db' | 'due' | 'live'>

export const askToMeet = ({ due }: Pick<Context, 'due'>, brandId: number, tx?: Tx): Promise<void> =>
  due.ask({ kind: 'meet', subject: brandId, owner: brandOwner(brandId) }, tx)

/** At the start of the jobs: what a crash left, and those who were there before people were read. */
export async function askAllToMeet({ db, due }: Pick<Context, 'db' | 'due'>): Promise<void> {
  for (const brandId of await brandsWithUnmet(db)) await askToMeet({ due }, brandId)
}

/**
 * Reads people who are new, or called or reached otherwise: the names, handles, addresses and numbers by which they are found;
 * joins those who share an address or number, which is certain; proposes those who are alike. A step a transaction.
 */
export async function meetPeople({ db, live }: Parts, { id: brandId, signal }: Piece): Promise<WorkOutcome> {
  const tooCommon = await commonWords(db, { brandId, ...common })
  for (;;) {
    signal.throwIfAborted()
    const met = await db.inTransaction(async (tx) => {
      await holdPeople(db, brandId, tx)
      const people = await unmetPeople(db, { brandId, limit: peopleAtOnce }, tx)
      if (people.length) await meet({ db, brandId, tooCommon }, people, tx)
      return people.length
    })
    if (met) await live.tell(brandId, { kind: 'people' })
    if (met < peopleAtOnce) return 'done'
  }
}

async function meet(
  { db, brandId, tooCommon }: Pick<Context, 'db'> & { brandId: number; tooCommon: ReadonlySet<string> },
  unmet: readonly UnmetPerson[],
  tx: Tx,
): Promise<void> {
  const people = unmet.map(({ id }) => id)
  await storeMet(db, { brandId, met: unmet.map(metOf) }, tx)
  const same = await sharedWays(db, { brandId, people }, tx)
  await join(
    db,
    { brandId, actor: 'system' },
    same.map(({ one, other, kind, value }) => ({ one, other, reasons: [{ kind, value }] })),
    tx,
  )
  const proposals = await proposalsAmong(
    { db, tooCommon },
    await meetings(db, { brandId, people, most: mostUnderKey }, tx),
    tx,
  )
  await replaceProposals(db, { brandId, people, proposals }, tx)
}

/** Of people who met, those who may be the same: their names are looked at first, what they said only where those are alike. */
async function proposalsAmong(
  { db, tooCommon }: Pick<Context, 'db'> & { tooCommon: ReadonlySet<string> },
  met: readonly Meeting[],
  tx: Tx,
): Promise<(Likeness & { one: number; other: number })[]> {
  const idsOf = (pairs: readonly { one: number; other: number }[]) => [
    ...new Set(pairs.flatMap(({ one, other }) => [one, other])),
  ]
  const named = new Map((await namesOf(db, idsOf(met), tx)).map((each) => [each.id, each]))
  const alike = met
    .map((pair) => ({ ...pair, names: closestNames(named.get(pair.one)!, named.get(pair.other)!) }))
    .filter(({ names }) => names.likeness >= likeNames)
  const said = await speakers(
    db,
    { people: idsOf(alike), entries: entriesCompared, letters: lettersOfTopic, without: tooCommon },
    tx,
  )
  const comparable = new Map(
    said.map(({ id, places, said: latest }) => [
      id,
      {
        ...named.get(id)!,
        places,
        topics: latest.flatMap(({ at, words }) => words.map((word) => ({ word, at }))),
      },
    ]),
  )
  return alike.flatMap(({ one, other, names, bearers }) => {
    const found = likenessOf(comparable.get(one)!, comparable.get(other)!, { names, bearers })
    return found ? [{ one, other, ...found }] : []
  })
}

/** An account's own address or number, where who writes there is known by one. */
function ownWays({ accounts }: UnmetPerson): Met['ways'] {
  return accounts.flatMap(({ outsideId, channel }) => {
    const kind = channel === null ? undefined : accountConnectorOf(channel)?.capabilities.authorsBy
    const value = kind === 'email' ? readEmail(outsideId) : kind === 'phone' ? readPhone(outsideId) : null
    return kind && value ? [{ kind, value }] : []
  })
}

function metOf(person: UnmetPerson): Met {
  const { id, accounts } = person
  const own = ownWays(person)
  const ways = [...own, ...person.ways]
  const addresses = ways.filter(({ kind }) => kind === 'email').map(({ value }) => value)
  const handles = [...accounts.flatMap(({ handle }) => handle ?? []), ...addresses]
  const called = accounts[0]?.name ?? person.name
  const name = person.named ? person.name : called
  return {
    personId: id,
    name,
    words: findingWords({ names: [name, ...accounts.map((account) => account.name)], handles, ways }),
    keys: meetingKeys({ name, handles }),
    ways: own,
  }
}
