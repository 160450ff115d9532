import { randomBytes } from 'node:crypto'
import type { StartImportDraft } from '@murrabel/contract'
import type { Context } from '../../context.ts'
import { errorText, type WorkOutcome } from '../../jobs/due/next.ts'
import type { Piece } from '../../jobs/due/runner.ts'
import { workRules } from '../../jobs/due/kinds.ts'
import { Refusal } from '../../problem.ts'
import type { RowsPage, RowsQuestion } from '../../workers/fileMessages.ts'
import { ingest } from '../intake/ingest.ts'
import type { IngestProfile } from '../intake/ingestProfile.ts'
import { record } from '../log/record.ts'

/** Rows stored in one transaction. */
const batch = 500

interface ImportTask {
  id: number
  brandId: number
  colleagueId: number | null
  kind: 'reviews' | 'feed'
  name: string
  createdAt: Date
  settings: { ask: StartImportDraft }
  zone: string
}

interface Place {
  id: number
  name: string
}

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
  const task = await db.one<ImportTask>(
    `SELECT i.id, i.brand_id AS "brandId", i.colleague_id AS "colleagueId", i.kind, i.name, i.created_at AS "createdAt", i.settings, b.zone
     FROM imports i JOIN brands b ON b.id = i.brand_id WHERE i.id = $1 AND i.state = 'running' AND i.document IS NOT NULL`,
    [piece.id],
  )
  if (!task) return 'done'
  try {
    await bringIn(context, piece, task)
  } catch (error) {
    const final = error instanceof Refusal || piece.attempts >= workRules.import.tries
    if (!final) throw error
    const fields = error instanceof Refusal ? (error.more.fields ?? []) : []
    const reason = fields.map(({ message }) => message).join(' ') || errorText(error)
    // The file stays: it can be tried with other columns.
    await db.rows(`UPDATE imports SET state = 'draft', error = $2, changed_at = now() WHERE id = $1`, [
      task.id,
      reason,
    ])
  }
  await live.tell(task.brandId, { kind: 'profiles' })
  return 'done'
}

async function bringIn(context: Context, piece: Piece, task: ImportTask): Promise<void> {
  const { db, live } = context
  const places = await db.rows<Place>('SELECT id, name FROM places WHERE brand_id = $1', [task.brandId])
  const asked = questionOf(task, places)
  const page = (from: number) =>
    context.fileWorker.ask({ kind: 'rows', importId: task.id, from, count: batch, ...asked })
  let from = (piece.progress as Reached | null)?.at ?? 0
  let rows: RowsPage = await page(from)
  if (rows.refused && !task.settings.ask.anyway) return sendBack(context, task, rows)
  await db.rows('UPDATE imports SET total = $2, refused = $3, problems = $4, done = $5 WHERE id = $1', [
    task.id,
    rows.total,
    rows.refused,
    JSON.stringify(rows.problems),
    from,
  ])
  while (rows.items.length) {
    piece.signal.throwIfAborted()
    await storeRows(context, piece, task, { places, rows, from })
    from += rows.items.length
    await live.tell(task.brandId, { kind: 'profiles' })
    rows = await page(from)
  }
  await finish(context, task)
}

function questionOf(
  { kind, name, createdAt, settings, zone }: ImportTask,
  places: readonly Place[],
): RowsQuestion {
  const now = createdAt.getTime()
  if (kind === 'feed') return { of: 'feed', name, now }
  const { mapping, dateOrder } = settings.ask
  return { of: 'reviews', question: { mapping, dateOrder, zone, now, places: places.map((p) => p.name) } }
}

/** Nothing was taken: the draft says which rows stand in the way. */
async function sendBack(
  { db }: Context,
  { id }: ImportTask,
  { total, refused, problems }: RowsPage,
): Promise<void> {
  await db.rows(
    `UPDATE imports SET state = 'draft', total = $2, refused = $3, problems = $4, changed_at = now() WHERE id = $1`,
    [id, total, refused, JSON.stringify(problems)],
  )
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
    const profile = await profileOf(context, task, places.find((p) => p.name === name) ?? null)
    await ingest(context, profile, items, async (tx, { added, apart }) => {
      await db.rows(
        `UPDATE imports SET added = added + $2, known = known + $3, refused = refused + $4, done = greatest(done, $5), changed_at = now() WHERE id = $1`,
        [
          task.id,
          added,
          items.length - added - apart,
          apart,
          from + (i + 1 === names.length ? rows.items.length : 0),
        ],
        tx,
      )
      // The last of a page: from here on it is not read again. Those before it, read again, are known.
      if (i + 1 === names.length) await piece.keep({ at: from + rows.items.length } satisfies Reached, tx)
    })
  }
}

async function profileOf(
  { db }: Pick<Context, 'db'>,
  { brandId, kind, name }: ImportTask,
  place: Place | null,
): Promise<IngestProfile> {
  const profile = await db.one<IngestProfile>(
    `INSERT INTO profiles AS p (brand_id, place_id, channel, network, outside_id, name, status, hook_token) VALUES ($1, $2, $3, 'file', $4, $5, 'connected', $6)
     ON CONFLICT (brand_id, network, outside_id) DO UPDATE SET collected_at = now()
     RETURNING id, brand_id AS "brandId", place_id AS "placeId", channel, network`,
    [
      brandId,
      place?.id ?? null,
      kind === 'reviews' ? 'import' : 'news',
      `${name}|${place?.name ?? ''}`,
      place ? `${name}, ${place.name}` : name,
      randomBytes(18).toString('base64url'),
    ],
  )
  return profile!
}

/** The file itself is needed no longer. */
async function finish({ db }: Context, { id, brandId, colleagueId, kind, name }: ImportTask): Promise<void> {
  await db.inTransaction(async (tx) => {
    const row = await db.one<{ added: number; refused: number }>(
      `UPDATE imports SET state = 'done', document = NULL, done = coalesce(total, done), changed_at = now() WHERE id = $1 RETURNING added, refused`,
      [id],
      tx,
    )
    const by = colleagueId === null ? { brandId, actor: 'system' as const } : { brandId, colleagueId }
    await record(
      db,
      by,
      {
        kind: kind === 'reviews' ? 'importReviews' : 'importFeed',
        on: ['import', id],
        detail: { name, ...row },
      },
      tx,
    )
  })
}
