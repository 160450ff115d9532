/** What the browser keeps of a visitor, from their first word on. */
export interface Memory {
  /** The secret of a conversation that was begun. */
  token(): string | null
  keep(token: string): void
}

/** In the site's own storage; where that is closed, as long as the page lives. */
export function memoryOf(site: string, storage: () => Storage): Memory {
  const name = `murrabel-chat-${site}`
  let held: string | null = null
  return {
    token() {
      try {
        return storage().getItem(name) ?? held
      } catch {
        return held
      }
    },
    keep(token) {
      held = token
      try {
        storage().setItem(name, token)
      } catch {
        // Private windows may refuse it.
      }
    },
  }
}

/** A secret that nobody guesses: 32 bytes. */
export function newToken(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(32))
  return btoa(String.fromCharCode(...bytes))
    .replace(/\+/g, '-')
    .replace(/\//g, '_')
    .replace(/=+$/, '')
}
