import type { AlertAnswer } from '@murrabel/contract'
import type { AlertCondition } from '@murrabel/core/alerts'
import { blankLens, parseLens, printLens, type Sentiment } from '@murrabel/core/lens'

export interface AlertWaysDraft {
  inApp: boolean
  emails: string[]
  webhook: string
}

/** What the sheet of an alert edits: every condition's figures, so that a change of kind and back loses none. */
export interface AlertSheetDraft {
  name: string
  kind: AlertCondition['kind']
  above: number
  hours: number
  /** Net sentiment in points, -100 to 100. */
  below: number
  days: number
  quietMinutes: number
  active: boolean
  /** A watch by its number, a group by its negative one, everything by 0. */
  subject: number
  sentiments: Sentiment[]
  /** Other parts of a lens that came along, as an address writes them: kept as they are. */
  otherParts: string
  ways: AlertWaysDraft
}

const base = { ...blankLens, unit: 'entries' as const }
const printed = (lens: Parameters<typeof printLens>[0]) =>
  new URLSearchParams(printLens(lens, base)).toString()
const parsed = (address: string) => parseLens(new URLSearchParams(address), base).lens

/** @param lens what a new alert listens to at first, as an address writes it */
export function alertDraftOf(alert: AlertAnswer | null, lens: string): AlertSheetDraft {
  const given = parsed(alert?.lens ?? lens)
  const condition = alert?.condition as (AlertCondition & { below?: number }) | undefined
  return {
    name: alert?.name ?? '',
    kind: 'spike',
    above: 5000,
    hours: 24,
    days: 7,
    ...condition,
    below: condition?.below === undefined ? -30 : Math.round(condition.below * 100),
    quietMinutes: alert?.quietMinutes ?? 240,
    active: alert?.active ?? true,
    subject: given.watch ?? -(given.group ?? 0),
    sentiments: [...given.sentiments],
    otherParts: printed({ ...given, watch: null, group: null, sentiments: [], range: null, order: 'newest' }),
    ways: {
      inApp: alert?.inApp ?? true,
      emails: [...(alert?.emails ?? [])],
      webhook: alert?.webhook ?? '',
    },
  }
}
export function conditionOf(draft: AlertSheetDraft): AlertCondition {
  switch (draft.kind) {
    case 'reach':
      return { kind: 'reach', above: draft.above }
    case 'more':
      return { kind: 'more', hours: draft.hours }
    case 'net':
      return { kind: 'net', below: draft.below / 100, days: draft.days }
    default:
      return { kind: draft.kind }
  }
}
export const lensOf = ({ otherParts, subject, sentiments }: AlertSheetDraft): string =>
  printed({
    ...parsed(otherParts),
    watch: subject > 0 ? subject : null,
    group: subject < 0 ? -subject : null,
    sentiments,
  })
