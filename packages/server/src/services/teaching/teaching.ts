import {
  answerLessonsNeeded,
  confirmedNeeded,
  lessonsNeeded,
  type AlikeAspectLearning,
  type Model,
} from '@murrabel/core/learning'
import { hasContentWord } from '@murrabel/core/phrases'
import { detectLanguage, loadLanguages } from '@murrabel/core/text'
import {
  type AspectDraft,
  type BrandWord,
  type ReadingAnswer,
  type TeachingAnswer,
  fieldProblem,
  type LogKind,
} from '@murrabel/contract'
import { checkQuery } from '@murrabel/core/watches'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import type { Tx } from '../../store/database.ts'
import {
  taughtWords,
  taughtAspects,
  type TeachingRow,
  teachingOfBrand,
  countCorrected,
  nextEdition,
  removeWords,
  addWords,
  removeAspectsBut,
  freeAspectNames,
  putAspect,
  setLearningWanted,
} from '../../store/queries/teaching/taught.ts'
import { loadTeaching, readEntryMeaning, newTeachingVersion } from '../analysis/index.ts'
import { record } from '../log/index.ts'
import { askToLearn, learnAfterMs } from './learning.ts'

const strongestShown = 12

export async function teachingAnswer({ db }: Pick<Context, 'db'>, reader: Reader): Promise<TeachingAnswer> {
  const [words, aspects, row, corrections] = await Promise.all([
    taughtWords(db, reader.brandId),
    taughtAspects(db, reader.brandId),
    teachingOfBrand(db, reader.brandId),
    countCorrected(db, reader.brandId),
  ])
  return {
    edition: row?.edition ?? 1,
    words,
    aspects,
    learning: learningOf(row, corrections?.n ?? 0),
    answers: answersOf(row),
    alikeAspects: (row?.aspectsLearnt ?? []).map(alikeOf),
    history: { done: row?.done ?? 0, total: row?.total ?? 0 },
  }
}

const tellingShown = 5

const alikeOf = ({ aspect, n, found, right, model }: AlikeAspectLearning) => ({
  aspect,
  used: model !== null,
  n,
  found,
  right,
  words: Object.entries(model?.weights ?? {})
    .sort((a, b) => b[1] - a[1])
    .slice(0, tellingShown)
    .map(([word]) => word),
})

function answersOf(row: TeachingRow | undefined): TeachingAnswer['answers'] {
  const none = { n: 0, learnt: 0, base: 0 }
  const { n, answered, byThread, byTime, better } = row?.answersFigures ?? {
    n: 0,
    answered: 0,
    byThread: none,
    byTime: none,
    better: false,
  }
  return {
    used: better && (row?.wanted ?? true),
    n,
    answered,
    needed: answerLessonsNeeded,
    byThread,
    byTime,
    better,
  }
}

const nothingLearnt = {
  n: 0,
  tested: 0,
  confirmed: 0,
  learnt: 0,
  base: 0,
  gained: 0,
  lost: 0,
  better: false,
  contradicting: 0,
}

function learningOf(row: TeachingRow | undefined, corrections: number): TeachingAnswer['learning'] {
  const wanted = row?.wanted ?? true
  // What was measured in another way before says nothing of this one.
  const known = row?.figures && 'tested' in row.figures ? row.figures : nothingLearnt
  const { n, tested, confirmed, learnt, base, gained, lost, better, contradicting } = known
  return {
    wanted,
    used: better && wanted,
    n,
    corrections,
    tested,
    confirmed,
    confirmedNeeded,
    learnt,
    base,
    gained,
    lost,
    better,
    contradicting,
    needed: lessonsNeeded,
    learntAt: row?.learntAt?.toISOString() ?? null,
    strongest: strongestOf(row?.model ?? null),
  }
}

function strongestOf(model: Model | null): TeachingAnswer['learning']['strongest'] {
  const labels = ['negative', 'neutral', 'positive'] as const
  return Object.entries(model?.weights ?? {})
    .filter(([word]) => hasContentWord(word.split(' ')))
    .map(([word, weights]) => {
      const most = Math.max(...weights)
      return { word, toward: labels[weights.indexOf(most)]!, most }
    })
    .sort((a, b) => b.most - a.most || a.word.localeCompare(b.word))
    .slice(0, strongestShown)
    .map(({ word, toward }) => ({ word, toward }))
}

