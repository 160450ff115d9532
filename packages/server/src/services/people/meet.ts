import {
  closestNames,
  findingWords,
  likeNames,
  likenessOf,
  meetingKeys,
  readEmail,
  readPhone,
  type Likeness,
  type NamesReason,
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
  peopleToCompare,
  replaceProposals,
  sharedWays,
  speakers,
  storeMet,
  unmetPeople,
  type Meeting,
  type Met,
  type NamedRow,
  type UnmetPerson,
} from '../../store/queries/people/meeting.ts'
import { join } from './joins.ts'

const peopleAtOnce = 500
const comparedAtOnce = 30_000
/** Between them somebody may join or part people. */
const storedAtOnce = 2000
const namesAtOnce = 10_000
const pairsAtOnce = 1000
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
 * joins those who share an address or number, which is certain. Then compares them with the others, and proposes those who are
 * alike. A step a transaction; what was read and not compared is compared by whoever takes the work up.
 */
export async function meetPeople({ db, live }: Parts, { id: brandId, signal }: Piece): Promise<WorkOutcome> {
  for (let met = peopleAtOnce; met === peopleAtOnce;) {
    signal.throwIfAborted()
    met = await db.inTransaction(async (tx) => {
      await holdPeople(db, brandId, tx)
      const people = await unmetPeople(db, { brandId, limit: peopleAtOnce }, tx)
      if (people.length) await meet({ db, brandId }, people, tx)
      return people.length
    })
    if (met) await live.tell(brandId, { kind: 'people' })
  }
  const tooCommon = await commonWords(db, { brandId, ...common })
  let next = lookAhead(db, { brandId, after: 0 })
  for (;;) {
    signal.throwIfAborted()
    const { people, alike } = await next
    if (!people.length) return 'done'
    // Names are compared while what others said is looked at.
    next = lookAhead(db, { brandId, after: people.at(-1)! })
    await propose({ db, live, signal }, { brandId, people, alike, tooCommon })
  }
}

/** What fails is met where it is waited for, if it is. */
function lookAhead(...of: Parameters<typeof whoIsAlike>): Promise<Looked> {
  const looking = whoIsAlike(...of)
  looking.catch(() => {})
  return looking
}

async function meet(
  { db, brandId }: Pick<Context, 'db'> & { brandId: number },
  unmet: readonly UnmetPerson[],
  tx: Tx,
): Promise<void> {
  await storeMet(db, { brandId, met: unmet.map(metOf) }, tx)
  const same = await sharedWays(db, { brandId, people: unmet.map(({ id }) => id) }, tx)
  await join(
    db,
    { brandId, actor: 'system' },
    same.map(({ one, other, kind, value }) => ({ one, other, reasons: [{ kind, value }] })),
    tx,
  )
}

/** People who are compared together, and those whose names are like theirs. */
interface Looked {
  people: number[]
  alike: Alike[]
}

/** The next who are to be compared; nothing is held meanwhile. */
async function whoIsAlike(
  db: Context['db'],
  { brandId, after }: { brandId: number; after: number },
): Promise<Looked> {
  const people = await peopleToCompare(db, { brandId, after, limit: comparedAtOnce })
  if (!people.length) return { people, alike: [] }
  return { people, alike: await alikeAmong(db, await meetings(db, { brandId, people, most: mostUnderKey })) }
}

/** Of people whose names are alike, those who may be the same; stored by parts. */
async function propose(
  { db, live, signal }: Pick<Context, 'db' | 'live'> & Pick<Piece, 'signal'>,
  { brandId, people, alike, tooCommon }: Looked & { brandId: number; tooCommon: ReadonlySet<string> },
): Promise<void> {
  const proposals: Proposed[] = []
  for (const part of partsOf(alike, pairsAtOnce)) {
    signal.throwIfAborted()
    proposals.push(...(await proposalsAmong({ db, tooCommon }, part)))
  }
  for (const part of partsOf(people, storedAtOnce)) {
    const own = new Set(part)
    await db.inTransaction(async (tx) => {
      await holdPeople(db, brandId, tx)
      const theirs = proposals.filter(({ one, other }) => own.has(one) || own.has(other))
      await replaceProposals(db, { brandId, people: part, proposals: theirs }, tx)
    })
    await live.tell(brandId, { kind: 'people' })
  }
}

const partsOf = <T>(all: readonly T[], size: number): T[][] =>
  Array.from({ length: Math.ceil(all.length / size) }, (_, i) => all.slice(i * size, (i + 1) * size))

type Proposed = Likeness & { one: number; other: number }
/** Two whose names are alike. */
interface Alike {
  one: NamedRow
  other: NamedRow
  names: NamesReason
  bearers: number
}

/** Of people who met, those with names that are alike. */
async function alikeAmong(db: Context['db'], met: readonly Meeting[]): Promise<Alike[]> {
  const named = new Map<number, NamedRow>()
  const ids = [...new Set(met.flatMap(({ one, other }) => [one, other]))]
  for (const part of partsOf(ids, namesAtOnce))
    for (const each of await namesOf(db, part)) named.set(each.id, each)
  const alike: Alike[] = []
  for (const part of partsOf(met, pairsAtOnce)) {
    for (const { one: a, other: b, bearers } of part) {
      const [one, other] = [named.get(a), named.get(b)]
      // Who is one already is not proposed; who is to be read again will meet them then.
      if (!one || !other || one.shownAs === other.shownAs || one.unmet || other.unmet) continue
      const names = closestNames(one, other)
      if (names.likeness >= likeNames) alike.push({ one, other, names, bearers })
    }
    // Whatever else this process does comes in between.
    await new Promise((resolve) => setImmediate(resolve))
  }
  return alike
}

/** What they said is looked at only where names are alike. */
async function proposalsAmong(
  { db, tooCommon }: Pick<Context, 'db'> & { tooCommon: ReadonlySet<string> },
  alike: readonly Alike[],
): Promise<Proposed[]> {
  const said = await speakers(db, {
    people: [...new Set(alike.flatMap(({ one, other }) => [one.id, other.id]))],
    entries: entriesCompared,
    letters: lettersOfTopic,
    without: tooCommon,
  })
  const spoken = new Map(
    said.map(({ id, places, said: latest }) => [
      id,
      { places, topics: latest.flatMap(({ at, words }) => words.map((word) => ({ word, at }))) },
    ]),
  )
  return alike.flatMap(({ one, other, names, bearers }) => {
    const found = likenessOf(
      { ...one, ...spoken.get(one.id)! },
      { ...other, ...spoken.get(other.id)! },
      { names, bearers },
    )
    return found ? [{ one: one.id, other: other.id, ...found }] : []
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
