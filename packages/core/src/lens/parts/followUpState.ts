import { definePart } from '../part.ts'
import { followUpStates, type FollowUpState } from '../values.ts'

/** Whether follow-ups are done. */
export const followUpState = definePart({
  field: 'followUpState',
  of: 'followUp',
  name: 'done',
  blank: 'any' as FollowUpState,
  print: (value) => value,
  parse: (text) => followUpStates.find((each) => each === text),
  phrase: (value) => ({ message: value, values: [], narrows: value !== 'any' }),
  matches:
    (value, { now }) =>
    (_entry, subject) => {
      const { doneAt, dueAt } = subject!.followUp!
      return value === 'done' ? doneAt !== null : doneAt === null && (value === 'open' || dueAt < now)
    },
  sql: (value, { bind, context }) =>
    value === 'done'
      ? 'f.done_at IS NOT NULL'
      : `f.done_at IS NULL${value === 'late' ? ` AND f.due_at < ${bind(new Date(context.now))}::timestamptz` : ''}`,
})
