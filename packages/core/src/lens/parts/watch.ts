import { definePart } from '../part.ts'
import { parseId, printId } from './shared.ts'

/** Id of a watch: what it has caught. */
export const watch = definePart({
  field: 'watch',
  name: 'watch',
  blank: null as number | null,
  print: printId,
  parse: (text) => parseId(text),
  // A group is told in the same phrase: one looks at a watch or at a group.
  phrase(value, { group }) {
    const id = value ?? (group as number | null)
    return {
      message: value !== null ? 'one' : id !== null ? 'group' : 'all',
      values: id === null ? [] : [id],
      narrows: id !== null,
    }
  },
  matches: (id) => (entry) => entry.watches.includes(id!),
  sql: (id, { bind }) => `m.watch_id = ${bind(id)}`,
  rollup: (id, { bind, of }) => (of === 'mentions' ? `r.watch_id = ${bind(id)}` : null),
})
