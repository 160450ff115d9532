/** A token bucket: so many requests a second, with a burst; waits its turn instead of refusing. */
export class RateBudget {
  private tokens: number
  private last: number
  /** Nothing goes out before this instant: the network asked for it. */
  private notBefore = 0

  /** In how many parts the budget is divided: one process has one of them. */
  private parts = 1

  constructor(
    private readonly perSecond: number,
    private readonly burst: number,
    private readonly clock: () => number = Date.now,
  ) {
    this.tokens = burst
    this.last = clock()
  }

  private get rate(): number {
    return this.perSecond / this.parts
  }

  /** Divides what the network allows among so many processes, each of which has a budget of its own. */
  shareAmong(processes: number): void {
    this.parts = Math.max(1, processes)
  }

  /** Milliseconds until the next request may go; takes its place in the queue. */
  reserve(): number {
    const now = this.clock()
    this.tokens = Math.min(this.burst, this.tokens + ((now - this.last) / 1000) * this.rate)
    this.last = now
    this.tokens -= 1
    const own = this.tokens >= 0 ? 0 : (-this.tokens / this.rate) * 1000
    return Math.max(own, this.notBefore - now)
  }

  pause(ms: number): void {
    this.notBefore = Math.max(this.notBefore, this.clock() + ms)
  }
}
