import {
  checkPattern,
  filledAtMost,
  patternKey,
  readPattern,
  renamedIn,
  slotNames,
  textIn,
  type PatternProblem,
} from '@murrabel/core/replies'
import {
  fieldProblem,
  limits,
  type FieldProblem,
  type PatternAnswer,
  type PatternDraft,
} from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import type { Tx } from '../../store/database.ts'
import { lockBrand } from '../../store/queries/brand/lockBrand.ts'
import * as stored from '../../store/queries/replies/patterns.ts'
import { checkEdition } from '../../store/queries/shared/edition.ts'
import { record } from '../log/index.ts'

type Writing = Pick<Context, 'db' | 'live' | 'now'>
type Texts = Awaited<ReturnType<typeof stored.patternTexts>>

export const listPatterns = (
  { db, now }: Pick<Context, 'db' | 'now'>,
  reader: Reader,
): Promise<PatternAnswer[]> => stored.patternsOf(db, reader, { now: new Date(now()) })

const finder = (all: Texts, language: string) => (name: string) => {
  const found = all.find((each) => patternKey(each.name) === patternKey(name))
  return found && textIn(found.texts, language)?.text
}

/** What is wrong, for whoever writes it. */
function told(problem: PatternProblem, { text, field }: { text: string; field: string }): FieldProblem {
  const words = text.slice(problem.start, problem.end)
  switch (problem.kind) {
    case 'unclosed':
      return fieldProblem(field, 'patternUnclosed', { values: { open: words.slice(0, 20) } })
    case 'unknownSlot':
      return fieldProblem(field, 'patternSlot', {
        values: { slot: problem.words, slots: slotNames.join(', ') },
      })
    case 'noFallback':
      return fieldProblem(field, 'patternFallback', { values: { example: `{${problem.slot}|…}` } })
    case 'unknownPattern':
      return fieldProblem(field, 'patternUnknown', { values: { name: problem.words } })
    case 'loop':
      return fieldProblem(field, 'patternLoop', { values: { names: problem.names.join(' → ') } })
    case 'tooLong':
      return fieldProblem(field, 'patternLong', { values: { n: problem.length, most: filledAtMost } })
  }
}

/** @throws Refusal invalid, with every place that is wrong */
function checkTexts({ name, texts }: PatternDraft, others: Texts): void {
  const fields = texts.flatMap(({ language, text }, nth) =>
    checkPattern({ name, text }, finder([...others, { id: 0, name, texts }], language)).map((problem) =>
      told(problem, { text, field: `texts[${nth}].text` }),
    ),
  )
  if (fields.length) throw new Refusal('invalid', { fields })
}

async function answer({ db, now }: Writing, reader: Reader, id: number, tx: Tx): Promise<PatternAnswer> {
  const [row] = await stored.patternsOf(db, reader, { ids: [id], now: new Date(now()) }, tx)
  if (!row) throw new Refusal('notFound')
  return row
}

/** @throws Refusal invalid, patternName, manyPatterns */
export function keepPattern(parts: Writing, reader: Reader, draft: PatternDraft): Promise<PatternAnswer> {
  const { db, live } = parts
  const { brandId, colleagueId } = reader
  const { name, folder = '', texts } = draft
  return db.inTransaction(async (tx) => {
    // Two patterns that take each other in may be written at the same moment.
    await lockBrand(db, brandId, tx)
    const others = await stored.patternTexts(db, brandId, tx)
    if (others.length >= limits.patterns) throw new Refusal('manyPatterns')
    checkTexts(draft, others)
    const made = await stored.insertPattern(
      db,
      { brandId, name, nameKey: patternKey(name), folder, madeBy: colleagueId },
      tx,
    )
    if (!made) throw new Refusal('patternName')
    await stored.setPatternTexts(db, made.id, texts, tx)
    await record(
      db,
      reader,
      { kind: 'keepPattern', on: ['brand', brandId], detail: { pattern: made.id, name } },
      tx,
    )
    await live.tell(brandId, { kind: 'patterns' }, tx)
    return answer(parts, reader, made.id, tx)
  })
}

/** Those that take it in go on doing so under its new name. @throws Refusal notFound, changedMeanwhile, invalid, patternName */
export function changePattern(
  parts: Writing,
  reader: Reader,
  id: number,
  draft: PatternDraft,
): Promise<PatternAnswer> {
  const { db, live } = parts
  const { brandId, colleagueId } = reader
  const { name, folder = '', texts } = draft
  return db.inTransaction(async (tx) => {
    await lockBrand(db, brandId, tx)
    await checkEdition({ db }, 'patterns', { id, brandId }, draft.edition, tx)
    const all = await stored.patternTexts(db, brandId, tx)
    const before = all.find((each) => each.id === id)!
    const others = all
      .filter((each) => each.id !== id)
      .map((each) => ({
        ...each,
        texts: each.texts.map(({ language, text }) => ({
          language,
          text: renamedIn(text, before.name, name),
        })),
      }))
    if (others.some((each) => patternKey(each.name) === patternKey(name))) throw new Refusal('patternName')
    checkTexts(draft, others)
    await stored.updatePattern(db, id, { name, nameKey: patternKey(name), folder, madeBy: colleagueId }, tx)
    await stored.setPatternTexts(db, id, texts, tx)
    for (const other of others)
      for (const { language, text } of other.texts)
        if (!all.some((each) => each.id === other.id && each.texts.some((old) => old.text === text)))
          await stored.setPatternText(db, { id: other.id, language, text }, tx)
    await record(
      db,
      reader,
      { kind: 'changePattern', on: ['brand', brandId], detail: { pattern: id, name } },
      tx,
    )
    await live.tell(brandId, { kind: 'patterns' }, tx)
    return answer(parts, reader, id, tx)
  })
}

/** @throws Refusal notFound, patternTaken */
export function removePattern({ db, live }: Writing, reader: Reader, id: number): Promise<undefined> {
  const { brandId } = reader
  return db.inTransaction(async (tx) => {
    await lockBrand(db, brandId, tx)
    const all = await stored.patternTexts(db, brandId, tx)
    const one = all.find((each) => each.id === id)
    if (!one) throw new Refusal('notFound')
    const taking = all.filter(
      (each) => each.id !== id && each.texts.some(({ text }) => takes(text, one.name)),
    )
    if (taking.length)
      throw new Refusal('patternTaken', {
        fields: [
          fieldProblem('name', 'patternTakenBy', {
            values: { names: taking.map(({ name }) => name).join(', ') },
          }),
        ],
      })
    await stored.deletePattern(db, id, tx)
    await record(
      db,
      reader,
      { kind: 'removePattern', on: ['brand', brandId], detail: { pattern: id, name: one.name } },
      tx,
    )
    await live.tell(brandId, { kind: 'patterns' }, tx)
    return undefined
  })
}

const takes = (text: string, name: string): boolean =>
  readPattern(text).parts.some(
    (part) => part.kind === 'pattern' && patternKey(part.name) === patternKey(name),
  )
