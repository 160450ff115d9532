import { randomBytes } from 'node:crypto'
import { alertLimits, falseCalls, rehearseAlert, firingMessage, firesOnEntries } from '@murrabel/core/alerts'
import type { Lens } from '@murrabel/core/lens'
import {
  conditionOf,
  type AlertAnswer,
  type AlertDraft,
  type AlertEventAnswer,
  type AlertTrialAnswer,
  type AlertTrialDraft,
  fieldProblem,
} from '@murrabel/contract'
import { may, type Reader } from '../../access/reader.ts'
import { seal, unseal } from '../../access/seal.ts'
import { freshWebhookSecret } from '../../access/webhookSecret.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import { brandOwner, type DueWork } from '../../jobs/due/dueWork.ts'
import type { Tx } from '../../store/database.ts'
import { checkEdition } from '../../store/queries/shared/edition.ts'
import { feedAddresses } from './feedAddresses.ts'
import { hourSeries, learningDays, singleEntries } from './alertSeries.ts'
import {
  alertsSeenBy,
  insertAlert,
  updateAlert,
  keepWebhookSecret,
  type AlertRow,
  markAlertDeleted,
  type EventRow,
  eventsOfAlert,
} from '../../store/queries/alerts/alerts.ts'
import { checkOuterAddress } from '../hooks/index.ts'
import { record } from '../log/index.ts'
import { lensContext, readLens } from '../lens/index.ts'

/** Days an alert is tried on. */
const trialDays = 90
const day = 86_400_000

/** The lens of an alert, from its address; any time and order are left aside. @throws Refusal when it cannot be read */
export function alertLens(text: string): Lens {
  const lens = readLens(new URLSearchParams(text), 'entries')
  return { ...lens, range: null, order: 'newest' }
}

/** What an alert would have told in the last 90 days, by the very steps it takes when it is on. */
export async function tryAlert(
  parts: Pick<Context, 'db' | 'now'>,
  reader: Reader,
  draft: AlertTrialDraft,
): Promise<AlertTrialAnswer> {
  const context = await lensContext(parts, reader)
  const question = { lens: alertLens(draft.lens), context, reader }
  const condition = conditionOf(draft.condition)
  const to = parts.now()
  const from = to - trialDays * day
  const series = await hourSeries(parts, question, { from: from - learningDays(condition) * day, to })
  const entries = firesOnEntries(condition)
    ? await singleEntries(parts, question, { condition, since: from })
    : []
  const firings = rehearseAlert(condition, { ...series, entries }, { from, quietMinutes: draft.quietMinutes })
  const begins = firings.filter((t) => t.kind === 'begin')
  const days = Math.max(1, Math.min(trialDays, (to - (context.since ?? to)) / day))
  const aDay = begins.length / days
  return {
    days: Math.round(days),
    firings: begins
      .slice(-200)
      .map((t) => ({ ...t, entries: t.entries.slice(0, 20), phrase: firingMessage(condition, t) })),
    begins: begins.length,
    falseAMonth: falseCalls(condition, series, {
      quietMinutes: draft.quietMinutes,
      learning: learningDays(condition),
    }),
    aDay,
    tooOften: aDay > alertLimits.firingsADay,
  }
}

async function refuseWrongDraft(context: Context, reader: Reader, draft: AlertDraft): Promise<void> {
  if (draft.webhook) checkOuterAddress(context.config, 'webhook', draft.webhook)
  if (draft.emails.length && !context.config.smtpUrl)
    throw new Refusal('invalid', {
      fields: [
        {
          field: 'emails',
          code: 'noMail',
          message:
            'No mail server is set, so no e-mail can go out. Ask whoever runs Murrabel to set MURRABEL_SMTP.',
        },
      ],
    })
  const trial = await tryAlert(context, reader, draft)
  if (trial.tooOften) {
    const { begins, days, aDay } = trial
    const values = { n: begins, days, aDay: Math.round(aDay), most: alertLimits.firingsADay }
    throw new Refusal('alertTooOften', { fields: [fieldProblem('condition', 'tooOften', { values })] })
  }
}

