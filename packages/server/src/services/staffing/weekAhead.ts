import { dueAt, wantedOf } from '@murrabel/core/inbox'
import { blankLens, weekHourOf, weekHoursOf } from '@murrabel/core/lens'
import { findSpikes, median, share } from '@murrabel/core/measures'
import { businessMinutesBetween, type BusinessHours } from '@murrabel/core/places'
import { presenceOf, usualShare, weekRates } from '@murrabel/core/staffing'
import { answerGaps } from '@murrabel/core/today'
import type { ChannelWork, ColleagueWork, WeekAheadAnswer } from '@murrabel/contract'
import { isLimited, type Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { teamsOf } from '../../store/queries/absences/teams.ts'
import * as stored from '../../store/queries/staffing/turns.ts'
import type { Turn } from '../../store/queries/staffing/turns.ts'
import { businessHoursOf } from '../inbox/index.ts'
import { lensContext } from '../lens/index.ts'
import { missedHours, missedOf } from '../watches/index.ts'

const hour = 3_600_000
const day = 24 * hour
const week = 7 * day
const weeks = 8
const weekHours = 168
/** Times that the simulation draws from, at most; and kinds of what comes in. */
const timesAtMost = 2000
const typesAtMost = 16
/** Of fewer, a figure says nothing. */
const least = 5

type Hours = Awaited<ReturnType<typeof businessHoursOf>>
type DueTurn = Turn & { due: number }

/** What the coming week is simulated from, and how the last weeks went. */
export async function weekAhead(
  { db, now }: Pick<Context, 'db' | 'now'>,
  reader: Reader,
): Promise<WeekAheadAnswer> {
  const at = now()
  const hours = await businessHoursOf(db, reader.brandId)
  const start = Math.ceil(at / hour) * hour
  // Whole weeks that end with the hour before, so that each hour of the week is seen alike often.
  const since = start - weeks * week
  const [all, openDue, work, answering, teams] = await Promise.all([
    stored.turnsSince(db, reader, new Date(since)),
    stored.openDueTimes(db, reader),
    stored.openByColleague(db, reader, new Date(at)),
    stored.whoAnswers(db, reader.brandId, new Date(at)),
    teamsOf(db, reader.brandId),
  ])
  const turns = all.flatMap((turn): DueTurn[] => {
    const due = dueOf(turn, turn.at.getTime(), hours)
    return due === null ? [] : [{ ...turn, due }]
  })
  const lens = { ...blankLens, unit: 'threads' as const }
  const context = await lensContext({ db, now }, reader)
  const missed = await missedOf(db, { lens, context, reader }, { from: since, to: at }, at)
  const unknown = missedHours(missed, since, weeks * weekHours)
  const { arrivals, leftOut } = arrivalsOf(turns, { start, since, zone: hours.zone, unknown })
  const { people, ...answers } = peopleOf(turns, { start, since, zone: hours.zone, answering })
  const lastWeek = turns.filter((turn) => turn.answeredAt && turn.answeredAt.getTime() > at - week)
  return {
    start: new Date(start).toISOString(),
    weeks,
    leftOut,
    inputs: {
      arrivals,
      types: typesOf(turns, { start, hours }),
      people: people.map(({ presence }) => ({ presence })),
      serviceMs: thinned(answers.times, timesAtMost),
      openDueMs: openDue.map((due) => due - start),
    },
    people: people.map(({ id, name }) => ({ id, name })),
    measured: answers.times.length,
    promise: promiseOf(turns, at),
    time: timeOf(lastWeek, hours),
    colleagues: colleaguesOf(work, answering, lastWeek, hours),
    teams: teamWork(teams, work, reader),
    nobodys: nobodysOf(work),
    channels: channelsOf(turns, at),
  }
}

/** What the members of each team have in hand; whoever is limited hears of those that have something they may see. */
const teamWork = (
  teams: Awaited<ReturnType<typeof teamsOf>>,
  work: readonly stored.OpenWork[],
  reader: Reader,
): WeekAheadAnswer['teams'] =>
  teams
    .map(({ id, name, members }) => {
      const own = work.filter(
        ({ givenTo, teamId }) => teamId === id || (givenTo !== null && members.includes(givenTo)),
      )
      return {
        id,
        name,
        open: sum(own.map(({ open }) => open)),
        pastDue: sum(own.map(({ pastDue }) => pastDue)),
      }
    })
    .filter(({ open }) => open > 0 || !isLimited(reader))

const sum = (of: readonly number[]) => of.reduce((all, n) => all + n, 0)
const hoursAt = (hours: Hours, placeId: number | null): BusinessHours =>
  (placeId !== null && hours.byPlace.get(placeId)) || hours.withoutPlace

/** When an answer to something like this is due, if it came at an instant. */
function dueOf(turn: Turn, at: number, hours: Hours): number | null {
  const { kind, channel, sentiment, rating, priority, wish, wantsAnswer } = turn
  const wanted = wantedOf([{ wish, wantsAnswer }])
  return dueAt(
    { kind, channel, sentiment, rating, priority, wanted, at },
    hours.policy,
    hoursAt(hours, turn.placeId),
  )
}

/** What is expected in each of the coming hours; days on which far more came in than usual are left out, and what was not collected. */
function arrivalsOf(
  turns: readonly DueTurn[],
  { start, since, zone, unknown }: { start: number; since: number; zone: string; unknown?: boolean[] },
): { arrivals: number[]; leftOut: string[] } {
  const series = Array.from({ length: weeks * weekHours }, () => 0)
  for (const turn of turns) series[Math.floor((turn.at.getTime() - since) / hour)]! += 1
  const days = new Intl.DateTimeFormat('en-CA', { timeZone: zone })
  const dayOf = (at: number) => days.format(at)
  const out = new Set<string>()
  const weekHoursOfSeries = weekHoursOf(since, series.length, zone)
  for (const spike of findSpikes(series, { weekHours: weekHoursOfSeries, unknown }))
    for (let at = spike.first; at < spike.end; at++) out.add(dayOf(since + at * hour))
  const counts = Array.from({ length: weekHours }, () => 0)
  const seen = Array.from({ length: weekHours }, () => 0)
  series.forEach((n, i) => {
    const at = since + i * hour
    if (unknown?.[i] || out.has(dayOf(at))) return
    const weekHour = weekHourOf(at, zone)
    counts[weekHour]! += n
    seen[weekHour]! += 1
  })
  const rates = weekRates(counts, seen)
  return {
    arrivals: Array.from({ length: weekHours }, (_, i) => rates[weekHourOf(start + i * hour, zone)]!),
    leftOut: [...out].sort(),
  }
}

/** The kinds of what comes in that are owed alike, the most frequent, with when each would be due. */
function typesOf(turns: readonly DueTurn[], { start, hours }: { start: number; hours: Hours }) {
  const groups = new Map<string, { turn: DueTurn; weight: number }>()
  for (const turn of turns) {
    const { kind, channel, placeId, sentiment, priority, rating, wish, wantsAnswer } = turn
    const poor = rating !== null && rating <= 2
    const key = JSON.stringify([
      kind,
      channel,
      placeId,
      sentiment,
      priority,
      poor,
      wantedOf([{ wish, wantsAnswer }]),
    ])
    const group = groups.get(key)
    if (group) group.weight++
    else groups.set(key, { turn, weight: 1 })
  }
  return [...groups.values()]
    .sort((a, b) => b.weight - a.weight)
    .slice(0, typesAtMost)
    .map(({ turn, weight }) => ({
      weight,
      dueMs: Array.from(
        { length: weekHours + 1 },
        (_, i) => (dueOf(turn, start + i * hour, hours) ?? start + i * hour) - start,
      ),
    }))
}

/** Who answered in the last weeks: in which hours they are there, and how long answers took. */
function peopleOf(
  turns: readonly DueTurn[],
  {
    start,
    since,
    zone,
    answering,
  }: { start: number; since: number; zone: string; answering: readonly stored.Answering[] },
) {
  const times = new Map<number | null, number[]>()
  for (const { answeredAt, by } of turns)
    if (answeredAt) times.set(by, [...(times.get(by) ?? []), answeredAt.getTime()])
  const monday = weekHourOf(since, zone)
  const people = [...times].flatMap(([id, answered]) => {
    const who = answering.find((each) => each.id === id)
    // Whoever is no longer on the team answers no more.
    if (id !== null && !who) return []
    const shifted = answered.map((each) => monday + Math.floor((each - since) / hour))
    const chances = presenceOf(shifted, weeks)
    const isAway = (each: number) =>
      who?.awayFrom && who.awayTo && each >= who.awayFrom.getTime() && each < who.awayTo.getTime()
    return [
      {
        id,
        name: who?.name ?? null,
        presence: Array.from({ length: weekHours }, (_, i) => {
          const each = start + i * hour
          return isAway(each) ? 0 : chances[weekHourOf(each, zone)]!
        }),
      },
    ]
  })
  const gaps = [...times.values()].flatMap(answerGaps)
  return { people, times: gaps.sort((a, b) => a - b) }
}

/** Every so-manieth of a sorted list. */
const thinned = (of: readonly number[], most: number): number[] =>
  of.length <= most
    ? [...of]
    : Array.from({ length: most }, (_, i) => of[Math.floor(((i + 0.5) * of.length) / most)]!)

/** Of what was due in a week, what was answered by then. */
function promiseOf(turns: readonly DueTurn[], at: number): WeekAheadAnswer['promise'] {
  const kept = (from: number, to: number) => {
    const due = turns.filter((turn) => turn.due >= from && turn.due < to)
    return {
      n: due.length,
      good: due.filter(({ answeredAt, due: by }) => answeredAt && answeredAt.getTime() <= by).length,
    }
  }
  const last = kept(at - week, at)
  const told = share(last.good, last.n)
  if (last.n < least || !told) return null
  const before = Array.from({ length: weeks - 2 }, (_, i) => kept(at - (i + 2) * week, at - (i + 1) * week))
  return { share: told.share, low: told.low, high: told.high, n: last.n, usual: usualShare(before) }
}

const minutesOf = (turn: DueTurn, hours: Hours): number =>
  businessMinutesBetween(turn.at.getTime(), turn.answeredAt!.getTime(), hoursAt(hours, turn.placeId))

function timeOf(answered: readonly DueTurn[], hours: Hours): WeekAheadAnswer['time'] {
  if (answered.length < least) return null
  const minutes = answered.map((turn) => minutesOf(turn, hours)).sort((a, b) => a - b)
  return {
    half: median(minutes),
    nineTenths: minutes[Math.min(minutes.length - 1, Math.floor(0.9 * minutes.length))]!,
    n: minutes.length,
  }
}

function colleaguesOf(
  work: readonly stored.OpenWork[],
  answering: readonly stored.Answering[],
  lastWeek: readonly DueTurn[],
  hours: Hours,
): ColleagueWork[] {
  const row = (id: number | null, name: string, awayUntil: string | null): ColleagueWork => {
    const own = id === null ? undefined : work.find(({ givenTo }) => givenTo === id)
    const answered = lastWeek.filter(({ by }) => by === id)
    return {
      id,
      name,
      open: own?.open ?? 0,
      pastDue: own?.pastDue ?? 0,
      oldestAt: own?.oldestAt?.toISOString() ?? null,
      answered: answered.length,
      halfWithin: answered.length < least ? null : median(answered.map((turn) => minutesOf(turn, hours))),
      awayUntil,
    }
  }
  const outside = lastWeek.some(({ by }) => by === null)
  return [
    ...answering.map(({ id, name, awayUntil }) => row(id, name, awayUntil)),
    ...(outside ? [row(null, '', null)] : []),
  ]
}

function nobodysOf(work: readonly stored.OpenWork[]): WeekAheadAnswer['nobodys'] {
  const own = work.find(({ givenTo, teamId }) => givenTo === null && teamId === null)
  return { open: own?.open ?? 0, pastDue: own?.pastDue ?? 0, oldestAt: own?.oldestAt?.toISOString() ?? null }
}

function channelsOf(turns: readonly DueTurn[], at: number): ChannelWork[] {
  const recent = turns.filter((turn) => turn.at.getTime() > at - week)
  return [...new Set(turns.map(({ channel }) => channel))]
    .map((channel) => {
      const own = recent.filter((turn) => turn.channel === channel)
      return {
        channel,
        asked: own.length,
        answered: own.filter(({ answeredAt }) => answeredAt).length,
        finished: new Set(own.flatMap(({ state, threadId }) => (state === 'done' ? [threadId] : []))).size,
        eachMs: eachOf(turns.filter((turn) => turn.channel === channel)),
      }
    })
    .filter(({ asked }) => asked > 0)
    .sort((a, b) => b.asked - a.asked)
}

/** Median time between two answers one after the other, breaks left out. */
function eachOf(turns: readonly DueTurn[]): number | null {
  const gaps = answerGaps(turns.flatMap(({ answeredAt }) => answeredAt?.getTime() ?? []))
  return gaps.length < least ? null : median(gaps)
}
