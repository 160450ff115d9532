import type { RouteLocation } from 'vue-router'

/** Asks for the code of a page, so that it is there when one goes to it. */
export function loadPage({ matched }: Pick<RouteLocation, 'matched'>): void {
  for (const { components } of matched) {
    const page = components?.default
    // Whoever goes there sees what failed.
    if (typeof page === 'function') void (page as () => Promise<unknown>)().catch(() => {})
  }
}
