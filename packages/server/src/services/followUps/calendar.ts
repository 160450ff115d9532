import ICAL from 'ical.js'
import { randomBytes } from 'node:crypto'
import type { CalendarAddress, FollowUp } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import { readerOfMember } from '../../access/sessions.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import {
  calendarToken,
  memberByCalendar,
  openFollowUpsOf,
  setCalendarToken,
} from '../../store/queries/followUps/followUps.ts'

type Parts = Pick<Context, 'db' | 'config' | 'now'>

const addressOf = ({ config }: Parts, token: string | null): CalendarAddress => ({
  address: token && `${config.publicAddress}/calendars/${token}.ics`,
})

export const calendarAddress = async (parts: Parts, reader: Reader): Promise<CalendarAddress> =>
  addressOf(parts, await calendarToken(parts.db, reader))

/** Makes a secret address, or a new one: the old leads nowhere any more. */
export async function makeCalendar(parts: Parts, reader: Reader): Promise<CalendarAddress> {
  const token = randomBytes(24).toString('base64url')
  await setCalendarToken(parts.db, { ...reader, token })
  return addressOf(parts, token)
}

export async function calendarOff(parts: Parts, reader: Reader): Promise<CalendarAddress> {
  await setCalendarToken(parts.db, { ...reader, token: null })
  return addressOf(parts, null)
}

/** What is open of somebody's, as a calendar (RFC 5545): who has the address sees what they may see now. */
export async function calendarOf(parts: Parts, token: string): Promise<string> {
  const member = await memberByCalendar(parts.db, token)
  const reader = member && (await readerOfMember(parts.db, member.colleagueId, member.brandId))
  if (!member || !reader) throw new Refusal('notFound')
  const calendar = new ICAL.Component(['vcalendar', [], []])
  calendar.addPropertyWithValue('version', '2.0')
  calendar.addPropertyWithValue('prodid', '-//Murrabel//Follow-ups//EN')
  calendar.addPropertyWithValue('x-wr-calname', `${member.brand}: follow-ups`)
  for (const followUp of await openFollowUpsOf(parts.db, reader, parts.now()))
    calendar.addSubcomponent(eventOf(parts, followUp))
  return `${calendar.toString()}\r\n`
}

/** Half an hour, beginning when it is due. */
function eventOf({ config, now }: Parts, followUp: FollowUp): ICAL.Component {
  const event = new ICAL.Component('vevent')
  const at = (ms: number) => ICAL.Time.fromJSDate(new Date(ms), true)
  event.addPropertyWithValue('uid', `follow-up-${followUp.id}@murrabel`)
  event.addPropertyWithValue('dtstamp', at(now()))
  event.addPropertyWithValue('dtstart', at(Date.parse(followUp.dueAt)))
  event.addPropertyWithValue('duration', ICAL.Duration.fromSeconds(1800))
  event.addPropertyWithValue('sequence', followUp.edition)
  event.addPropertyWithValue(
    'summary',
    followUp.person ? `${followUp.what} (${followUp.person.name})` : followUp.what,
  )
  if (followUp.nextStep) event.addPropertyWithValue('description', followUp.nextStep)
  event.addPropertyWithValue(
    'url',
    `${config.publicAddress}/inbox/${followUp.threadId}?state=any&given=anybody&time=all`,
  )
  return event
}
