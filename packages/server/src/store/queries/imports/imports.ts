import type { AskedElsewhere } from '../shared/askedElsewhere.ts'
import type { IngestProfile } from '../intake/ingest.ts'
import type { Database, Tx } from '../../database.ts'
import type {
  StartImportDraft,
  ImportState,
  ImportPreview,
  FeedPreview,
  HistoryPreview,
  RowProblem,
} from '@murrabel/contract'

export interface ImportTask {
  id: number
  brandId: number
  colleagueId: number | null
  kind: ImportState['kind']
  name: string
  createdAt: Date
  settings: { ask: StartImportDraft }
  zone: string
}

const columns = `id, kind, name, state, settings, done, total, added, known, refused, problems, error, changed_at AS at`

export interface ImportRow extends Omit<
  ImportState,
  'at' | 'reviews' | 'customers' | 'feed' | 'history' | 'asked'
> {
  at: Date
  settings: {
    reviews?: ImportPreview | null
    customers?: ImportPreview | null
    feed?: FeedPreview | null
    history?: HistoryPreview | null
    ask?: StartImportDraft
  }
  problems: RowProblem[]
}

export const importTask = (db: Database, id: number): Promise<ImportTask | undefined> =>
  db.one<ImportTask>(
    `SELECT i.id, i.brand_id AS "brandId", i.colleague_id AS "colleagueId", i.kind, i.name,
       i.created_at AS "createdAt", i.settings, b.zone
     FROM imports i
     JOIN brands b ON b.id = i.brand_id
     WHERE i.id = $1 AND i.state = 'running' AND i.document IS NOT NULL`,
    [id],
  )

export const giveUpImport = async (
  db: Database,
  { id, reason }: { id: number; reason: string },
): Promise<void> => {
  await db.rows(
    `UPDATE imports
     SET state = 'draft', error = $2, changed_at = now()
     WHERE id = $1`,
    [id, reason],
  )
}

export const setImportSize = async (
  db: Database,
  {
    id,
    total,
    refused,
    problems,
    done,
  }: { id: number; total: number; refused: number; problems: object; done: number },
): Promise<void> => {
  await db.rows(
    `UPDATE imports
     SET total = $2, refused = $3, problems = $4, done = $5
     WHERE id = $1`,
    [id, total, refused, JSON.stringify(problems), done],
  )
}

export const sendImportBack = async (
  db: Database,
  { id, total, refused, problems }: { id: number; total: number; refused: number; problems: object },
): Promise<void> => {
  await db.rows(
    `UPDATE imports
     SET state = 'draft', total = $2, refused = $3, problems = $4, changed_at = now()
     WHERE id = $1`,
    [id, total, refused, JSON.stringify(problems)],
  )
}

export const addImportCounts = async (
  db: Database,
  {
    id,
    added,
    known,
    refused,
    done,
  }: { id: number; added: number; known: number; refused: number; done: number },
  tx?: Tx,
): Promise<void> => {
  await db.rows(
    `UPDATE imports
     SET added = added + $2, known = known + $3, refused = refused + $4, done = greatest(done, $5),
       changed_at = now()
     WHERE id = $1`,
    [id, added, known, refused, done],
    tx,
  )
}

export const profileOfImport = (
  db: Database,
  {
    brandId,
    placeId,
    channel,
    outsideId,
    name,
    hookToken,
  }: {
    brandId: number
    placeId: number | null
    channel: string
    outsideId: string
    name: string
    hookToken: string
  },
): Promise<IngestProfile | undefined> =>
  db.one<IngestProfile>(
    `INSERT INTO profiles AS p (brand_id, place_id, channel, network, outside_id, name, status,
       hook_token)
     VALUES ($1, $2, $3, 'file', $4, $5, 'connected', $6)
     ON CONFLICT (brand_id, network, outside_id) DO UPDATE SET collected_at = now()
     RETURNING id, brand_id AS "brandId", place_id AS "placeId", channel, network, outside_id AS "outsideId"`,
    [brandId, placeId, channel, outsideId, name, hookToken],
  )

export const finishImport = (
  db: Database,
  id: number,
  tx?: Tx,
): Promise<{ added: number; refused: number } | undefined> =>
  db.one<{ added: number; refused: number }>(
    `UPDATE imports
     SET state = 'done', document = NULL, done = coalesce(total, done), changed_at = now()
     WHERE id = $1
     RETURNING added, refused`,
    [id],
    tx,
  )

export const latestImports = (db: Database, brandId: number): Promise<ImportRow[]> =>
  db.rows<ImportRow>(
    `SELECT ${columns}
     FROM imports
     WHERE brand_id = $1 AND state <> 'draft'
     ORDER BY id DESC
     LIMIT 20`,
    [brandId],
  )

export const importById = (
  db: Database,
  { id, brandId }: { id: number; brandId: number },
): Promise<ImportRow | undefined> =>
  db.one<ImportRow>(
    `SELECT ${columns}
     FROM imports
     WHERE id = $1 AND brand_id = $2`,
    [id, brandId],
  )

export const insertImport = (
  db: Database,
  {
    brandId,
    colleagueId,
    kind,
    name,
    document,
  }: { brandId: number; colleagueId: number; kind: string; name: string; document: string },
): Promise<{ id: number } | undefined> =>
  db.one<{ id: number }>(
    `INSERT INTO imports (brand_id, colleague_id, kind, name, document)
     VALUES ($1, $2, $3, $4, $5)
     RETURNING id`,
    [brandId, colleagueId, kind, name, document],
  )

export const setImportPreview = async (
  db: Database,
  { id, preview }: { id: number; preview: object },
): Promise<void> => {
  await db.rows(
    `UPDATE imports
     SET settings = $2
     WHERE id = $1`,
    [id, JSON.stringify(preview)],
  )
}

export const removeImport = async (db: Database, id: number): Promise<void> => {
  await db.rows(
    `DELETE FROM imports
     WHERE id = $1`,
    [id],
  )
}

interface LockedImport {
  state: string
  kept: boolean
  kind: ImportState['kind']
  reviews: ImportPreview | null
  customers: ImportPreview | null
}

export const lockImport = (
  db: Database,
  { id, brandId }: { id: number; brandId: number },
  tx?: Tx,
): Promise<LockedImport | undefined> =>
  db.one<LockedImport>(
    `SELECT state, document IS NOT NULL AS kept, settings->'reviews' AS reviews, settings->'customers' AS customers, kind
     FROM imports
     WHERE id = $1 AND brand_id = $2
     FOR UPDATE`,
    [id, brandId],
    tx,
  )

export const setImportRunning = async (
  db: Database,
  { id, settings }: { id: number; settings: object },
  tx?: Tx,
): Promise<void> => {
  await db.rows(
    `UPDATE imports
     SET state = 'running', settings = settings || $2::jsonb, problems = '[]', refused = 0,
       error = NULL, changed_at = now()
     WHERE id = $1`,
    [id, JSON.stringify(settings)],
    tx,
  )
}

export const removeDraft = (
  db: Database,
  { id, brandId }: { id: number; brandId: number },
): Promise<{ id: number }[]> =>
  db.rows<{ id: number }>(
    `DELETE FROM imports
     WHERE id = $1 AND brand_id = $2 AND state = 'draft'
     RETURNING id`,
    [id, brandId],
  )

/** The document of an import, for the worker that reads it. */
export const importDocument = (id: number): AskedElsewhere => ({
  sql: 'SELECT kind, document FROM imports WHERE id = $1',
  values: [id],
})
