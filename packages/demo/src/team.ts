import { pitchText } from './sentences/pitches.ts'

/** Asks Murrabel as its owner would. */
type Call = <T>(method: string, path: string, body?: unknown) => Promise<T>

interface Shown {
  colleagues: { id: number; name: string; role: string }[]
  teams: { name: string }[]
}

const demoTeams = [
  { name: 'Guest care', members: ['Tamsin', 'Ivo'] },
  { name: 'Harbours', members: ['Ness', 'Ivo'] },
]

/** The Monday after the next Sunday. */
function mondayAhead(now: number): Date {
  const at = new Date(now)
  at.setUTCDate(at.getUTCDate() + 1 + ((7 - at.getUTCDay()) % 7))
  return at
}
const dayOf = (date: Date) => date.toISOString().slice(0, 10)

/** Two teams, and a place manager who is away next week; what is there already is left as it is. */
export async function fillTeams(call: Call, now: number): Promise<void> {
  const { colleagues, teams } = await call<Shown>('GET', '/api/brand')
  const idOf = (first: string) => colleagues.find(({ name }) => name.startsWith(first))?.id
  if (teams.length) return
  for (const { name, members } of demoTeams)
    await call('POST', '/api/set-up/teams', { name, members: members.map(idOf).filter(Boolean) })
  const monday = mondayAhead(now)
  const manager = idOf('Ness')
  if (manager)
    await call('PUT', `/api/set-up/colleagues/${manager}/absence`, {
      from: dayOf(monday),
      until: dayOf(new Date(monday.getTime() + 4 * 86_400_000)),
      takeOver: idOf('Tamsin'),
    })
}

interface Row {
  threadId: number
  text: string
}

/** What a team has in its hands, what was put first, and what is spam. */
export async function fillTriage(call: Call): Promise<void> {
  const { teams } = await call<{ teams: { id: number; name: string }[] }>('GET', '/api/brand')
  const care = teams.find(({ name }) => name === 'Guest care')
  const list = async (lens: string) =>
    (await call<{ rows: Row[] }>('GET', `/api/entries?unit=threads&limit=100&${lens}`)).rows
  if (!care || (await list(`given=team-${care.id}`)).length) return
  const open = await list('state=open&given=nobody&order=pressing')
  const offers = (await list('channel=email&order=newest')).filter(({ text }) => text.includes(pitchText))
  for (const { threadId } of open.filter(({ text }) => text.length > 60).slice(5, 8))
    await call('PUT', `/api/threads/${threadId}/given`, { to: null, team: care.id })
  if (open[9]) await call('PUT', `/api/threads/${open[9].threadId}/priority`, { priority: 1 })
  if (offers[0]) await call('POST', `/api/threads/${offers[0].threadId}/events`, { kind: 'spam' })
}

/** The board in the crew room hears what is finished and what was promised. */
export async function fillHooks(call: Call, siteAddress: string): Promise<void> {
  const hooks = await call<unknown[]>('GET', '/api/event-hooks')
  if (hooks.length) return
  const { hook } = await call<{ hook: { id: number } }>('POST', '/api/event-hooks', {
    name: 'Board in the crew room',
    target: `${siteAddress}/keeper/board`,
    events: ['thread.finished', 'followUp.made', 'answer.failed'],
  })
  await call('POST', `/api/event-hooks/${hook.id}/test`)
}
