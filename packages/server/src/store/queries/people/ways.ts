import type { PersonWay, WayKind } from '@murrabel/contract'
import type { Database, Tx } from '../../database.ts'

export const waysOfPerson = (db: Database, id: number): Promise<PersonWay[]> =>
  db.rows<PersonWay>(
    `SELECT DISTINCT ON (w.kind, w.value) w.id, w.kind, w.value, w.consent, w.consent_at AS "consentAt", w.consent_how AS "consentHow"
     FROM people p JOIN person_ways w ON w.person_id = p.id
     WHERE p.shown_as = $1
     -- Of one address of several, what was said last counts.
     ORDER BY w.kind, w.value, w.consent_at DESC NULLS LAST, w.id`,
    [id],
  )

export const insertWay = (
  db: Database,
  {
    brandId,
    personId,
    kind,
    value,
    consent,
    consentAt,
    consentHow,
  }: {
    brandId: number
    personId: number
    kind: WayKind
    value: string
    consent: boolean | null
    consentAt: Date | null
    consentHow: string
  },
  tx: Tx,
): Promise<PersonWay | undefined> =>
  db.one<PersonWay>(
    `INSERT INTO person_ways (brand_id, person_id, kind, value, consent, consent_at, consent_how)
     VALUES ($1, $2, $3, $4, $5, $6, $7) ON CONFLICT (person_id, kind, value) DO NOTHING
     RETURNING id, kind, value, consent, consent_at AS "consentAt", consent_how AS "consentHow"`,
    [brandId, personId, kind, value, consent, consentAt, consentHow],
    tx,
  )

/** A way of somebody, or of one who is joined with them. */
export const wayOf = (
  db: Database,
  { id, person }: { id: number; person: number },
  tx?: Tx,
): Promise<(PersonWay & { personId: number }) | undefined> =>
  db.one<PersonWay & { personId: number }>(
    `SELECT w.id, w.kind, w.value, w.consent, w.consent_at AS "consentAt", w.consent_how AS "consentHow", w.person_id AS "personId"
     FROM person_ways w JOIN people p ON p.id = w.person_id WHERE w.id = $1 AND p.shown_as = $2`,
    [id, person],
    tx,
  )

export const setWay = async (
  db: Database,
  {
    id,
    value,
    consent,
    consentAt,
    consentHow,
  }: { id: number; value: string; consent: boolean | null; consentAt: Date | null; consentHow: string },
  tx: Tx,
): Promise<void> => {
  await db.rows(
    'UPDATE person_ways SET value = $2, consent = $3, consent_at = $4, consent_how = $5 WHERE id = $1',
    [id, value, consent, consentAt, consentHow],
    tx,
  )
}

export const deleteWay = async (db: Database, id: number, tx: Tx): Promise<void> => {
  await db.rows('DELETE FROM person_ways WHERE id = $1', [id], tx)
}