/** A change of what is taught: a new version, with which the whole history is read again in the background. */
async function changeTeaching(
  context: Context,
  reader: Reader,
  what: LogKind,
  change: (tx: Tx) => Promise<void>,
  seen?: number,
): Promise<TeachingAnswer> {
  const { db, live } = context
  await db.inTransaction(async (tx) => {
    const row = await nextEdition(db, reader.brandId, tx)
    // Whole lists are put in the place of those there are: what a colleague added meanwhile must not go with them.
    if (seen !== undefined && row?.edition !== seen) throw new Refusal('changedMeanwhile')
    await change(tx)
    await newTeachingVersion(context, reader.brandId, tx)
    await askToLearn(context, reader.brandId, learnAfterMs, tx)
    await record(db, reader, { kind: what, on: ['brand', reader.brandId] }, tx)
    await live.tell(reader.brandId, { kind: 'teaching' }, tx)
  })
  return teachingAnswer(context, reader)
}

/** Puts a whole list in the place of the brand's own words. */
export const saveWords = (
  context: Context,
  reader: Reader,
  words: readonly BrandWord[],
  edition?: number,
): Promise<TeachingAnswer> =>
  changeTeaching(
    context,
    reader,
    'saveWords',
    async (tx) => {
      const { db } = context
      await removeWords(db, reader.brandId, tx)
      await addWords(
        db,
        {
          brandId: reader.brandId,
          colleagueId: reader.colleagueId,
          terms: words.map((w) => w.term.trim()),
          valences: words.map((w) => w.valence),
        },
        tx,
      )
    },
    edition,
  )

/** Puts a whole list in the place of the aspects; those that keep their number keep their readings until they are read again. */
export const saveAspects = (
  context: Context,
  reader: Reader,
  aspects: readonly AspectDraft[],
  edition?: number,
): Promise<TeachingAnswer> => {
  checkAspects(aspects)
  return changeTeaching(
    context,
    reader,
    'saveAspects',
    async (tx) => {
      const { db } = context
      const kept = aspects.flatMap(({ id }) => id ?? [])
      await removeAspectsBut(db, { brandId: reader.brandId, kept }, tx)
      // Two that swap their names would meet on the way.
      await freeAspectNames(db, reader.brandId, tx)
      for (const aspect of aspects) await putAspect(db, reader.brandId, aspect, tx)
    },
    edition,
  )
}

function checkAspects(aspects: readonly AspectDraft[]): void {
  const seen = new Set<string>()
  const fields = aspects.flatMap(({ name, terms }, i) => {
    const twin = seen.has(name.toLowerCase())
    seen.add(name.toLowerCase())
    const wrong = checkQuery({ anyOf: terms }).map((p) =>
      fieldProblem(`aspects[${i}].terms`, 'aspectTerm', {
        values: { term: p.value ?? '', name },
        value: p.value,
      }),
    )
    return [
      ...(twin ? [fieldProblem(`aspects[${i}].name`, 'aspectTwice', { values: { name } })] : []),
      ...wrong,
    ]
  })
  if (fields.length) throw new Refusal('invalid', { fields })
}

export const wantLearning = (context: Context, reader: Reader, wanted: boolean): Promise<TeachingAnswer> =>
  changeTeaching(context, reader, wanted ? 'useLearning' : 'stopLearning', async (tx) => {
    await setLearningWanted(context.db, { brandId: reader.brandId, wanted }, tx)
  })

/** Tries a sentence on what is taught, or on a list of words that is not saved yet. */
export async function tryReading(
  { db }: Pick<Context, 'db'>,
  reader: Reader,
  { text, words }: { text: string; words?: readonly BrandWord[] },
): Promise<ReadingAnswer> {
  await loadLanguages()
  const teaching = await loadTeaching(db, reader.brandId, 0)
  const language = detectLanguage(text)
  const { reading, wish, wantsAnswer } = readEntryMeaning(
    { direction: 'in', kind: 'comment', title: null, text, rating: null },
    language,
    {
      ...teaching,
      ownWords: words ? [...words] : teaching.ownWords,
    },
  )
  const { sentiment, confidence, score, spans } = reading
  return { sentiment, language, score, confidence, spans, wish, wantsAnswer }
}
