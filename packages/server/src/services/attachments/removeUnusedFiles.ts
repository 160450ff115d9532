import type { Context } from '../../context.ts'
import { keysInUse } from '../../store/queries/attachments/attachments.ts'

/** A file is put down before anything names it: what is younger than this may still come to be named. */
const graceMs = 2 * 86_400_000
const step = 500

/** Removes files from the store that nothing names any more. Answers how many. */
export async function removeUnusedFiles(
  { db, files, now }: Pick<Context, 'db' | 'files' | 'now'>,
  signal?: AbortSignal,
): Promise<number> {
  let removed = 0
  let batch: string[] = []
  const look = async () => {
    const used = new Set((await keysInUse(db, batch)).map(({ key }) => key))
    for (const key of batch) if (!used.has(key)) await files.remove(key).then(() => removed++)
    batch = []
  }
  for await (const key of files.olderThan(now() - graceMs)) {
    signal?.throwIfAborted()
    batch.push(key)
    if (batch.length === step) await look()
  }
  if (batch.length) await look()
  return removed
}
