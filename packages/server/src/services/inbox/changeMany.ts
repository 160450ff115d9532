import type { ThreadEvent } from '@murrabel/core/inbox'
import type {
  HandOverDraft,
  ManyChangeAnswer,
  ManyChangeDraft,
  ManyUndoAnswer,
  ManyUndoDraft,
  ThreadChangeAnswer,
} from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import { applyThreadEvent, prioritise, undoThreadEvent } from './change.ts'
import { giveThread } from './give.ts'
import { judgeSpam } from './spam.ts'

type Parts = Pick<Context, 'db' | 'live' | 'now' | 'due'>

/** So many are changed beside each other. */
const atOnce = 4

/** Does something with many things, some at once, and gives the answers in their order. */
async function each<Thing, Answer>(
  things: readonly Thing[],
  act: (thing: Thing) => Promise<Answer>,
): Promise<Answer[]> {
  const answers: Answer[] = []
  let next = 0
  const work = async () => {
    while (next < things.length) {
      const at = next++
      answers[at] = await act(things[at]!)
    }
  }
  await Promise.all(Array.from({ length: atOnce }, work))
  return answers
}

const eventOf = ({ kind, until }: ManyChangeDraft): ThreadEvent =>
  kind === 'setAside'
    ? { kind, until: until == null ? null : Date.parse(until) }
    : { kind: kind as 'finish' | 'reopen' }

function changeOne(
  parts: Parts,
  reader: Reader,
  id: number,
  draft: ManyChangeDraft,
): Promise<ThreadChangeAnswer> {
  switch (draft.kind) {
    case 'give':
      return giveThread(parts, reader, id, { to: draft.to ?? null, team: draft.team, share: draft.share })
    case 'prioritise':
      return prioritise(parts, reader, id, (draft.priority ?? 0) as 0 | 1 | 2)
    case 'spam':
    case 'notSpam':
      return judgeSpam(parts, reader, id, draft.kind === 'spam')
    default:
      return applyThreadEvent(parts, reader, id, eventOf(draft))
  }
}

/**
 * The same change of many threads, each for itself: what cannot be changed is told with its reason and does not hold up the others.
 *
 * @throws Refusal invalid for a time that is over
 */
export async function changeMany(
  parts: Parts,
  reader: Reader,
  draft: ManyChangeDraft,
): Promise<ManyChangeAnswer> {
  return told(
    await each([...new Set(draft.threads)], (thread) =>
      outcomeOf(thread, () => changeOne(parts, reader, thread, draft)),
    ),
  )
}

interface Outcome {
  thread: number
  event?: number | null
  code?: string
}

/** What became of one; what cannot be changed is told with its reason. */
async function outcomeOf(thread: number, change: () => Promise<ThreadChangeAnswer>): Promise<Outcome> {
  try {
    return { thread, event: (await change()).eventId }
  } catch (error) {
    if (!(error instanceof Refusal) || error.code === 'broken') throw error
    return { thread, code: error.code }
  }
}

const told = (outcomes: readonly Outcome[]): ManyChangeAnswer => ({
  changed: outcomes.flatMap(({ thread, event }) => (event == null ? [] : { thread, event })),
  refused: outcomes.flatMap(({ thread, code }) => (code ? { thread, code } : [])),
})

/** Hands over what is left at the end of a shift: each thread to whom it goes, with why; the last word on one counts. */
export async function handOver(
  parts: Parts,
  reader: Reader,
  { threads, word = '' }: HandOverDraft,
): Promise<ManyChangeAnswer> {
  const last = new Map(threads.map((left) => [left.thread, left]))
  return told(
    await each([...last.values()], ({ thread, to, team, why = '' }) =>
      outcomeOf(thread, () => giveThread(parts, reader, thread, { to, team }, { why, word })),
    ),
  )
}

/** Takes changes of many threads back; what somebody has built on stays, and is told. */
export async function undoMany(
  parts: Parts,
  reader: Reader,
  { changes }: ManyUndoDraft,
): Promise<ManyUndoAnswer> {
  const outcomes = await each(changes, async ({ thread, event }) => {
    try {
      await undoThreadEvent(parts, reader, thread, event)
      return { thread }
    } catch (error) {
      if (!(error instanceof Refusal)) throw error
      return { thread, code: error.code }
    }
  })
  return {
    undone: outcomes.flatMap(({ thread, code }) => (code ? [] : thread)),
    refused: outcomes.flatMap(({ thread, code }) => (code ? { thread, code } : [])),
  }
}
