import { randomBytes } from 'node:crypto'
import type { Context } from '../../context.ts'
import { errorText, type WorkOutcome } from '../../jobs/due/next.ts'
import type { Piece } from '../../jobs/due/piece.ts'
import { workRules } from '../../jobs/due/kinds.ts'
import { Refusal } from '../../problem.ts'
import type { RowsPage, RowsQuestion } from '../../workers/fileMessages.ts'
import type { IngestProfile } from '../../store/queries/intake/ingest.ts'
import {
  type ImportTask,
  importTask,
  giveUpImport,
  setImportSize,
  sendImportBack,
  addImportCounts,
  profileOfImport,
  finishImport,
} from '../../store/queries/imports/imports.ts'
import { type Place, placeNames } from '../../store/queries/brand/brand.ts'
import type { Profile } from '../../store/models/index.ts'
import { connectorProfile } from '../connections/index.ts'
import { ingest } from '../intake/index.ts'
import { record } from '../log/index.ts'
import { historyOf } from './imports.ts'
import { bringInCustomers } from './runCustomers.ts'

/** Rows stored in one transaction. */
const batch = 500
/** Mails have files. */
const mailBatch = 25

/** How far it has come: rows of the file that are in. */
interface Reached {
  at: number
}

/**
 * Brings a file in, a step a transaction, with its progress stored; another worker goes on where one stopped. With rows that
 * cannot be taken nothing is, unless that was said.
 */
export async function runImport(context: Context, piece: Piece): Promise<WorkOutcome> {
  const { db, live } = context
  const task = await importTask(db, piece.id)
  if (!task) return 'done'
  try {
    if (task.kind !== 'customers' && task.kind !== 'cards') await bringIn(context, piece, task)
    else if ((await bringInCustomers(context, piece, task)) === 'in') await finish(context, task)
  } catch (error) {
    const final = error instanceof Refusal || piece.attempts >= workRules.import.tries
    if (!final) throw error
    const fields = error instanceof Refusal ? (error.more.fields ?? []) : []
    const reason = fields.map(({ message }) => message).join(' ') || errorText(error)
    // The file stays: it can be tried with other columns.
    await giveUpImport(db, { id: task.id, reason })
  }
  await live.tell(task.brandId, { kind: 'profiles' })
  return 'done'
}

async function bringIn(context: Context, piece: Piece, task: ImportTask): Promise<void> {
  const { db, live } = context
  const places = await placeNames(db, task.brandId)
  const asked = await questionOf(context, task, places)
  const page = (from: number) =>
    context.fileWorker.ask({
      kind: 'rows',
      importId: task.id,
      from,
      count: asked.of === 'mail' ? mailBatch : batch,
      ...asked,
    })
  let from = (piece.progress as Reached | null)?.at ?? 0
  let rows: RowsPage = await page(from)
  if (rows.refused && !task.settings.ask.anyway) return sendBack(context, task, rows)
  await setImportSize(db, {
    id: task.id,
    total: rows.total,
    refused: rows.refused,
    problems: rows.problems,
    done: from,
  })
  while (rows.items.length) {
    piece.signal.throwIfAborted()
    await storeRows(context, piece, task, { places, rows, from })
    from += rows.items.length
    await live.tell(task.brandId, { kind: 'profiles' })
    rows = await page(from)
  }
  await finish(context, task)
}

async function questionOf(
  context: Context,
  { kind, name, createdAt, settings, zone }: ImportTask,
  places: readonly Place[],
): Promise<RowsQuestion> {
  const now = createdAt.getTime()
  if (kind === 'feed') return { of: 'feed', name, now }
  if (kind === 'mail') {
    const profile = await historyProfile(context, settings.ask.profileId)
    return { of: 'mail', profile: connectorProfile(context, profile) }
  }
  if (kind === 'chat') return { of: 'chat' }
  const { mapping, dateOrder } = settings.ask
  return { of: 'reviews', question: { mapping, dateOrder, zone, now, places: places.map((p) => p.name) } }
}

/** Nothing was taken: the draft says which rows stand in the way. */
async function sendBack(
  { db }: Context,
  { id }: ImportTask,
  { total, refused, problems }: RowsPage,
): Promise<void> {
  await sendImportBack(db, { id, total, refused, problems })
}

async function storeRows(
  context: Context,
  piece: Piece,
  task: ImportTask,
  { places, rows, from }: { places: readonly Place[]; rows: RowsPage; from: number },
): Promise<void> {
  const { db } = context
  // A profile belongs to one place, so that counts by place can be kept by profile.
  const names = [...new Set(rows.items.map((item) => item.place))]
  for (const [i, name] of names.entries()) {
    const items = rows.items.filter((item) => item.place === name)
    const profile = historyOf(task.kind)
      ? await historyProfile(context, task.settings.ask.profileId)
      : await profileOf(context, task, places.find((p) => p.name === name) ?? null)
    await ingest(context, profile, items, async (tx, { added, apart }) => {
      await addImportCounts(
        db,
        {
          id: task.id,
          added,
          known: items.length - added - apart,
          refused: apart,
          done: from + (i + 1 === names.length ? rows.items.length : 0),
        },
        tx,
      )
      // The last of a page: from here on it is not read again. Those before it, read again, are known.
      if (i + 1 === names.length) await piece.keep({ at: from + rows.items.length } satisfies Reached, tx)
    })
  }
}

/** The address or chat whose history it is. */
async function historyProfile({ models }: Context, id: number | null): Promise<Profile> {
  const profile = id === null ? null : await models.Profile.findByPk(id)
  if (!profile) throw new Refusal('historyProfileMissing')
  return profile
}

async function profileOf(
  { db }: Pick<Context, 'db'>,
  { brandId, kind, name }: ImportTask,
  place: Place | null,
): Promise<IngestProfile> {
  const profile = await profileOfImport(db, {
    brandId,
    placeId: place?.id ?? null,
    channel: kind === 'reviews' ? 'import' : 'news',
    outsideId: `${name}|${place?.name ?? ''}`,
    name: place ? `${name}, ${place.name}` : name,
    hookToken: randomBytes(18).toString('base64url'),
  })
  return profile!
}

const recordedAs = {
  reviews: 'importReviews',
  feed: 'importFeed',
  mail: 'importMail',
  chat: 'importChat',
  customers: 'importCustomers',
  cards: 'importCards',
} as const

/** The file itself is needed no longer. */
async function finish({ db }: Context, { id, brandId, colleagueId, kind, name }: ImportTask): Promise<void> {
  await db.inTransaction(async (tx) => {
    const row = await finishImport(db, id, tx)
    const by = colleagueId === null ? { brandId, actor: 'system' as const } : { brandId, colleagueId }
    await record(
      db,
      by,
      {
        kind: recordedAs[kind],
        on: ['import', id],
        detail: { name, ...row },
      },
      tx,
    )
  })
}
