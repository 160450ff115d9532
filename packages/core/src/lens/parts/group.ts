import { definePart } from '../part.ts'
import { parseId, printId } from './shared.ts'

/** Id of a group of watches: what any of them, or of the groups in it, has caught. */
export const group = definePart({
  field: 'group',
  name: 'group',
  blank: null as number | null,
  print: printId,
  parse: (text) => parseId(text),
  phrase: null,
  matches(id, { watchesOf }) {
    const watches = watchesOf(id!)
    return (entry) => entry.watches.some((each) => watches.includes(each))
  },
  sql: (id, { bind, context }) =>
    `EXISTS (SELECT 1 FROM mentions g WHERE g.entry_id = e.id AND g.watch_id = ANY(${bind(context.watchesOf(id!))}::int[]))`,
})