/** To whom and where it tells is known to those who may change it. */
function answerOf(
  { config }: Pick<Context, 'config'>,
  reader: Reader,
  { feedToken, secret, ...row }: AlertRow,
): AlertAnswer {
  if (!may(reader, 'watch'))
    return {
      ...row,
      emails: [],
      webhook: null,
      lastFailure: null,
      webhookSecret: null,
      atom: null,
      json: null,
    }
  return {
    ...row,
    webhookSecret: secret && unseal(secret, config.sealingKey),
    ...feedAddresses(config, feedToken),
  }
}

export async function listAlerts(
  context: Pick<Context, 'db' | 'config'>,
  reader: Reader,
): Promise<AlertAnswer[]> {
  return (await alertsSeenBy(context.db, reader)).map((row) => answerOf(context, reader, row))
}

/** @throws Refusal notFound when it is not there, or not the reader's */
export async function alertAnswer(
  context: Pick<Context, 'db' | 'config'>,
  reader: Reader,
  id: number,
): Promise<AlertAnswer> {
  const [row] = await alertsSeenBy(context.db, reader, { id })
  if (!row) throw new Refusal('notFound')
  return answerOf(context, reader, row)
}

/** Not to be guessed. */
export const secretToken = () => randomBytes(24).toString('base64url')
/** As Standard Webhooks writes a secret. */

export async function saveAlert(
  context: Context,
  reader: Reader,
  id: number | null,
  draft: AlertDraft,
): Promise<AlertAnswer> {
  const { db, config, live, due } = context
  if (id !== null) await alertAnswer(context, reader, id)
  await refuseWrongDraft(context, reader, draft)
  const saved = await db.inTransaction(async (tx) => {
    if (id !== null) await checkEdition({ db }, 'alerts', { id, brandId: reader.brandId }, draft.edition, tx)
    const row =
      id === null
        ? await insertAlert(db, reader, { draft, feedToken: secretToken() }, tx)
        : await updateAlert(db, reader, { draft, id }, tx)
    if (!row) throw new Refusal('notFound')
    if (draft.webhook)
      await keepWebhookSecret(db, { id: row.id, sealed: seal(freshWebhookSecret(), config.sealingKey) }, tx)
    await lookSoon(due, reader.brandId, row.id, draft.active, tx)
    await record(
      db,
      reader,
      { kind: id === null ? 'createAlert' : 'updateAlert', on: ['alert', row.id], detail: { ...draft } },
      tx,
    )
    await live.tell(reader.brandId, { kind: 'alerts' }, tx)
    return row.id
  })
  return alertAnswer(context, reader, saved)
}

const lookSoon = (due: DueWork, brandId: number, id: number, active: boolean, tx: Tx): Promise<void> =>
  active
    ? due.ask({ kind: 'checkAlert', subject: id, owner: brandOwner(brandId) }, tx)
    : due.drop('checkAlert', [id], tx)

/** Deletes an alert or brings it back. Its secret addresses are dead from then on: they stay so when it comes back. */
export async function setAlertDeleted(
  context: Context,
  reader: Reader,
  id: number,
  deleted: boolean,
): Promise<void> {
  const { db, live, due } = context
  await db.inTransaction(async (tx) => {
    const row = await markAlertDeleted(
      db,
      {
        id,
        brandId: reader.brandId,
        deleted,
        seesAll: !reader.placeIds && !reader.profileIds,
        colleagueId: reader.colleagueId,
      },
      tx,
    )
    if (!row) throw new Refusal('notFound')
    await lookSoon(due, reader.brandId, id, !deleted && row.active, tx)
    await record(db, reader, { kind: deleted ? 'deleteAlert' : 'restoreAlert', on: ['alert', id] }, tx)
    await live.tell(reader.brandId, { kind: 'alerts' }, tx)
  })
}

export async function restoreAlert(context: Context, reader: Reader, id: number): Promise<AlertAnswer> {
  await setAlertDeleted(context, reader, id, false)
  return alertAnswer(context, reader, id)
}

export const eventAnswer = ({ id, alertId, alert, kind, at, detail }: EventRow): AlertEventAnswer => ({
  id,
  alertId,
  alert,
  kind,
  at: at.toISOString(),
  text: detail.text,
  phrase: detail.phrase ?? null,
  link: detail.link,
})

export async function alertEvents(
  context: Pick<Context, 'db' | 'config'>,
  reader: Reader,
  id: number,
): Promise<AlertEventAnswer[]> {
  await alertAnswer(context, reader, id)
  const rows = await eventsOfAlert(context.db, { id, brandId: reader.brandId })
  return rows.map(eventAnswer)
}
