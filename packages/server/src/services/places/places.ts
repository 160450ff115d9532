import { hoursProblem, type DayHours } from '@murrabel/core/places'
import {
  fieldProblem,
  type FieldProblem,
  type PlaceDraft,
  type PlaceSetUp,
  type LogKind,
} from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import type { Tx } from '../../store/database.ts'
import * as stored from '../../store/queries/places/places.ts'
import { checkEdition } from '../../store/queries/shared/edition.ts'
import { record } from '../log/index.ts'
import { askToOweAnew } from './oweAnew.ts'

type Writing = Pick<Context, 'db' | 'due' | 'live'>

export const listPlaces = ({ db }: Pick<Context, 'db'>, reader: Reader): Promise<PlaceSetUp[]> =>
  stored.placesOf(db, reader.brandId)

const reasons = { order: 'hoursOrder', overlap: 'hoursOverlap', range: 'hoursRange' } as const

/** A draft as it is kept: special days by date, each once. @throws Refusal invalid for hours that cannot be meant */
function keepable({ edition: _edition, specialDays = [], ...draft }: PlaceDraft): stored.StoredPlace {
  const fields: FieldProblem[] = []
  const check = (field: string, hours: DayHours) => {
    const problem = hoursProblem(hours)
    if (problem) fields.push(fieldProblem(field, reasons[problem]))
  }
  draft.week?.forEach((hours, i) => check(`week[${i}]`, hours))
  specialDays.forEach(({ hours }, i) => check(`specialDays[${i}].hours`, hours))
  if (fields.length) throw new Refusal('invalid', { fields })
  const days = new Map(specialDays.map((day) => [day.date, day]))
  return {
    name: draft.name,
    address: draft.address ?? '',
    phone: draft.phone ?? '',
    url: draft.url ?? '',
    week: draft.week,
    specialDays: [...days.values()].sort((a, b) => (a.date < b.date ? -1 : 1)),
  }
}

/** @throws Refusal placeNameTaken */
export function addPlace(parts: Writing, reader: Reader, draft: PlaceDraft): Promise<PlaceSetUp> {
  const { db } = parts
  const place = keepable(draft)
  return db.inTransaction(async (tx) => {
    const made = await stored.insertPlaceSetUp(db, { brandId: reader.brandId, place }, tx)
    if (!made) throw new Refusal('placeNameTaken')
    return changed(parts, reader, { id: made.id, kind: 'addPlace', detail: { place } }, tx)
  })
}

/** Other hours move the due times of what is open, in the background. @throws Refusal placeNameTaken */
export function changePlace(
  parts: Writing,
  reader: Reader,
  id: number,
  draft: PlaceDraft,
): Promise<PlaceSetUp> {
  const { db } = parts
  const place = keepable(draft)
  const { brandId } = reader
  return db.inTransaction(async (tx) => {
    const before = await stored.placeById(db, { id, brandId }, tx)
    if (!before) throw new Refusal('notFound')
    await checkEdition({ db }, 'places', { id, brandId }, draft.edition, tx)
    if (!(await stored.setPlace(db, { id, brandId, place }, tx))) throw new Refusal('placeNameTaken')
    return changed(parts, reader, { id, kind: 'changePlace', detail: { before, place } }, tx)
  })
}

async function changed(
  { db, due, live }: Writing,
  reader: Reader,
  { id, kind, detail }: { id: number; kind: LogKind; detail: object },
  tx: Tx,
): Promise<PlaceSetUp> {
  const { brandId } = reader
  await record(db, reader, { kind, on: ['brand', brandId], detail: { id, ...detail } }, tx)
  await askToOweAnew({ due }, brandId, tx)
  await live.tell(brandId, { kind: 'brand' }, tx)
  return (await stored.placeById(db, { id, brandId }, tx))!
}

/** @throws Refusal placeInUse while profiles belong to it, since threads lie in it then */
export function removePlace({ db, live }: Writing, reader: Reader, id: number): Promise<undefined> {
  const { brandId } = reader
  return db.inTransaction(async (tx) => {
    const place = await stored.placeById(db, { id, brandId }, tx)
    if (!place) throw new Refusal('notFound')
    if (place.profiles) throw new Refusal('placeInUse')
    await stored.deletePlace(db, { id, brandId }, tx)
    await record(db, reader, { kind: 'removePlace', on: ['brand', brandId], detail: { place } }, tx)
    await live.tell(brandId, { kind: 'brand' }, tx)
    return undefined
  })
}
