import { reliabilityOf } from '@murrabel/core/learning'
import type { DoubtsAnswer } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import {
  countDoubts,
  countJudgedElsewhere,
  doubtBelow,
  entriesToJudge,
  judgedReadings,
  latestDoubts,
  sampleToJudge,
  setDoubtBelow,
} from '../../store/queries/teaching/doubts.ts'
import { record } from '../log/index.ts'

/** Doubts that are compared with each other: the latest. */
const doubtsCompared = 2000
const doubtsShown = 12
/** A sample is drawn from the latest readings. */
const sampledFrom = 3000
/** Judgements that tell how reliable readings are: the latest; older ones were of other readings. */
const judgementsCounted = 2000

type Parts = Pick<Context, 'db' | 'textWorker' | 'now'>

/** What is worth judging, and how reliable readings have proved. */
export async function doubtsAnswer(
  context: Parts,
  reader: Reader,
  of: 'useful' | 'sample',
): Promise<DoubtsAnswer> {
  const { db } = context
  const known = await doubtBelow(db, reader.brandId)
  const below = known?.below ?? 0
  const [chosen, inDoubt, judged, elsewhere] = await Promise.all([
    of === 'useful' ? usefulDoubts(context, reader, below) : sample(context, reader),
    countDoubts(db, reader, below),
    judgedReadings(db, reader.brandId, judgementsCounted),
    countJudgedElsewhere(db, reader.brandId),
  ])
  const alike = new Map(chosen.map((each) => [each.id, each.alike]))
  const rows = await entriesToJudge(db, reader, [...alike.keys()])
  return {
    below,
    inDoubt: inDoubt?.n ?? 0,
    rows: rows.map((row) => ({ ...row, alike: alike.get(row.id) ?? 0 })),
    reliability: { ...reliabilityOf(judged), n: judged.length, elsewhere: elsewhere?.n ?? 0 },
  }
}

async function usefulDoubts({ textWorker }: Parts, reader: Reader, below: number) {
  const { chosen } = await textWorker.ask({
    kind: 'doubts',
    doubts: latestDoubts(reader, { below, limit: doubtsCompared }),
    most: doubtsShown,
  })
  return chosen
}

async function sample({ db, now }: Parts, reader: Reader) {
  const day = new Date(now()).toISOString().slice(0, 10)
  const rows = await sampleToJudge(db, reader, {
    salt: `${day}/${reader.colleagueId}`,
    latest: sampledFrom,
    limit: doubtsShown,
  })
  return rows.map(({ id }) => ({ id, alike: 0 }))
}

/** Below which confidence a reading is in doubt for the brand: nothing is read again for it. */
export async function saveDoubtBelow(context: Parts & Pick<Context, 'live'>, reader: Reader, below: number) {
  const { db, live } = context
  await db.inTransaction(async (tx) => {
    const before = await doubtBelow(db, reader.brandId, tx)
    await setDoubtBelow(db, { brandId: reader.brandId, below }, tx)
    await record(
      db,
      reader,
      { kind: 'saveDoubt', on: ['brand', reader.brandId], detail: { before: before?.below, after: below } },
      tx,
    )
    await live.tell(reader.brandId, { kind: 'teaching' }, tx)
    await live.tell(reader.brandId, { kind: 'entries', threads: [], count: 0 }, tx)
  })
  return doubtsAnswer(context, reader, 'useful')
}
