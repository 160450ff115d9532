import { randomBytes } from 'node:crypto'
import {
  alertLimits,
  rehearseAlert,
  tellingPhrase,
  tellsOfEntries,
  type AlertCondition,
  type TellingPhrase,
} from '@murrabel/core/alerts'
import { blankLens, parseLens, type Lens } from '@murrabel/core/lens'
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
import { checkAddress, InnerAddressError } from '../../connectors/index.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import { record } from '../log/record.ts'
import { brandOwner, type DueWork } from '../../jobs/due/dueWork.ts'
import type { Tx } from '../../store/database.ts'
import { checkEdition } from '../../store/queries/shared/edition.ts'
import { Where } from '../../store/queries/shared/where.ts'
import { feedAddresses } from './feedAddresses.ts'
import { lensContext } from '../entries/askedLens.ts'
import { hourSeries, learningDays, singleEntries } from './alertSeries.ts'

/** Days an alert is tried on. */
const trialDays = 90
const day = 86_400_000

/** The lens of an alert, from its address; any time and order are left aside. @throws Refusal when it cannot be read */
export function alertLens(text: string): Lens {
  const { lens, problems } = parseLens(new URLSearchParams(text), { ...blankLens, unit: 'entries' })
  if (problems.length)
    throw new Refusal('lensUnknown', {
      fields: problems.map(({ field, value }) => ({
        field,
        code: 'unknown',
        message: `"${value}" is not understood here.`,
        value,
      })),
    })
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
  const entries = tellsOfEntries(condition)
    ? await singleEntries(parts, question, { condition, since: from })
    : []
  const tellings = rehearseAlert(
    condition,
    { ...series, entries },
    { from, quietMinutes: draft.quietMinutes },
  )
  const begins = tellings.filter((t) => t.kind === 'begin')
  const days = Math.max(1, Math.min(trialDays, (to - (context.since ?? to)) / day))
  const aDay = begins.length / days
  return {
    days: Math.round(days),
    tellings: begins
      .slice(-200)
      .map((t) => ({ ...t, entries: t.entries.slice(0, 20), phrase: tellingPhrase(condition, t) })),
    begins: begins.length,
    aDay,
    tooOften: aDay > alertLimits.tellingsADay,
  }
}

async function check(context: Context, reader: Reader, draft: AlertDraft): Promise<void> {
  if (draft.webhook) checkWebhook(context, draft.webhook)
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
    const values = { n: begins, days, aDay: Math.round(aDay), most: alertLimits.tellingsADay }
    throw new Refusal('alertTooOften', { fields: [fieldProblem('condition', 'tooOften', { values })] })
  }
}

function checkWebhook({ config }: Context, address: string): void {
  try {
    checkAddress(new URL(address), config.allowedInnerAddresses)
  } catch (error) {
    if (!(error instanceof InnerAddressError) && !(error instanceof TypeError)) throw error
    throw new Refusal('invalid', {
      fields: [
        {
          field: 'webhook',
          code: 'innerAddress',
          message: 'This address lies inside our own network. Give one that can be reached from outside.',
          value: address,
        },
      ],
    })
  }
}

interface AlertRow extends Omit<AlertAnswer, 'atom' | 'json' | 'webhookSecret'> {
  feedToken: string | null
  secret: Buffer | null
}

const columns = `a.id, a.name, a.lens, a.condition, a.quiet_minutes AS "quietMinutes", a.in_app AS "inApp", a.emails, a.webhook, a.active, a.open, a.edition,
  a.told_at AS "toldAt", a.feed_token AS "feedToken", a.webhook_secret_sealed AS secret,
  (SELECT count(*) FROM alert_events v WHERE v.alert_id = a.id AND v.kind = 'begin') AS tellings,
  (SELECT d.error FROM alert_deliveries d JOIN alert_events v ON v.id = d.event_id WHERE v.alert_id = a.id AND d.state = 'failed' ORDER BY d.id DESC LIMIT 1) AS "lastFailure"`

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

/**
 * Which alerts a reader may know of. An alert tells what its maker may see: whoever is limited to places or profiles knows
 * only their own.
 */
export function seenAlerts(where: Where, reader: Reader): void {
  where.add(`a.brand_id = ${where.bind(reader.brandId)} AND a.deleted_at IS NULL`)
  if (reader.placeIds || reader.profileIds) where.add(`a.created_by = ${where.bind(reader.colleagueId)}`)
}

