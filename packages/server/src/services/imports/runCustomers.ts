import { hiddenBy } from '../../access/hidden.ts'
import type { Context } from '../../context.ts'
import type { ReadCustomer } from '../../files/readCustomers.ts'
import type { Piece } from '../../jobs/due/piece.ts'
import { type Place, placeNames } from '../../store/queries/brand/brand.ts'
import {
  addImportCounts,
  sendImportBack,
  setImportSize,
  type ImportTask,
} from '../../store/queries/imports/imports.ts'
import type { CustomersPage, CustomersQuestion } from '../../workers/fileMessages.ts'
import { askToMeet, takeCustomers, type Customer } from '../people/index.ts'

/** Customers stored in one transaction. */
const batch = 500

/** Brings customers in, a step a transaction, with its progress stored; with rows that cannot be taken nothing is, unless that was said. */
export async function bringInCustomers(
  context: Context,
  piece: Piece,
  task: ImportTask,
): Promise<'in' | 'sentBack'> {
  const { db, due, live } = context
  const places = await placeNames(db, task.brandId)
  const asked = questionOf(task, places)
  const page = (from: number) =>
    context.fileWorker.ask({ kind: 'customers', importId: task.id, from, count: batch, ...asked })
  let from = (piece.progress as { at: number } | null)?.at ?? 0
  let rows: CustomersPage = await page(from)
  const { total, refused, problems } = rows
  if (refused && !task.settings.ask.anyway) {
    await sendImportBack(db, { id: task.id, total, refused, problems })
    return 'sentBack'
  }
  await setImportSize(db, { id: task.id, total, refused, problems, done: from })
  while (rows.items.length) {
    piece.signal.throwIfAborted()
    const customers = rows.items.map(customerOf(places, task.name))
    const done = from + rows.items.length
    await db.inTransaction(async (tx) => {
      const { added, known, erased } = await takeCustomers(
        db,
        {
          brandId: task.brandId,
          hidden: hiddenBy(context.config.sealingKey),
          source: 'file',
          toldAt: task.createdAt,
        },
        customers,
        tx,
      )
      await addImportCounts(db, { id: task.id, added, known: known + erased, refused: 0, done }, tx)
      await piece.keep({ at: done }, tx)
    })
    from = done
    await live.tell(task.brandId, { kind: 'profiles' })
    rows = await page(from)
  }
  await askToMeet({ due }, task.brandId)
  await live.tell(task.brandId, { kind: 'people' })
  return 'in'
}

function questionOf(
  { kind, createdAt, settings, zone }: ImportTask,
  places: readonly Place[],
): CustomersQuestion {
  const { customers: mapping, country, dateOrder } = settings.ask
  if (kind === 'cards') return { of: 'cards', country }
  return {
    of: 'customers',
    question: {
      mapping,
      country,
      dateOrder,
      zone,
      now: createdAt.getTime(),
      places: places.map(({ name }) => name),
    },
  }
}

const customerOf =
  (places: readonly Place[], how: string) =>
  ({ consents, visit, ...read }: ReadCustomer): Customer => ({
    ...read,
    consents: consents.map((consent) => ({ ...consent, at: null, how })),
    visit: visit && {
      reference: visit.reference,
      at: new Date(visit.at).toISOString(),
      route: visit.route,
      ship: visit.ship,
      placeId: places.find(({ name }) => name === visit.place)?.id ?? null,
      party: visit.party,
      price: visit.price,
      currency: visit.currency,
      state: visit.state,
      source: 'file',
    },
  })
