import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import { visibleThreads } from '../../store/queries/inbox/visibleThreads.ts'

/** Tells whoever waits for an answer in a thread that it is being written. @throws Refusal notFound */
export async function tellWriting({ db, live }: Context, reader: Reader, threadId: number): Promise<void> {
  const seen = await visibleThreads(db, reader, [threadId])
  if (!seen.length) throw new Refusal('notFound')
  await live.tell(reader.brandId, { kind: 'writing', threads: [threadId] })
}
