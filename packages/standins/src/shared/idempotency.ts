/** Answers already given, by Idempotency-Key: the same key twice changes one thing once. */
export class Idempotency<T> {
  private readonly answers = new Map<string, T>()

  once(key: string | undefined, act: () => T): { value: T; repeated: boolean } {
    const known = key === undefined ? undefined : this.answers.get(key)
    if (known !== undefined) return { value: known, repeated: true }
    const value = act()
    if (key !== undefined) this.answers.set(key, value)
    return { value, repeated: false }
  }

  remember(key: string, value: T): void {
    this.answers.set(key, value)
  }
}
