import type { FollowUp, FollowUpDraft } from '@murrabel/contract'
import type { FollowUpKind } from '@murrabel/core/lens'
import { DateTime } from 'luxon'

/** What is typed into the sheet: times as they stand on the clock of the brand. */
export interface FollowUpFields {
  kind: FollowUpKind
  what: string
  /** Without a zone, such as 2026-11-27T09:00. */
  due: string
  /** 0: nobody. */
  givenTo: number
  /** As it was typed; empty: nothing is said. */
  worth: string
  currency: string
  nextStep: string
}

const local = "yyyy-MM-dd'T'HH:mm"

/** Fields of a new one: tomorrow at nine. */
export const newFields = (now: number, zone: string, givenTo: number): FollowUpFields => ({
  kind: 'followUp',
  what: '',
  due: DateTime.fromMillis(now, { zone }).plus({ days: 1 }).set({ hour: 9, minute: 0 }).toFormat(local),
  givenTo,
  worth: '',
  currency: 'EUR',
  nextStep: '',
})

export const fieldsOf = (followUp: FollowUp, zone: string): FollowUpFields => ({
  kind: followUp.kind,
  what: followUp.what,
  due: DateTime.fromISO(followUp.dueAt, { zone }).toFormat(local),
  givenTo: followUp.givenTo ?? 0,
  worth: followUp.worth === null ? '' : String(followUp.worth),
  currency: followUp.currency ?? 'EUR',
  nextStep: followUp.nextStep,
})

/** What is sent; a time or figure that cannot be read is refused by its field. */
export function draftOf(
  { due, givenTo, worth, currency, ...fields }: FollowUpFields,
  zone: string,
): FollowUpDraft {
  const at = DateTime.fromISO(due, { zone })
  const figure = worth.trim().replace(',', '.')
  return {
    ...fields,
    what: fields.what.trim(),
    dueAt: at.isValid ? at.toUTC().toISO() : due,
    givenTo: givenTo || null,
    worth: figure === '' ? null : Number(figure),
    currency: figure === '' ? null : currency,
  }
}
