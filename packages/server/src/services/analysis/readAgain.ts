import { detectLanguage, joinTitle, loadLanguages, placedWords } from '@murrabel/core/text'
import type { Context } from '../../context.ts'
import { brandOwner } from '../../jobs/due/dueWork.ts'
import type { WorkOutcome } from '../../jobs/due/next.ts'
import type { Piece } from '../../jobs/due/piece.ts'
import type { Database, Tx } from '../../store/database.ts'
import { holdMentions } from '../../store/queries/analysis/mentions.ts'
import {
  readEntriesAfter,
  setLanguages,
  setSearchWords,
  setStepVersions,
  setStories,
  stepsBehind,
  type EntryToReread,
} from '../../store/queries/analysis/readingSteps.ts'
import { restartWatchHistories } from '../../store/queries/watches/watches.ts'
import { newTeachingVersion } from './newTeachingVersion.ts'
import { printOf, tsvectorText } from './readEntry.ts'
import { readingSteps, readingStepNames, type ReadingStep } from './readingSteps.ts'
import { storedPrint } from '../../store/storedPrint.ts'
import { StoryShelf } from './storyShelf.ts'

const entriesAtOnce = 1000

type Parts = Pick<Context, 'db' | 'due' | 'live'>
/** Reads a stretch of the history by one step and writes what that step is about. */
type Pass = (db: Database, entries: readonly EntryToReread[], tx: Tx) => Promise<void>

/** Asks for the steps by which a brand's history was read by an older version of the code: at the start of the jobs. */
export async function askForReadings({ db, due }: Pick<Context, 'db' | 'due'>): Promise<void> {
  const behind = await stepsBehind(db, {
    steps: readingStepNames,
    versions: readingStepNames.map((step) => readingSteps[step].version),
  })
  await due.ask(
    behind.map(({ brandId, step }) => ({
      kind: 'readAgain',
      subject: `${brandId}/${step}`,
      owner: brandOwner(brandId),
    })),
  )
}

/** Reads a brand's history again by one step. Taken up by another worker, it goes on where it stopped. */
export async function readAgain(parts: Parts, piece: Piece): Promise<WorkOutcome> {
  const [id = '', name = ''] = piece.subject.split('/')
  const brandId = Number(id)
  const step = readingStepNames.find((each) => each === name)
  if (!step) return 'done'
  // Said now: a process with newer code asks again.
  const { version, then } = readingSteps[step]
  if (step === 'sentiment' || step === 'watches') await begin(parts, brandId, step)
  else await passOver(parts, piece, { brandId, pass: await passOf(step, brandId) })
  for (const next of then) await begin(parts, brandId, next)
  await setStepVersions(parts.db, { brandId, steps: [step], versions: [version] })
  await parts.live.tell(brandId, { kind: 'entries', threads: [], count: 0 })
  return 'done'
}

/** Steps with a pass of their own, which shows its progress. */
async function begin(
  { db, due, live }: Parts,
  brandId: number,
  step: 'sentiment' | 'watches',
): Promise<void> {
  await db.inTransaction(async (tx) => {
    if (step === 'sentiment') await newTeachingVersion({ db, due }, brandId, tx)
    else {
      await restartWatchHistories(db, brandId, tx)
      await due.ask({ kind: 'watchHistory', subject: brandId, owner: brandOwner(brandId) }, tx)
    }
    await live.tell(brandId, { kind: step === 'sentiment' ? 'teaching' : 'watches' }, tx)
  })
}

async function passOf(step: Exclude<ReadingStep, 'sentiment' | 'watches'>, brandId: number): Promise<Pass> {
  if (step === 'language') {
    await loadLanguages()
    return languagePass
  }
  return step === 'words' ? wordsPass : storiesPass(brandId)
}

const wholeOf = ({ title, text }: EntryToReread) => joinTitle(title, text)
const idsOf = (entries: readonly EntryToReread[]) => entries.map(({ id }) => id)

const languagePass: Pass = (db, entries, tx) =>
  setLanguages(
    db,
    { ids: idsOf(entries), languages: entries.map((entry) => detectLanguage(wholeOf(entry))) },
    tx,
  )

const wordsPass: Pass = (db, entries, tx) =>
  setSearchWords(
    db,
    { ids: idsOf(entries), searches: entries.map((entry) => tsvectorText(placedWords(wholeOf(entry)))) },
    tx,
  )

/** In the order they came, beside those that were read again already: what comes later is not known yet. */
function storiesPass(brandId: number): Pass {
  let upTo = 0
  const shelf = new StoryShelf(brandId, { upTo: () => upTo })
  return async (db, entries, tx) => {
    const read = entries.map((entry) => ({ id: entry.id, at: entry.at, print: printOf(entry) }))
    upTo = entries[0]!.id - 1
    const stories = await shelf.place(db, read, tx)
    await setStories(
      db,
      {
        ids: idsOf(entries),
        prints: read.map(({ print }) => storedPrint(print)),
        stories: read.map(({ id }) => stories.get(id) ?? null),
      },
      tx,
    )
  }
}

/** A stretch a transaction, with how far it has come. */
async function passOver(
  { db }: Pick<Parts, 'db'>,
  piece: Piece,
  { brandId, pass }: { brandId: number; pass: Pass },
): Promise<void> {
  let { after } = (piece.progress as { after: number } | null) ?? { after: 0 }
  for (let finished = false; !finished;) {
    piece.signal.throwIfAborted()
    const next = await db.inTransaction(async (tx) => {
      await holdMentions(db, brandId, tx)
      const entries = await readEntriesAfter(db, { brandId, after, limit: entriesAtOnce }, tx)
      if (entries.length) await pass(db, entries, tx)
      const end = entries.at(-1)?.id ?? after
      await piece.keep({ after: end }, tx)
      return { end, last: entries.length < entriesAtOnce }
    })
    after = next.end
    finished = next.last
  }
  await piece.keep(null)
}
