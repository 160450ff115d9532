/** What can be done by one key, and by which unless somebody chose another. */
export const usualKeys = {
  next: 'j',
  previous: 'k',
  finish: 'f',
  reply: 'w',
  note: 'n',
  pattern: 'p',
  give: 'g',
  aside: 's',
  more: 'm',
  tag: 't',
  keep: 'b',
  choose: 'x',
  negative: '-',
  neutral: '0',
  positive: '+',
  undo: 'u',
  lens: 'l',
  find: '/',
  list: '?',
} as const

export type Shortcut = keyof typeof usualKeys
export const shortcuts = Object.keys(usualKeys) as Shortcut[]

/** Keys as they are now; one that is taken away is empty. */
export type ShortcutKeys = Record<Shortcut, string>

/** What a browser has kept, made whole: unknown names are left out, what is no single sign gets its usual key. */
export function readKeys(kept: unknown): ShortcutKeys {
  const given = typeof kept === 'object' && kept !== null ? (kept as Record<string, unknown>) : {}
  const keys = { ...usualKeys } as ShortcutKeys
  for (const name of shortcuts) {
    const key = given[name]
    if (typeof key === 'string' && [...key].length <= 1 && key !== ' ') keys[name] = key
  }
  return keys
}

export type KeyChange = { keys: ShortcutKeys } | { refused: 'noSign' | 'taken'; by?: Shortcut }

/**
 * Gives a shortcut another key.
 *
 * @param key what the browser calls the key that was pressed; empty takes the key away
 * @returns the keys afterwards, or why not: it is no single sign, or another shortcut has it
 * @example changeKey(readKeys(null), 'finish', 'j') // { refused: 'taken', by: 'next' }
 */
export function changeKey(keys: ShortcutKeys, name: Shortcut, key: string): KeyChange {
  if ([...key].length > 1 || key === ' ') return { refused: 'noSign' }
  const by = shortcuts.find((other) => other !== name && key !== '' && keys[other] === key)
  return by ? { refused: 'taken', by } : { keys: { ...keys, [name]: key } }
}

/** The shortcut of a key; none for a key that has none. */
export const shortcutOf = (keys: ShortcutKeys, key: string): Shortcut | undefined =>
  shortcuts.find((name) => keys[name] !== '' && keys[name] === key)
