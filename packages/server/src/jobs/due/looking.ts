export interface Looking {
  /** Looks now, or once more after the look that is under way. */
  look(): void
  /** There may be more: another look follows at once. */
  lookOnceMore(): void
  stop(): void
}

/**
 * One look at a time, again and again.
 *
 * @param options.everyMs milliseconds between two looks that nobody asked for
 */
export function startLooking(
  lookOnce: () => Promise<void>,
  { everyMs, failed }: { everyMs: number; failed: (error: unknown) => void },
): Looking {
  let stopped = false
  let looking = false
  let again = false
  let timer: NodeJS.Timeout | undefined

  async function lookUntilQuiet(): Promise<void> {
    while (again && !stopped) {
      again = false
      await lookOnce()
    }
  }
  function look(): void {
    again = true
    if (looking || stopped) return
    looking = true
    void lookUntilQuiet()
      .catch(failed)
      .finally(() => {
        looking = false
        if (stopped) return
        clearTimeout(timer)
        timer = setTimeout(look, again ? 0 : everyMs)
      })
  }
  return {
    look,
    lookOnceMore: () => void (again = true),
    stop() {
      stopped = true
      clearTimeout(timer)
    },
  }
}
