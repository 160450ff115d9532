interface Run {
  current: Promise<unknown>
  next: Promise<unknown> | null
}

/**
 * The same question of several readers at once is asked of the database once. Whoever comes while it is being answered waits
 * for the next run, which begins after they came: nobody gets an answer that is older than their question.
 */
export class SharedRuns {
  private readonly runs = new Map<string, Run>()

  ask<Answer>(key: string, work: () => Promise<Answer>): Promise<Answer> {
    const known = this.runs.get(key)
    if (!known) return this.start(key, work)
    known.next ??= known.current.catch(() => {}).then(() => this.start(key, work))
    return known.next as Promise<Answer>
  }

  private start<Answer>(key: string, work: () => Promise<Answer>): Promise<Answer> {
    const current = work()
    const run: Run = { current, next: null }
    this.runs.set(key, run)
    const ended = () => {
      if (this.runs.get(key) === run) this.runs.delete(key)
    }
    current.then(ended, ended)
    return current
  }
}
