import type { EventHook, HookDelivery, HookEvent } from '@murrabel/contract'
import type { Database, Tx } from '../../database.ts'

type HookRow = Omit<EventHook, 'madeAt' | 'lastAt' | 'failingSince'> &
  Record<'madeAt', Date> &
  Record<'lastAt' | 'failingSince', Date | null>
const iso = (date: Date | null): string | null => date?.toISOString() ?? null
const hookOf = ({ madeAt, lastAt, failingSince, ...row }: HookRow): EventHook => ({
  ...row,
  madeAt: madeAt.toISOString(),
  lastAt: iso(lastAt),
  failingSince: iso(failingSince),
})
const columns = `h.id, h.name, h.target, h.events, h.active, h.made_at AS "madeAt", h.failing_since AS "failingSince",
  (SELECT name FROM colleagues c WHERE c.id = h.made_by) AS "madeBy",
  (SELECT max(sent_at) FROM hook_deliveries d WHERE d.hook_id = h.id) AS "lastAt",
  (SELECT count(*) FROM hook_deliveries d WHERE d.hook_id = h.id AND d.state = 'waiting')::int AS waiting,
  (SELECT count(*) FROM hook_deliveries d WHERE d.hook_id = h.id AND d.state = 'failed')::int AS failed`

export const hooksOf = async (db: Database, brandId: number, tx?: Tx): Promise<EventHook[]> =>
  (
    await db.rows<HookRow>(
      `SELECT ${columns} FROM event_hooks h WHERE h.brand_id = $1 ORDER BY h.id`,
      [brandId],
      tx,
    )
  ).map(hookOf)

export interface HookParts {
  name: string
  target: string
  events: readonly HookEvent[]
  active: boolean
}

export const insertHook = async (
  db: Database,
  hook: HookParts & { brandId: number; sealed: Buffer; madeBy: number },
  tx: Tx,
): Promise<EventHook> =>
  hookOf(
    (await db.one<HookRow>(
      `INSERT INTO event_hooks AS h (brand_id, name, target, events, active, secret_sealed, made_by)
       VALUES ($1, $2, $3, $4, $5, $6, $7) RETURNING ${columns}`,
      [hook.brandId, hook.name, hook.target, hook.events, hook.active, hook.sealed, hook.madeBy],
      tx,
    ))!,
  )

export async function setHook(
  db: Database,
  { id, brandId, name, target, events, active }: HookParts & { id: number; brandId: number },
  tx: Tx,
): Promise<EventHook | undefined> {
  const row = await db.one<HookRow>(
    `UPDATE event_hooks h SET name = $3, target = $4, events = $5, active = $6,
       failing_since = CASE WHEN h.target = $4 AND h.active = $6 THEN h.failing_since END
     WHERE h.id = $1 AND h.brand_id = $2 RETURNING ${columns}`,
    [id, brandId, name, target, events, active],
    tx,
  )
  return row && hookOf(row)
}

export async function setHookSecret(
  db: Database,
  { id, brandId, sealed }: { id: number; brandId: number; sealed: Buffer },
  tx: Tx,
): Promise<EventHook | undefined> {
  const row = await db.one<HookRow>(
    `UPDATE event_hooks h SET secret_sealed = $3 WHERE h.id = $1 AND h.brand_id = $2 RETURNING ${columns}`,
    [id, brandId, sealed],
    tx,
  )
  return row && hookOf(row)
}

export const deleteHook = async (
  db: Database,
  { id, brandId }: { id: number; brandId: number },
  tx: Tx,
): Promise<string | undefined> =>
  (
    await db.one<{ name: string }>(
      'DELETE FROM event_hooks WHERE id = $1 AND brand_id = $2 RETURNING name',
      [id, brandId],
      tx,
    )
  )?.name

export const hookSeen = (
  db: Database,
  { id, brandId }: { id: number; brandId: number },
  tx?: Tx,
): Promise<{ active: boolean } | undefined> =>
  db.one<{ active: boolean }>(
    'SELECT active FROM event_hooks WHERE id = $1 AND brand_id = $2',
    [id, brandId],
    tx,
  )

type DeliveryRow = Omit<HookDelivery, 'at' | 'sentAt'> & { at: Date; sentAt: Date | null }
const deliveryOf = ({ at, sentAt, ...row }: DeliveryRow): HookDelivery => ({
  ...row,
  at: at.toISOString(),
  sentAt: iso(sentAt),
})
const deliveryColumns = 'd.id, d.event, d.at, d.state, d.attempts, d.error, d.sent_at AS "sentAt", d.body'

/** Messages to a hook, the latest first, before one of them. */
export const deliveriesOf = async (
  db: Database,
  { hookId, before, limit }: { hookId: number; before: number | null; limit: number },
): Promise<HookDelivery[]> =>
  (
    await db.rows<DeliveryRow>(
      `SELECT ${deliveryColumns} FROM hook_deliveries d
       WHERE d.hook_id = $1 AND ($2::bigint IS NULL OR d.id < $2) ORDER BY d.id DESC LIMIT $3`,
      [hookId, before, limit],
    )
  ).map(deliveryOf)

/** One of the brand's messages, and nobody else changes it meanwhile. */
export async function lockDelivery(
  db: Database,
  { id, brandId }: { id: number; brandId: number },
  tx: Tx,
): Promise<(HookDelivery & { hookId: number; active: boolean }) | undefined> {
  const row = await db.one<DeliveryRow & { hookId: number; active: boolean }>(
    `SELECT ${deliveryColumns}, d.hook_id AS "hookId", h.active FROM hook_deliveries d JOIN event_hooks h ON h.id = d.hook_id
     WHERE d.id = $1 AND h.brand_id = $2 FOR UPDATE OF d`,
    [id, brandId],
    tx,
  )
  return row && { ...deliveryOf(row), hookId: row.hookId, active: row.active }
}

export const setWaiting = async (db: Database, id: number, tx: Tx): Promise<void> => {
  await db.rows(
    `UPDATE hook_deliveries SET state = 'waiting', attempts = 0, error = NULL WHERE id = $1`,
    [id],
    tx,
  )
}
