import { definePart } from '../part.ts'

/** Only what is read with less confidence than the brand asks for, and was judged by nobody. */
export const doubt = definePart({
  field: 'doubt',
  name: 'doubt',
  blank: false,
  print: (value) => (value ? 'only' : 'all'),
  parse: (text) => (text === 'only' ? true : text === 'all' ? false : undefined),
  phrase: (value) => ({ message: value ? 'only' : 'all', values: [], narrows: value }),
  matches:
    (_, { doubtBelow = 0 }) =>
    (entry) =>
      entry.sentiment !== 'unread' && entry.confidence < doubtBelow,
  sql: (_, { bind, context }) =>
    `e.sentiment <> 'unread' AND e.confidence < ${bind(context.doubtBelow ?? 0)}::real AND e.corrected_by IS NULL`,
})
