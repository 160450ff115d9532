import {
  alertReader,
  stepAlert,
  stepEntries,
  firesOnEntries,
  type AlertCondition,
  type Firing,
  firingMessage,
} from '@murrabel/core/alerts'
import { blankLens, printLens, type Lens } from '@murrabel/core/lens'
import { readerOfMember } from '../../access/sessions.ts'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import type { WorkOutcome } from '../../jobs/due/next.ts'
import type { Tx } from '../../store/database.ts'
import { alertLens } from './alerts.ts'
import { hourSeries, learningDays, singleEntries } from './alertSeries.ts'
import { firingText } from './alertText.ts'
import {
  type DueAlert,
  claimAlert,
  setAlertState,
  keepTold,
  forgetTold,
  setAlertFired,
  insertAlertEvent,
  insertDelivery,
} from '../../store/queries/alerts/checks.ts'
import type { EventDetail } from '../../store/queries/alerts/alerts.ts'
import { lensContext } from '../lens/index.ts'
import { phrasesOfLens, lensAt } from '../watches/index.ts'

/** How often an alert is looked at. */
const everyMs = 20_000
const hour = 3_600_000
const day = 24 * hour
/** Entries older than this when they come in are history and no news. */
const newsDays = 2

/** Looks at one alert and stores what it tells together with what it now knows. */
export function checkAlert(context: Context, id: number): Promise<WorkOutcome> {
  const { db } = context
  const again = { againInMs: everyMs }
  return db.inTransaction(async (tx) => {
    const alert = await claimAlert(db, { id, at: new Date(context.now()) }, tx)
    if (!alert) return 'done'
    // An alert sees what its maker may see; without a maker it sees nothing.
    const reader = alert.createdBy === null ? null : await readerOfMember(db, alert.createdBy, alert.brandId)
    if (!reader) return again
    const firing = firesOnEntries(alert.condition)
      ? await lookAtEntries(context, reader, alert, alert.condition, tx)
      : await lookAtHours(context, reader, alert, tx)
    if (firing) await storeFiring(context, reader, alert, firing, tx)
    return again
  })
}

async function lookAtHours(
  context: Context,
  reader: Reader,
  alert: DueAlert,
  tx: Tx,
): Promise<Firing | null> {
  const { db } = context
  const now = context.now()
  const question = { lens: alertLens(alert.lens), context: await lensContext(context, reader), reader }
  const series = await hourSeries(context, question, {
    from: now - (learningDays(alert.condition) + 20) * day,
    to: now,
  })
  const last = series.hours.length - 1
  if (last < 0) return null
  const reading = alertReader(alert.condition, series)(last, alert.open)
  const before = { open: alert.open, firedAt: alert.firedAt?.getTime() ?? null }
  // An hour is judged when it is over, as in the trial; entries that came in late are seen at the next look at it.
  const at = series.start + series.hours.length * hour
  const { state, tell } = stepAlert(before, reading, { now: at, quietMinutes: alert.quietMinutes })
  if (!tell) return null
  await setAlertState(
    db,
    { id: alert.id, open: state.open, firedAt: state.firedAt === null ? null : new Date(state.firedAt) },
    tx,
  )
  const { count, expected, net } = reading
  return { kind: tell, at, count, expected, net, entries: [] }
}

async function lookAtEntries(
  context: Context,
  reader: Reader,
  alert: DueAlert,
  condition: Extract<AlertCondition, { kind: 'any' | 'reach' }>,
  tx: Tx,
): Promise<Firing | null> {
  const { db } = context
  const now = context.now()
  const question = { lens: alertLens(alert.lens), context: await lensContext(context, reader), reader }
  const fresh = await singleEntries(context, question, {
    condition,
    since: now - newsDays * day,
    unfired: { alertId: alert.id, readSince: alert.createdAt },
  })
  const before = { open: false, firedAt: alert.firedAt?.getTime() ?? null }
  const { state, told } = stepEntries(before, fresh, { now, quietMinutes: alert.quietMinutes })
  if (!told.length) return null
  await keepTold(db, { alertId: alert.id, entryIds: told }, tx)
  await forgetTold(db, alert.id, tx)
  await setAlertFired(db, { id: alert.id, firedAt: new Date(state.firedAt ?? now) }, tx)
  return { kind: 'begin', at: now, count: told.length, expected: null, net: null, entries: told }
}

async function storeFiring(
  context: Context,
  reader: Reader,
  alert: DueAlert,
  firing: Firing,
  tx: Tx,
): Promise<void> {
  const { db, live, due } = context
  const detail = await detailOf(context, reader, alert, firing)
  const event = await insertAlertEvent(
    db,
    { alertId: alert.id, brandId: alert.brandId, kind: firing.kind, at: new Date(firing.at), detail },
    tx,
  )
  const targets = [
    ...alert.emails.map((target) => ({ way: 'email', target })),
    ...(alert.webhook ? [{ way: 'webhook', target: alert.webhook }] : []),
  ]
  for (const { way, target } of targets) {
    const delivery = await insertDelivery(db, { eventId: event!.id, way, target }, tx)
    await due.ask({ kind: 'deliver', subject: delivery!.id, owner: receiverOf(target) }, tx)
  }
  await live.tell(alert.brandId, { kind: 'alerts' }, tx)
}

/** Those that take turns: the host behind an address, so that one that hangs keeps no other waiting. */
const receiverOf = (target: string): string =>
  URL.canParse(target) ? new URL(target).host : (target.split('@').pop() ?? target)

/** Hours of entries that a firing leads to. */
function firingHours({ condition }: DueAlert, { kind }: Firing): number {
  if (condition.kind === 'more') return condition.hours
  if (condition.kind === 'net') return condition.days * 24
  return kind === 'end' ? 72 : 24
}

async function detailOf(
  context: Context,
  reader: Reader,
  alert: DueAlert,
  firing: Firing,
): Promise<EventDetail> {
  const phrase = firingMessage(alert.condition, firing)
  const inner = await lensContext(context, reader)
  const period = { from: firing.at - firingHours(alert, firing) * hour, to: firing.at }
  const lens: Lens = lensAt(alertLens(alert.lens), period, inner.zone)
  const pairs = printLens(lens, { ...blankLens, unit: 'entries' })
  const wantsPhrases = firing.kind === 'begin' && !firesOnEntries(alert.condition)
  // Why it is so is a help; that it is so must be told also when the words cannot be counted now.
  const told = wantsPhrases
    ? await phrasesOfLens(context, reader, { lens, context: inner, against: 'before' }).catch(() => null)
    : null
  return {
    text: firingText(phrase),
    phrase,
    link: `/watch?${new URLSearchParams([...pairs, ['view', 'mentions']]).toString()}`,
    condition: alert.condition,
    phrases: told?.found.phrases.slice(0, 6).map(({ written }) => written),
  }
}
