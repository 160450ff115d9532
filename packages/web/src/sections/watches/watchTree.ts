import type { WatchAnswer, WatchGroupAnswer } from '@murrabel/contract'

export type TreeRow =
  | { kind: 'group'; group: WatchGroupAnswer; depth: number; watches: number }
  | { kind: 'watch'; watch: WatchAnswer; depth: number }

/** Folders and watches in the order they are shown: each folder, the folders in it, its watches; those without one first. */
export function treeRows(
  groups: readonly WatchGroupAnswer[],
  watches: readonly WatchAnswer[],
  closed: ReadonlySet<number>,
): TreeRow[] {
  const rows: TreeRow[] = []
  const known = new Set(groups.map(({ id }) => id))
  const inside = (id: number): number =>
    watches.filter((w) => w.groupId === id).length +
    groups.filter((g) => g.parentId === id).reduce((sum, g) => sum + inside(g.id), 0)
  const walk = (parent: number | null, depth: number) => {
    for (const group of groups.filter((g) => g.parentId === parent)) {
      rows.push({ kind: 'group', group, depth, watches: inside(group.id) })
      if (closed.has(group.id)) continue
      walk(group.id, depth + 1)
      for (const watch of watches.filter((w) => w.groupId === group.id))
        rows.push({ kind: 'watch', watch, depth: depth + 1 })
    }
  }
  for (const watch of watches.filter((w) => w.groupId === null || !known.has(w.groupId)))
    rows.push({ kind: 'watch', watch, depth: 0 })
  walk(null, 0)
  return rows
}
