import type { Database, Tx } from '../../database.ts'
import type { BrandWord, AspectDraft } from '@murrabel/contract'
import type {
  AlikeAspectLearning,
  AnswersLearning,
  AnswersModel,
  Model,
  Learning,
} from '@murrabel/core/learning'
import type { OwnWord } from '@murrabel/core/sentiment'
import type { Term } from '@murrabel/core/watches'

export interface TeachingRow {
  version: number
  edition: number
  done: number
  total: number
  wanted: boolean
  model: Model | null
  figures: (Omit<Learning, 'model'> & { contradicting: number }) | null
  learntAt: Date | null
  answersFigures: Omit<AnswersLearning, 'model'> | null
  aspectsLearnt: AlikeAspectLearning[] | null
}

export const taughtWords = (db: Database, brandId: number): Promise<BrandWord[]> =>
  db.rows<BrandWord>(
    `SELECT term, valence
     FROM brand_words
     WHERE brand_id = $1
     ORDER BY lower(term)`,
    [brandId],
  )

export const taughtAspects = (db: Database, brandId: number): Promise<Required<AspectDraft>[]> =>
  db.rows<Required<AspectDraft>>(
    `SELECT id, name, terms
     FROM aspects
     WHERE brand_id = $1
     ORDER BY id`,
    [brandId],
  )

export const teachingOfBrand = (db: Database, brandId: number): Promise<TeachingRow | undefined> =>
  db.one<TeachingRow>(
    `SELECT version, edition, history_done AS done, history_total AS total, wanted, model, figures,
       learnt_at AS "learntAt", answers_figures AS "answersFigures", aspects_learnt AS "aspectsLearnt"
     FROM teaching
     WHERE brand_id = $1`,
    [brandId],
  )

export const countCorrected = (db: Database, brandId: number): Promise<{ n: number } | undefined> =>
  db.one<{ n: number }>(
    `SELECT count(DISTINCT c.entry_id) AS n
     FROM corrections c
     JOIN entries e ON e.id = c.entry_id
     WHERE e.brand_id = $1`,
    [brandId],
  )

/** The edition that there was. */
export const nextEdition = (
  db: Database,
  brandId: number,
  tx?: Tx,
): Promise<{ edition: number } | undefined> =>
  db.one<{ edition: number }>(
    `UPDATE teaching
     SET edition = edition + 1
     WHERE brand_id = $1
     RETURNING edition - 1 AS edition`,
    [brandId],
    tx,
  )

export const removeWords = async (db: Database, brandId: number, tx?: Tx): Promise<void> => {
  await db.rows(
    `DELETE FROM brand_words
     WHERE brand_id = $1`,
    [brandId],
    tx,
  )
}

export const addWords = async (
  db: Database,
  {
    brandId,
    colleagueId,
    terms,
    valences,
  }: { brandId: number; colleagueId: number; terms: readonly string[]; valences: readonly number[] },
  tx?: Tx,
): Promise<void> => {
  await db.rows(
    `INSERT INTO brand_words (brand_id, term, valence, colleague_id)
     SELECT $1::int, n.term, n.valence, $2::int
     FROM unnest($3::text[], $4::real[]) AS n (term, valence)`,
    [brandId, colleagueId, terms, valences],
    tx,
  )
}

export const removeAspectsBut = async (
  db: Database,
  { brandId, kept }: { brandId: number; kept: readonly number[] },
  tx?: Tx,
): Promise<void> => {
  await db.rows(
    `DELETE FROM aspects
     WHERE brand_id = $1 AND NOT id = ANY($2::int[])`,
    [brandId, kept],
    tx,
  )
}

/** Two that swap their names would meet on the way. */
export const freeAspectNames = async (db: Database, brandId: number, tx?: Tx): Promise<void> => {
  await db.rows(
    `UPDATE aspects
     SET name = '#' || id
     WHERE brand_id = $1`,
    [brandId],
    tx,
  )
}

export const setLearningWanted = async (
  db: Database,
  { brandId, wanted }: { brandId: number; wanted: boolean },
  tx?: Tx,
): Promise<void> => {
  await db.rows(
    `UPDATE teaching
     SET wanted = $2
     WHERE brand_id = $1`,
    [brandId, wanted],
    tx,
  )
}

/** The whole history is to be read again. */
export const nextTeachingVersion = async (db: Database, brandId: number, tx?: Tx): Promise<void> => {
  await db.rows(
    `UPDATE teaching
     SET version = version + 1, history_done = 0, history_total = (
       SELECT count(*)
       FROM entries
       WHERE brand_id = $1 AND direction = 'in'
     )
     WHERE brand_id = $1`,
    [brandId],
    tx,
  )
}

export const teachingVersion = (
  db: Database,
  brandId: number,
  tx?: Tx,
): Promise<{ version: number } | undefined> =>
  db.one<{ version: number }>(
    `SELECT version
     FROM teaching
     WHERE brand_id = $1`,
    [brandId],
    tx,
  )

export const ownWords = (db: Database, brandId: number, tx?: Tx): Promise<OwnWord[]> =>
  db.rows<OwnWord>(
    `SELECT term, valence
     FROM brand_words
     WHERE brand_id = $1
     ORDER BY id`,
    [brandId],
    tx,
  )

export const aspectTerms = (
  db: Database,
  brandId: number,
  tx?: Tx,
): Promise<{ id: number; terms: Term[] }[]> =>
  db.rows<{ id: number; terms: Term[] }>(
    `SELECT id, terms
     FROM aspects
     WHERE brand_id = $1
     ORDER BY id`,
    [brandId],
    tx,
  )

export interface LearntModels {
  model: Model | null
  answers: AnswersModel | null
  aspects: AlikeAspectLearning[] | null
}

export const learntModels = (db: Database, brandId: number, tx?: Tx): Promise<LearntModels | undefined> =>
  db.one<LearntModels>(
    `SELECT CASE WHEN (figures->>'better')::boolean THEN model END AS model,
       CASE WHEN (answers_figures->>'better')::boolean THEN answers_model END AS answers,
       aspects_learnt AS aspects
     FROM teaching
     WHERE brand_id = $1 AND wanted`,
    [brandId],
    tx,
  )

/** One with a number is changed, one without is new. */
export const putAspect = async (
  db: Database,
  brandId: number,
  { id, name, terms }: AspectDraft,
  tx?: Tx,
): Promise<void> => {
  const values = [brandId, name, JSON.stringify(terms)]
  if (id)
    await db.rows(
      'UPDATE aspects SET name = $2, terms = $3 WHERE brand_id = $1 AND id = $4',
      [...values, id],
      tx,
    )
  else await db.rows('INSERT INTO aspects (brand_id, name, terms) VALUES ($1, $2, $3)', values, tx)
}
