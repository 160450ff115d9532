import { cleanLine, cleanText } from '@murrabel/core/text'
import { type ImportPreview, type ImportState, type StartImportDraft, fieldProblem } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { brandOwner } from '../../jobs/due/dueWork.ts'
import { Refusal } from '../../problem.ts'
import {
  type ImportRow,
  latestImports,
  importById,
  insertImport,
  setImportPreview,
  removeImport,
  lockImport,
  setImportRunning,
  removeDraft,
} from '../../store/queries/imports/imports.ts'
import { readersProfile } from '../connections/index.ts'
import { record } from '../log/index.ts'
import { wrongPart } from '../lens/index.ts'

const answerOf = ({ settings, at, ...row }: ImportRow): ImportState => ({
  ...row,
  at: at.toISOString(),
  // A file that is in is told by its result.
  reviews: row.state === 'draft' ? (settings.reviews ?? null) : null,
  customers: row.state === 'draft' ? (settings.customers ?? null) : null,
  feed: row.state === 'draft' ? (settings.feed ?? null) : null,
  history: row.state === 'draft' ? (settings.history ?? null) : null,
  asked: settings.ask ?? null,
})

/** Files brought in lately, the newest first. */
export async function listImports({ db }: Pick<Context, 'db'>, reader: Reader): Promise<ImportState[]> {
  const rows = await latestImports(db, reader.brandId)
  return rows.map(answerOf)
}

/** @throws Refusal notFound */
export async function importState(
  { db }: Pick<Context, 'db'>,
  reader: Reader,
  id: number,
): Promise<ImportState> {
  const row = await importById(db, { id, brandId: reader.brandId })
  if (!row) throw new Refusal('notFound')
  return answerOf(row)
}

const importKinds = ['reviews', 'feed', 'mail', 'chat', 'customers', 'cards'] as const
const isImportKind = (kind: unknown): kind is ImportState['kind'] => importKinds.some((each) => each === kind)

/** Characters of a file; a text in the database takes a gigabyte, a person's patience less. */
const longestDocument = 60_000_000

/** Keeps a file and reads what it holds; nothing is brought in yet. A file that cannot be read is not kept. */
export async function draftImport(
  context: Context,
  reader: Reader,
  query: Record<string, unknown>,
  document: string,
): Promise<ImportState> {
  const { db, fileWorker } = context
  const kind = query.kind
  if (!isImportKind(kind))
    throw wrongPart('kind', 'Say whether it holds reviews, a feed, mails, conversations, customers or cards.')
  const name = typeof query.name === 'string' ? cleanLine(query.name, 80) : ''
  if (!name) throw wrongPart('name', 'Give the import a name.')
  const text = cleanText(document, longestDocument)
  if (!text.trim())
    throw new Refusal('invalid', {
      fields: [fieldProblem('document', 'emptyFile')],
    })
  const row = await insertImport(db, {
    brandId: reader.brandId,
    colleagueId: reader.colleagueId,
    kind,
    name,
    document: text,
  })
  try {
    const preview = await fileWorker.ask({ kind: 'preview', importId: row!.id })
    await setImportPreview(db, { id: row!.id, preview })
  } catch (error) {
    await removeImport(db, row!.id)
    throw error
  }
  return importState(context, reader, row!.id)
}

/** Begins to bring a file in, in the background. */
export async function startImport(
  context: Context,
  reader: Reader,
  id: number,
  draft: StartImportDraft,
): Promise<ImportState> {
  const { db, due, live } = context
  await db.inTransaction(async (tx) => {
    const row = await lockImport(db, { id, brandId: reader.brandId }, tx)
    if (!row) throw new Refusal('notFound')
    if (row.state !== 'draft' || !row.kept) throw new Refusal('importRunning')
    if (row.reviews) checkColumns(row.reviews, 'mapping', draft.mapping)
    if (row.customers) checkColumns(row.customers, 'customers', draft.customers)
    const of = historyOf(row.kind)
    if (of) await checkHistoryProfile(context, reader, draft, of)
    await setImportRunning(db, { id, settings: { ask: draft } }, tx)
    await due.drop('import', [id], tx)
    await due.ask({ kind: 'import', subject: id, owner: brandOwner(reader.brandId) }, tx)
    await record(db, reader, { kind: 'startImport', on: ['import', id] }, tx)
    await live.tell(reader.brandId, { kind: 'profiles' }, tx)
  })
  return importState(context, reader, id)
}

/** The channel whose profile a file of this kind is the history of. */
export const historyOf = (kind: ImportState['kind']): 'email' | 'chat' | null =>
  kind === 'mail' ? 'email' : kind === 'chat' ? 'chat' : null

async function checkHistoryProfile(
  context: Context,
  reader: Reader,
  { profileId }: StartImportDraft,
  channel: string,
): Promise<void> {
  const profile = profileId === null ? null : await readersProfile(context, reader, profileId)
  if (profile?.channel !== channel) throw new Refusal('historyProfileMissing')
}

function checkColumns(
  { columns: known }: ImportPreview,
  of: string,
  mapping: Readonly<Record<string, string | null>>,
): void {
  const fields = Object.entries(mapping)
    .filter(([, name]) => name !== null && !known.some((column) => column.name === name))
    .map(([field, name]) => fieldProblem(`${of}.${field}`, 'noColumn', { values: { name: name ?? '' } }))
  if (fields.length) throw new Refusal('invalid', { fields })
}

/** Throws a draft away. */
export async function dropImport({ db }: Pick<Context, 'db'>, reader: Reader, id: number): Promise<void> {
  const rows = await removeDraft(db, { id, brandId: reader.brandId })
  if (rows.length) return
  await importState({ db }, reader, id)
  throw new Refusal('importRunning')
}