function alertRows({ db }: Pick<Context, 'db'>, reader: Reader, id?: number): Promise<AlertRow[]> {
  const where = new Where()
  seenAlerts(where, reader)
  if (id !== undefined) where.add(`a.id = ${where.bind(id)}`)
  return db.rows<AlertRow>(
    `SELECT ${columns} FROM alerts a WHERE ${where.toString()} ORDER BY a.name COLLATE "und-x-icu", a.id`,
    where.values,
  )
}

export async function listAlerts(
  context: Pick<Context, 'db' | 'config'>,
  reader: Reader,
): Promise<AlertAnswer[]> {
  return (await alertRows(context, reader)).map((row) => answerOf(context, reader, row))
}

/** @throws Refusal notFound when it is not there, or not the reader's */
export async function alertAnswer(
  context: Pick<Context, 'db' | 'config'>,
  reader: Reader,
  id: number,
): Promise<AlertAnswer> {
  const [row] = await alertRows(context, reader, id)
  if (!row) throw new Refusal('notFound')
  return answerOf(context, reader, row)
}

/** Not to be guessed. */
export const secretToken = () => randomBytes(24).toString('base64url')
/** As Standard Webhooks writes a secret. */
const webhookSecret = () => `whsec_${randomBytes(24).toString('base64')}`

export async function saveAlert(
  context: Context,
  reader: Reader,
  id: number | null,
  draft: AlertDraft,
): Promise<AlertAnswer> {
  const { db, config, live, due } = context
  if (id !== null) await alertAnswer(context, reader, id)
  await check(context, reader, draft)
  const values = [
    draft.name,
    draft.lens,
    JSON.stringify(draft.condition),
    draft.quietMinutes,
    draft.inApp,
    [...new Set(draft.emails.map((e) => e.toLowerCase()))],
    draft.webhook ?? null,
    draft.active,
    reader.colleagueId,
    reader.brandId,
  ]
  const saved = await db.inTransaction(async (tx) => {
    if (id !== null) await checkEdition({ db }, 'alerts', { id, brandId: reader.brandId }, draft.edition, tx)
    const row = await db.one<{ id: number }>(
      id === null
        ? `INSERT INTO alerts (name, lens, condition, quiet_minutes, in_app, emails, webhook, active, created_by, brand_id, feed_token)
           VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11) RETURNING id`
        : // A changed condition begins afresh: what was open of the old one is no event of the new.
          `UPDATE alerts SET name = $1, quiet_minutes = $4, in_app = $5, emails = $6, webhook = $7, active = $8, created_by = $9, edition = edition + 1,
             open = open AND lens = $2 AND condition = $3::jsonb, lens = $2, condition = $3 WHERE brand_id = $10 AND id = $11 AND deleted_at IS NULL RETURNING id`,
      [...values, id ?? secretToken()],
      tx,
    )
    if (!row) throw new Refusal('notFound')
    if (draft.webhook)
      await db.rows(
        'UPDATE alerts SET webhook_secret_sealed = coalesce(webhook_secret_sealed, $2) WHERE id = $1',
        [row.id, seal(webhookSecret(), config.sealingKey)],
        tx,
      )
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
    const row = await db.one<{ active: boolean }>(
      `UPDATE alerts SET deleted_at = CASE WHEN $3 THEN now() END, open = false, feed_token = NULL, edition = edition + 1
       WHERE id = $1 AND brand_id = $2 AND (deleted_at IS NULL) = $3 AND ($4 OR created_by = $5) RETURNING active`,
      [id, reader.brandId, deleted, !reader.placeIds && !reader.profileIds, reader.colleagueId],
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

export interface EventRow {
  id: number
  alertId: number
  alert: string
  kind: 'begin' | 'end'
  at: Date
  detail: EventDetail
}

export interface EventDetail {
  /** In English, for mail, feeds and webhooks. */
  text: string
  /** The same for a reader's own language; missing in events of earlier versions. */
  phrase?: TellingPhrase
  /** Path and query of the page with its entries. */
  link: string
  phrases?: string[]
  condition: AlertCondition
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
  const rows = await context.db.rows<EventRow>(
    `SELECT v.id, v.alert_id AS "alertId", a.name AS alert, v.kind, v.at, v.detail FROM alert_events v JOIN alerts a ON a.id = v.alert_id
     WHERE a.id = $1 AND a.brand_id = $2 ORDER BY v.id DESC LIMIT 100`,
    [id, reader.brandId],
  )
  return rows.map(eventAnswer)
}
