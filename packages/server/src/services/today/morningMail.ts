import { DateTime } from 'luxon'
import type { MorningMailDraft, TodayAnswer, Unusual } from '@murrabel/contract'
import { readerOfMember } from '../../access/sessions.ts'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { brandOwner } from '../../jobs/due/dueWork.ts'
import type { Piece } from '../../jobs/due/piece.ts'
import type { WorkOutcome } from '../../jobs/due/next.ts'
import { zoneOfBrand } from '../../store/queries/brand/brand.ts'
import {
  deleteMorningMail,
  morningMailById,
  upsertMorningMail,
  type MorningMail,
} from '../../store/queries/today/morningMails.ts'
import { post } from '../letters/index.ts'
import { today } from './today.ts'
import { unusual } from './unusual.ts'

/**
 * The next time a clock of a zone shows these hours and minutes, epoch milliseconds. On the night of the change of the clocks a time
 * that is left out is the one after it.
 *
 * @example nextAt('07:30', { zone: 'UTC', now: 0 }) // 27_000_000
 */
export function nextAt(time: string, { zone, now }: { zone: string; now: number }): number {
  const [hour, minute] = time.split(':').map(Number) as [number, number]
  const here = DateTime.fromMillis(now, { zone })
  const thisDay = here.set({ hour, minute, second: 0, millisecond: 0 })
  const next =
    thisDay.toMillis() > now
      ? thisDay
      : here.plus({ days: 1 }).set({ hour, minute, second: 0, millisecond: 0 })
  return next.toMillis()
}

/** When the day's news comes by mail; null: it comes no more. */
export function setMorningMail(
  { db, due, now }: Pick<Context, 'db' | 'due' | 'now'>,
  reader: Reader,
  { at }: MorningMailDraft,
): Promise<MorningMailDraft> {
  const { brandId } = reader
  return db.inTransaction(async (tx) => {
    if (at === null) {
      const gone = await deleteMorningMail(db, reader, tx)
      if (gone) await due.drop('morning', [gone.id], tx)
      return { at }
    }
    const id = await upsertMorningMail(db, reader, at, tx)
    const zone = (await zoneOfBrand(db, brandId))?.zone ?? 'UTC'
    await due.drop('morning', [id], tx)
    await due.ask(
      { kind: 'morning', subject: id, owner: brandOwner(brandId), at: nextAt(at, { zone, now: now() }) },
      tx,
    )
    return { at }
  })
}

/** Writes the day's news to somebody, once for each morning. Whoever left the team hears no more. */
export async function sendMorningMail(context: Context, { id, progress, keep }: Piece): Promise<WorkOutcome> {
  const { db, due, now, config } = context
  const mail = await morningMailById(db, id)
  const reader = mail && (await readerOfMember(db, mail.colleagueId, mail.brandId))
  if (!mail || !reader) return 'done'
  const next = nextAt(mail.at, { zone: mail.zone, now: now() })
  // A process that ended after it had written this one.
  if ((progress as { next?: number } | null)?.next === next) return { againInMs: next - now() }
  const [news, odd] = await Promise.all([today(context, reader), unusual(context, reader)])
  await db.inTransaction(async (tx) => {
    await post(
      { db, due },
      {
        address: mail.email,
        subject: `Today at ${mail.brand}: ${subjectOf(news)}`,
        text: morningText(mail, news, odd, config.publicAddress),
      },
      tx,
    )
    await keep({ next }, tx)
  })
  return { againInMs: next - now() }
}

const many = (n: number, one: string, more: string) => `${n.toLocaleString('en-GB')} ${n === 1 ? one : more}`
const subjectOf = ({ open }: TodayAnswer) =>
  open.pastDue
    ? `${many(open.count, 'thread', 'threads')} open, ${open.pastDue} past due`
    : `${many(open.count, 'thread', 'threads')} open`

/** The day's news in plain text. */
export function morningText(
  { name, zone }: Pick<MorningMail, 'name' | 'zone'>,
  news: TodayAnswer,
  odd: readonly Unusual[],
  address: string,
): string {
  const when = (at: string) => DateTime.fromISO(at, { zone }).setLocale('en-GB').toFormat('ccc d LLL, HH:mm')
  const lines = (title: string, of: readonly string[]) =>
    of.length ? [`${title}\n${of.map((each) => `- ${each}`).join('\n')}`] : []
  const effort = news.pace
    ? `, about ${many(Math.max(1, Math.round((news.open.count * news.pace.eachMs) / 60_000)), 'minute', 'minutes')} at your pace`
    : ''
  return [
    `Good morning ${name.split(' ')[0]},`,
    `Since ${when(news.since)} ${many(news.arrived, 'entry', 'entries')} came in. ${many(news.open.count, 'thread is', 'threads are')} open for you, ${news.open.pastDue} past due${effort}.`,
    ...lines(
      'First',
      news.due.map(
        (row) =>
          `${row.author}, due ${when(row.dueAt!)}: ${row.text.replace(/\s+/g, ' ').slice(0, 100)}\n  ${address}/inbox/${row.threadId}?given=anybody&state=any`,
      ),
    ),
    ...lines(
      'Not sent',
      news.notSent.map(
        ({ text, profile, threadId }) =>
          `“${text.slice(0, 80)}” on ${profile}\n  ${address}/inbox/${threadId}?given=anybody&state=any`,
      ),
    ),
    ...lines(
      'Keys that have ended',
      news.keys.map(({ name: profile }) => `${profile}: ${address}/set-up/profiles`),
    ),
    ...lines(
      'Follow-ups',
      news.followUps.map(({ what, dueAt }) => `${what}, ${when(dueAt)}`),
    ),
    ...lines(
      'Unusual',
      odd.map((each) => `${sentenceOf(each)} (${each.sureness})`),
    ),
    ...lines(
      'My list',
      news.list.filter(({ doneAt }) => doneAt === null).map(({ text }) => text),
    ),
    `${address}/today\nTo change when this comes, or to stop it, choose "Send to me each morning" there.`,
  ].join('\n\n')
}

function sentenceOf(of: Unusual): string {
  switch (of.kind) {
    case 'spike':
      return `${of.watch.name}: ${of.count} entries where about ${Math.max(1, Math.round(of.expected))} were to be expected${of.words.length ? `; ${of.words.map((word) => `“${word}”`).join(' and ')} tell it apart` : ''}`
    case 'place':
      return `${of.name} has ${of.perWeek < 0 ? 'slid' : 'risen'} for ${of.weeks} weeks, ${Math.abs(of.perWeek).toFixed(1)} points a week`
    case 'phrase':
      return `“${of.text}” is new, ${of.good ? 'mostly in good words' : 'mostly in complaints'}, ${of.count} times in a week`
  }
}
