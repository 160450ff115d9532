import { definePart } from '../part.ts'
import { isId } from './shared.ts'

const fixed = ['anybody', 'me', 'mine', 'myTeams', 'nobody', 'meOrNobody'] as const
type OfTeam = `team-${number}`
export type GivenTo = (typeof fixed)[number] | OfTeam | number

/**
 * The team of a value that names one.
 *
 * @example teamAsked('team-3') // 3
 */
export const teamAsked = (value: GivenTo): number | null =>
  typeof value === 'string' && value.startsWith('team-') ? Number(value.slice('team-'.length)) : null

const teamOf = (text: string): OfTeam | undefined =>
  text.startsWith('team-') && isId(text.slice('team-'.length)) ? (text as OfTeam) : undefined

/** Whose thread it is: a colleague's id, a team, or one of the fixed answers. Nobody's is what no team has either. */
export const givenTo = definePart({
  field: 'givenTo',
  name: 'given',
  blank: 'anybody' as GivenTo,
  print: String,
  parse: (text): GivenTo | undefined =>
    fixed.find((each) => each === text) ?? (isId(text) ? Number(text) : teamOf(text)),
  phrase: (value) => {
    const named = typeof value === 'number' ? value : teamAsked(value)
    const message = typeof value === 'number' ? 'colleague' : named === null ? (value as string) : 'team'
    return { message, values: named === null ? [] : [named], narrows: value !== 'anybody' }
  },
  matches(value, { me, myTeams = [] }) {
    const team = teamAsked(value)
    if (team !== null) return (entry) => entry.team === team
    const ofMyTeams = (of: number | null) => of !== null && myTeams.includes(of)
    if (value === 'myTeams') return (entry) => ofMyTeams(entry.team)
    if (value === 'mine') return (entry) => entry.givenTo === me || ofMyTeams(entry.team)
    if (value === 'nobody') return (entry) => entry.givenTo === null && entry.team === null
    if (value === 'meOrNobody')
      return (entry) =>
        entry.givenTo === me || (entry.givenTo === null && (entry.team === null || ofMyTeams(entry.team)))
    const wanted = value === 'me' ? me : value
    return (entry) => entry.givenTo === wanted
  },
  sql(value, { bind, context: { me } }) {
    const team = teamAsked(value)
    if (team !== null) return `t.team_id = ${bind(team)}::int`
    const ofMyTeams = () =>
      `t.team_id = ANY (ARRAY(SELECT x.team_id FROM team_members x WHERE x.colleague_id = ${bind(me)}::int))`
    // Never null: a thread of nobody's has no team to compare.
    const orMyTeams = () => `coalesce(${ofMyTeams()}, false)`
    if (value === 'myTeams') return ofMyTeams()
    if (value === 'mine') return `(t.given_to = ${bind(me)}::int OR ${ofMyTeams()})`
    if (value === 'nobody') return '(t.given_to IS NULL AND t.team_id IS NULL)'
    if (value === 'meOrNobody')
      return `(t.given_to = ${bind(me)}::int OR t.given_to IS NULL AND (t.team_id IS NULL OR ${orMyTeams()}))`
    return `t.given_to = ${bind(value === 'me' ? me : value)}`
  },
  needsThread: true,
})
