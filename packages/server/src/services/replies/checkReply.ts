import { checkReply, type ReplyDoubt } from '@murrabel/core/replies'
import type { ReplyCheckDraft } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import { visibleThreads } from '../../store/queries/inbox/visibleThreads.ts'
import { replySetting } from '../../store/queries/replies/replySetting.ts'

/** What the writer of an answer may want to look at before it goes out. @throws Refusal notFound */
export async function checkAnswer(
  { db, readingWorker }: Pick<Context, 'db' | 'readingWorker'>,
  reader: Reader,
  thread: number,
  { text, public: isPublic }: ReplyCheckDraft,
): Promise<ReplyDoubt[]> {
  if (!(await visibleThreads(db, reader, [thread])).length) throw new Refusal('notFound')
  const [setting, [language]] = await Promise.all([
    replySetting(db, { brandId: reader.brandId, thread }),
    // Without its language an answer is still checked for everything else.
    readingWorker.languages([text]).catch(() => ['und']),
  ])
  return checkReply({ text, public: isPublic, language: language ?? 'und' }, setting)
}
