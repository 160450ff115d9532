import {
  boundProblems,
  groupKinds,
  knownPart,
  watchProblems,
  watchSchema,
  type FieldProblem,
  type GroupKind,
  type WatchDraft,
  type WatchesFile,
  fieldProblem,
} from '@murrabel/contract'
import { cleanLine, isBlank } from '@murrabel/core/text'
import { setImmediate } from 'node:timers/promises'
import stringify from 'safe-stable-stringify'
import { ValidationError } from 'yup'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import type { Tx } from '../../store/database.ts'
import { listGroups } from './groups.ts'
import { createWatches, listWatches } from './watches.ts'
import { groupNamed, insertGroup } from '../../store/queries/watches/groups.ts'

/** All watches of a brand with their folders, by names: to be kept in a file, or taken to another brand. */
export async function exportWatches(context: Pick<Context, 'db'>, reader: Reader): Promise<WatchesFile> {
  const [groups, watches] = await Promise.all([listGroups(context, reader), listWatches(context, reader)])
  const pathOf = (id: number | null): { name: string; kind: GroupKind }[] => {
    const group = groups.find((g) => g.id === id)
    return group ? [...pathOf(group.parentId), { name: group.name, kind: group.kind }] : []
  }
  return {
    format: 'murrabel-watches',
    version: 1,
    watches: watches.map(({ name, query, groupId, paused }) => ({
      name,
      query,
      group: pathOf(groupId),
      paused,
    })),
  }
}

/** Watches of one file. */
const mostWatches = 2000
/** The most problems of a file that are named: more would help nobody. */
const problemsShown = 50

/** Watches read before others have their turn. */
const watchesAtOnce = 20

/** Takes in a file of watches: folders are found by name or made; a watch that is there already is left as it is. */
export async function importWatches(
  context: Context,
  reader: Reader,
  file: unknown,
): Promise<{ added: number; known: number }> {
  const drafts = await readFile(file)
  return context.db.inTransaction(async (tx) => {
    const have = await listWatches(context, reader)
    const key = (name: string, query: object) => `${name.toLowerCase()} ${stringify(query)}`
    const known = new Set(have.map(({ name, query }) => key(name, query)))
    const fresh = drafts.filter(({ draft }) => !known.has(key(draft.name, draft.query)))
    const folders = new Map<string, number>()
    const ready: WatchDraft[] = []
    for (const { draft, group } of fresh)
      ready.push({ ...draft, groupId: await folderOf(context, reader, { group, folders }, tx) })
    if (ready.length) await createWatches(context, reader, ready, tx)
    return { added: ready.length, known: drafts.length - fresh.length }
  })
}

interface FileWatch {
  draft: WatchDraft
  group: { name: string; kind: GroupKind }[]
}

/** Reads a file watch by watch, and lets others have their turn in between. */
async function readFile(file: unknown): Promise<FileWatch[]> {
  const { format, version, watches } = (typeof file === 'object' && file ? file : {}) as Partial<WatchesFile>
  if (format !== 'murrabel-watches' || version !== 1 || !Array.isArray(watches))
    throw new Refusal('watchesUnreadable')
  const problems: FieldProblem[] = []
  if (watches.length > mostWatches)
    throw new Refusal('invalid', {
      fields: [
        fieldProblem('watches', 'manyWatchesInFile', { values: { n: watches.length, most: mostWatches } }),
      ],
    })
  const found: FileWatch[] = []
  for (const [i, each] of watches.entries()) {
    if (i % watchesAtOnce === 0) await setImmediate()
    const one = readWatch(each)
    if ('draft' in one) found.push(one)
    else problems.push(...one.map((problem) => ({ ...problem, field: `watches[${i}].${problem.field}` })))
  }
  if (problems.length) throw new Refusal('invalid', { fields: problems.slice(0, problemsShown) })
  return found
}

/** One watch of a file, or what is wrong with it. */
function readWatch(each: WatchesFile['watches'][number]): FileWatch | FieldProblem[] {
  const kinds = boundProblems(watchSchema, each)
  if (kinds.length) return kinds
  try {
    const draft = watchSchema.validateSync(knownPart(watchSchema, each), { abortEarly: true })
    const wrong = watchProblems(draft.query)
    return wrong.length ? wrong : { draft, group: readPath(each?.group) }
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error
    return [{ field: error.path ?? '', code: 'invalid', message: error.message }]
  }
}

/** Folders from the outermost inwards: at most five, and only those with a name. */
const readPath = (group: unknown): FileWatch['group'] =>
  (Array.isArray(group) ? group : []).slice(0, 5).flatMap((g) => {
    const kind = groupKinds.find((k) => k === g?.kind) ?? 'other'
    return typeof g?.name === 'string' && !isBlank(g.name) ? [{ name: cleanLine(g.name, 80), kind }] : []
  })

/** The folder at the end of a path of names, made where it is missing. */
async function folderOf(
  { db }: Context,
  reader: Reader,
  { group, folders }: { group: FileWatch['group']; folders: Map<string, number> },
  tx: Tx,
): Promise<number | null> {
  let parent: number | null = null
  let path = ''
  for (const { name, kind } of group) {
    path += `/${name.toLowerCase()}`
    const known = folders.get(path)
    if (known !== undefined) {
      parent = known
      continue
    }
    const found: { id: number } | undefined = await groupNamed(
      db,
      { brandId: reader.brandId, parentId: parent ?? 0, name },
      tx,
    )
    const made: { id: number } | undefined =
      found ?? (await insertGroup(db, reader.brandId, { parentId: parent, name, kind }, tx))
    parent = made!.id
    folders.set(path, parent)
  }
  return parent
}
