import { pathOf, versionHeader, type Problem, type Route } from '@murrabel/contract'
import { knownAnswer } from '../firstScreen/known.ts'
import { holdAhead, takeAhead } from './ahead.ts'

/** A refusal of the server, or a server that cannot be reached (code "offline"). */
export class CallProblem extends Error {
  override readonly name = 'CallProblem'
  constructor(readonly problem: Omit<Problem, 'code'> & { code: Problem['code'] | 'offline' }) {
    super(problem.detail)
  }
}

export interface CallOptions<Body> {
  params?: Record<string, string | number>
  query?: Iterable<readonly [string, string]>
  body?: Body
  signal?: AbortSignal
  /** Nobody has acted: a session that has ended is not told. */
  quiet?: boolean
}

let onAnswered: (version: string | null) => void = () => {}
/** What to do with the version an answer belongs to; set once by the application. */
export function whenAnswered(act: (version: string | null) => void): void {
  onAnswered = act
}

let onSignedOut = () => {}
/** What to do when the session has ended; set once by the application. */
export function whenSignedOut(act: () => void): void {
  onSignedOut = act
}

export function addressOf(
  route: Route<unknown, unknown>,
  { params, query }: Pick<CallOptions<unknown>, 'params' | 'query'> = {},
): string {
  const search = new URLSearchParams([...(query ?? [])].map(([name, value]) => [name, value])).toString()
  return pathOf(route.path, params) + (search ? `?${search}` : '')
}

/** Asks for what will be needed in a moment; whoever calls the same route then gets this answer. */
export function askAhead<Answer>(
  route: Route<undefined, Answer>,
  options: CallOptions<undefined> = {},
): void {
  const address = addressOf(route, options)
  if (knownAnswer(address) === undefined) holdAhead(address, send(route, { ...options, quiet: true }))
}

/** Calls a route of the contract. @throws CallProblem */
export async function call<Body, Answer>(
  route: Route<Body, Answer>,
  options: CallOptions<Body> = {},
): Promise<Answer> {
  if (route.method !== 'GET') return send(route, options)
  const address = addressOf(route, options)
  const known = knownAnswer(address)
  if (known !== undefined) return known as Answer
  const ahead = takeAhead(address)
  return ahead ? (ahead as Promise<Answer>) : send(route, options)
}

/** Says something while the page goes away: it is sent all the same, and nobody waits for an answer. */
export function tellLeaving<Body>(
  route: Route<Body, undefined>,
  { params, body }: { params?: CallOptions<Body>['params']; body: Body },
): void {
  void fetch(addressOf(route, { params }), {
    method: route.method,
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
    keepalive: true,
  }).catch(() => {})
}

/** Sends a file as it is. @throws CallProblem */
export const sendFile = <Answer>(
  route: Route<undefined, Answer>,
  { file, query }: { file: Blob; query: CallOptions<undefined>['query'] },
): Promise<Answer> => send(route, { query }, file)

async function send<Body, Answer>(
  route: Route<Body, Answer>,
  options: CallOptions<Body>,
  file?: Blob,
): Promise<Answer> {
  const { body, signal } = options
  let response: Response
  try {
    response = await fetch(addressOf(route, options), {
      method: route.method,
      headers: file
        ? { 'content-type': 'application/octet-stream' }
        : body === undefined
          ? {}
          : { 'content-type': typeof body === 'string' ? 'text/plain' : 'application/json' },
      // A file goes as it is.
      body: file
        ? file
        : typeof body === 'string'
          ? body
          : body === undefined
            ? undefined
            : JSON.stringify(body),
      signal,
    })
  } catch (error) {
    if (signal?.aborted) throw error
    throw new CallProblem({
      type: '',
      title: 'offline',
      status: 0,
      code: 'offline',
      detail: 'The server cannot be reached.',
    })
  }
  onAnswered(response.headers.get(versionHeader))
  if (response.ok) return (response.status === 204 ? undefined : await response.json()) as Answer
  const problem = (await response.json().catch(() => null)) as Problem | null
  const shown = problem ?? {
    type: '',
    title: 'broken',
    status: response.status,
    code: 'broken' as const,
    detail: `The server answered ${response.status}.`,
  }
  if (shown.code === 'notSignedIn' && !options.quiet) onSignedOut()
  throw new CallProblem(shown)
}
